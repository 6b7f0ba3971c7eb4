import type { Board, Member } from '../records/board';
import type { Build, OwnEsc, Part } from '../records/build';
import { newestVersion } from '../records/words';
import { interval, isKnown } from '../quantity/figure';
import { flag } from '../quantity/truth';
import { giverOf } from './feed';
import { memberOf } from './roles';

/**
 * The build as it flies with a candidate: on the ESC of the set, on the one of the board, or on the buyer's own, by what the candidate has and the build asks for.
 */
export function arranged(build: Build, board: Board): Build {
  const { motors } = build;
  const esc = memberOf(board, 'esc');
  const withParts = overlayWired(build, board);
  // Who puts an ESC into a set flies on it, whatever else is at home.
  if (esc) return { ...withParts, motors: { ...motors, esc: 'separate', ownEsc: escOf(esc) } };
  if (motors.esc !== 'any') return withParts;
  const separate = !board.esc && motors.ownEsc !== undefined;
  return { ...withParts, motors: { ...motors, esc: separate ? 'separate' : 'on the board' } };
}

/** An ESC of the shelf in the terms of a build's own. What a shelf board does not say stays open. */
function escOf({ board, count }: Member): OwnEsc {
  const unknown = { unknown: true as const };
  const esc = board.esc;
  return {
    name: board.name,
    channels: esc?.channels ?? unknown,
    count,
    continuousAmps: esc?.continuousAmps ?? unknown,
    burstAmps: esc?.burstAmps ?? unknown,
    burstSeconds: esc?.burstSeconds ?? unknown,
    maxCells: board.packCells.max,
    ...(board.packMaxVolts ? { maxVolts: board.packMaxVolts } : {}),
    ...(esc?.telemetry ? { telemetry: esc.telemetry } : {}),
    ...(esc?.wantsMicrofarads ? { wantsMicrofarads: esc.wantsMicrofarads } : {}),
    ...(esc?.padAmps ? { padAmps: esc.padAmps } : {}),
    ...(giverOf(board) || flag(board.allPads) !== 'yes' ? {} : { gives: null }),
    ...(board.escPlug ? { plugFamily: board.escPlug.family } : {}),
    pins: board.escPlug?.pins ?? [],
    heightMm: isKnown(board.heightMm) ? interval(board.heightMm).high : 0,
  };
}

/** An overlay chip on the power board is told what to write over a serial line of the controller. */
function overlayWired(build: Build, board: Board): Build {
  const power = memberOf(board, 'power board');
  const controller = memberOf(board, 'controller');
  const chipOn = (m: Member | undefined) => flag(m?.board.video?.overlayChip ?? { unknown: true }) === 'yes';
  const pictures = build.parts.filter((p) =>
    p.peripheral.modes.some((m) => m.links.some((l) => l.kind === 'video' && l.overlay)),
  );
  if (!power || !chipOn(power) || chipOn(controller) || pictures.length === 0) return build;
  const priority = pictures.some((p) => p.priority === 'must') ? 'must' : pictures[0]!.priority;
  return { ...build, parts: [...build.parts, overlayPart(power.board, priority)] };
}

function overlayPart(board: Board, priority: Part['priority']): Part {
  return {
    id: 'overlay-chip',
    priority,
    onUsb: false,
    owned: true,
    peripheral: {
      format: 'rung-peripheral',
      version: newestVersion,
      id: 'overlay-chip',
      name: `Overlay chip of ${board.name}`,
      maker: board.maker,
      kind: 'other',
      massG: { value: 0, origin: 'assumed', source: 'on the power board' },
      cents: 0,
      offers: [],
      gives: [],
      plugs: [],
      modes: [
        {
          id: 'line',
          label: 'a serial line of its own',
          links: [{ kind: 'serial', id: 'overlay', protocol: 'overlay-link' }],
          supplies: [],
          cents: 0,
          grams: 0,
          effort: 0,
          lost: [],
        },
      ],
    },
  };
}
