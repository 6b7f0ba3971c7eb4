import type { Board } from '../records/board';
import type { Build, OwnEsc, Part } from '../records/build';
import type { NumberFigure } from '../quantity/figure';
import type { Fix } from '../records/fix';
import { motorAmps, packCells, packVolts } from '../circuit/packs';
import { numbered } from '../records/part-names';
import { fedByEsc } from '../circuit/esc-supply';
import { arranged } from '../sets/arranged';
import { stacked } from '../sets/roles';
import { servedOnBoard } from './on-board';
import { externalAmps, fixPrice, mostOnFourInOne } from './price';

export interface Pair {
  build: Build;
  board: Board;
}

/** The build and the board as they stand once the accepted fixes of this board are in place, parts of one name told apart. */
export function withFixes(build: Build, board: Board): Pair {
  const fixed = (build.fixes[board.id] ?? []).reduce(applyFix, {
    build: numbered(arranged(build, board)),
    board,
  });
  const fed = { build: fixed.build, board: fedByEsc(fixed.board, fixed.build) };
  return { ...fed, build: servedOnBoard(fed.build, fed.board) };
}

/** One fix put in place. Prices and grams go where the thing ends: with the part, or with the board. */
export function applyFix({ build, board }: Pair, fix: Fix): Pair {
  switch (fix.kind) {
    case 'leave out':
      return { build: { ...build, parts: build.parts.filter((p) => p.id !== fix.part) }, board };
    case 'external regulator': {
      const id = `ext-${fix.part}`;
      return {
        build: changePart(build, fix, (p) => p),
        board: {
          ...board,
          pads: [
            ...board.pads,
            { id, label: 'EXT', face: 'top', form: 'pad', size: 'medium', edge: 'inner', order: 0, reachable: true },
          ],
          rails: [
            ...board.rails,
            ...(board.rails.some((r) => r.source.kind === 'pack')
              ? []
              : [{ id: 'pack', label: 'Pack', pads: [], source: { kind: 'pack' as const } }]),
            {
              id,
              label: `external ${fix.volts} V regulator`,
              onlyFor: fix.part,
              pads: [id],
              source: {
                kind: 'regulator',
                type: 'buck',
                outVolts: figure(fix.volts),
                ratedAmps: figure(externalAmps),
                dropOutVolts: figure(1),
                input: board.rails.find((r) => r.source.kind === 'pack')?.id ?? 'pack',
                filtered: false,
              },
            },
          ],
        },
      };
    }
    case 'signal inverter':
      return {
        build: changePart(build, fix, (p) => ({
          ...p,
          peripheral: {
            ...p.peripheral,
            modes: p.peripheral.modes.map((m) => ({
              ...m,
              links: m.links.map((l) => (l.kind === 'serial' ? { ...l, sense: 'plain' as const } : l)),
              lost: [...m.lost, 'an inverter sits in the line'],
            })),
          },
        })),
        board,
      };
    case 'level shifter':
      return {
        build: changePart(build, fix, (p) => ({
          ...p,
          peripheral: {
            ...p.peripheral,
            modes: p.peripheral.modes.map((m) => ({
              ...m,
              links: m.links.map((l) =>
                l.kind === 'serial' ? { ...l, sendsVolts: undefined, hearsFromVolts: undefined } : l,
              ),
              lost: [...m.lost, 'a level shifter sits in the line'],
            })),
          },
        })),
        board,
      };
    case 'adapter plate': {
      const mount = build.frame.mounts[0];
      if (!mount) return { build, board };
      const plate = { origin: 'assumed' as const, source: 'through an adapter plate' };
      const mounting = {
        ...board.mounting,
        patterns: [
          {
            alongMm: { value: mount.alongMm, ...plate },
            ...(mount.acrossMm === undefined ? {} : { acrossMm: { value: mount.acrossMm, ...plate } }),
            screw: { value: mount.screw, ...plate },
          },
        ],
      };
      return { build, board: heavier(onPlate(board, mounting), fix, build) };
    }
    case 'separate ESC':
      return {
        build: {
          ...build,
          motors: { ...build.motors, esc: 'separate', ownEsc: build.motors.ownEsc ?? escToBuy(build) },
        },
        board: heavier(board, fix, build),
      };
  }
}

/** The lowest board of a stack stands on the plate. */
function onPlate(board: Board, mounting: Board['mounting']): Board {
  const lowest = stacked(board)[0];
  return {
    ...board,
    mounting,
    ...(board.members
      ? { members: board.members.map((m) => (m.board === lowest ? { ...m, board: { ...m.board, mounting } } : m)) }
      : {}),
  };
}

function changePart(build: Build, fix: Fix & { part: string }, change: (p: Part) => Part): Build {
  const price = fixPrice(fix, build.motors.count);
  return {
    ...build,
    parts: build.parts.map((p) => {
      if (p.id !== fix.part) return p;
      const changed = change(p);
      const modes = changed.peripheral.modes.map((m) => ({
        ...m,
        cents: m.cents + price.cents,
        grams: m.grams + price.grams,
        effort: m.effort + price.effort,
      }));
      return { ...changed, peripheral: { ...changed.peripheral, modes } };
    }),
  };
}

/** An ESC that is still to be chosen: one that carries these motors on this pack, four-in-one where that has channels enough, else one a motor. */
function escToBuy(build: Build): OwnEsc {
  const { motors } = build;
  const { cruise, peak } = motorAmps(build);
  const single = motors.count > mostOnFourInOne;
  const said = (value: number) => ({ value, origin: 'assumed' as const, source: 'an ESC chosen for these motors' });
  return {
    name: single ? 'Single ESCs to be chosen' : 'Four-in-one ESC to be chosen',
    channels: single ? 1 : mostOnFourInOne,
    count: single ? motors.count : 1,
    continuousAmps: said(2 * Math.max(cruise, peak / 2)),
    burstAmps: said(1.2 * peak),
    burstSeconds: said(motors.peakSeconds),
    maxCells: said(packCells(build).high),
    maxVolts: said(packVolts(build).high),
    pins: [],
    heightMm: single ? 0 : 6,
  };
}

/** What a fix brings goes with the board; of a set, with its controller. */
function heavier(board: Board, fix: Fix, build: Build): Board {
  if (board.members)
    return {
      ...board,
      members: board.members.map((m) => (m.role === 'controller' ? { ...m, board: heavier(m.board, fix, build) } : m)),
    };
  const price = fixPrice(fix, build.motors.count);
  return {
    ...board,
    massG: plus(board.massG, price.grams),
    heightMm: plus(board.heightMm, price.heightMm),
  };
}

function plus(f: NumberFigure, by: number): NumberFigure {
  if ('value' in f) return { ...f, value: f.value + by };
  return 'low' in f ? { ...f, low: f.low + by, high: f.high + by } : f;
}

function figure(value: number): NumberFigure {
  return { value, origin: 'assumed', source: 'a usual small external regulator' };
}
