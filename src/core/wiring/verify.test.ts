import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { interval, isKnown } from '../quantity/figure';
import { randomPair } from '../tests/random-build';
import { cellVolts } from '../trade/cell';
import { processors } from '../trade/processor';
import { mayShare, protocols } from '../trade/protocol';
import type { Hookup, WiredPart } from './hookup';

/**
 * A second reading of the rules, from the files and the finished hookup alone: nothing of the ways, rows, tags or the search is used here. Random builds on
 * random boards; whatever the solver wires must stand when it is checked the way a person would, pad by pad.
 */
const sizes = [
  { parts: 3, ports: 3, rails: 2, bridges: 1 },
  { parts: 8, ports: 6, rails: 4, bridges: 2 },
  { parts: 12, ports: 8, rails: 6, bridges: 3 },
];
// The one of the largest size is where two links of one host were once taken for the same seat.
const cases = sizes.flatMap((size, s) =>
  Array.from({ length: s === 2 ? 1 : 50 }, (_, i) => ({ seed: s === 2 ? 20_038 : 10_000 * s + i + 1, size })),
);

const mode = (build: Build, p: WiredPart) =>
  build.parts.find((x) => x.id === p.id)!.peripheral.modes.find((m) => m.id === p.mode!.id)!;

const solved = cases.map(({ seed, size }) => {
  const { build, board } = randomPair(seed, size);
  return { build, board, hookup: evaluate(build, board).hookup, name: `seed ${seed}` };
});

function each(check: (build: Build, board: Board, hookup: Hookup, name: string) => void): void {
  for (const { build, board, hookup, name } of solved) check(build, board, hookup, name);
}

/** Every supply that is taken from a rail of the board, with what it wants. */
function suppliedByBoard(build: Build, hookup: Hookup) {
  return hookup.parts.flatMap((p) =>
    p.supplies
      .filter(({ rail }) => !rail.startsWith('part:'))
      .map(({ id, rail }) => ({ p, rail, supply: mode(build, p).supplies.find((s) => s.id === id)! })),
  );
}

describe('whatever is wired stands when it is checked by hand', () => {
  test('every link of the chosen mode is wired, and no other', () => {
    each((build, _, hookup, name) => {
      for (const p of hookup.parts.filter((x) => x.mode))
        expect(p.links.map((l) => l.id).sort(), name).toEqual(
          mode(build, p)
            .links.map((l) => l.id)
            .sort(),
        );
    });
  });

  test('no serial port carries two links, but for the two sides of one that the protocol table lets share', () => {
    each((_, board, hookup, name) => {
      for (const port of board.ports) {
        const on = hookup.parts.flatMap((p) => p.links.filter((l) => l.to.includes(port.id)));
        if (on.length < 2) continue;
        const [a, b] = on.map((l) => (l.link.kind === 'serial' ? protocols[l.link.protocol] : null));
        expect(on.length === 2 && a && b && mayShare(a, b), `${name} ${port.label}`).toBe(true);
      }
    });
  });

  test('a port that is taken is used only after its release, and never when it is taken for good', () => {
    each((_, board, hookup, name) => {
      for (const port of board.ports.filter((p) => p.taken)) {
        const used = hookup.parts.some((p) => p.links.some((l) => l.to.includes(port.id)));
        if (used)
          expect(
            port.taken!.release && hookup.releases.some((r) => r.port === port.label),
            `${name} ${port.label}`,
          ).toBeTruthy();
      }
    });
  });

  test('every link has the sides it needs, in the sense it needs, on pads of its own port', () => {
    each((_, board, hookup, name) => {
      const native = 'value' in board.processor && processors[board.processor.value].invertsInside;
      const at = new Map(hookup.bridges.map((b) => [b.bridge, b.position]));
      for (const p of hookup.parts) {
        for (const l of p.links) {
          if (l.link.kind !== 'serial' || l.pads.some((x) => x.does === 'soft serial')) continue;
          const protocol = protocols[l.link.protocol];
          const port = board.ports.find((x) => l.to.includes(x.id))!;
          const hears = l.pads.filter((x) => x.does === 'board hears');
          const talks = l.pads.filter((x) => x.does === 'board talks');
          const wanted = { hear: [1, 0], talk: [0, 1], both: [1, 1], 'one wire': [0, 1] }[protocol.wires];
          const heardOnly =
            protocol.wires === 'both' &&
            protocol.hearOnlyLoses !== undefined &&
            hears.length === 1 &&
            talks.length === 0;
          expect(
            heardOnly || (hears.length === wanted[0] && talks.length === wanted[1]),
            `${name} ${p.name} on ${port.label}`,
          ).toBe(true);
          for (const end of [
            ...port.rx.filter((e) => hears.some((h) => h.pad === e.pad)),
            ...port.tx.filter((e) => talks.some((t) => t.pad === e.pad)),
          ]) {
            let sense: 'unknown' | 'plain' | 'inverted';
            if (end.switch) {
              if (at.get(end.switch.bridge) === end.switch.plainAt) sense = 'plain';
              else sense = 'inverted';
            } else sense = end.sense;
            const twoWay =
              'twoWayInverter' in end &&
              end.twoWayInverter &&
              protocol.wires === 'one wire' &&
              protocol.sense === 'inverted';
            const oneWirePlain = protocol.wires === 'one wire' && protocol.sense === 'inverted' && !twoWay;
            if (oneWirePlain) expect(native, `${name} ${p.name}: one inverted wire`).toBe(true);
            else expect(twoWay || native || sense === protocol.sense, `${name} ${p.name} on ${port.label}`).toBe(true);
          }
        }
      }
    });
  });

  test('the control link is never on soft serial, and nothing faster than 19,200 baud is', () => {
    each((_, _board, hookup, name) => {
      for (const p of hookup.parts) {
        for (const l of p.links) {
          if (
            l.link.kind !== 'serial' ||
            !l.pads.some((x) => x.does === 'soft serial') ||
            protocols[l.link.protocol].onTimerPad
          )
            continue;
          expect(protocols[l.link.protocol].control, name).toBe(false);
          expect(protocols[l.link.protocol].baud, name).toBeLessThanOrEqual(19_200);
        }
      }
    });
  });

  test('two parts on one I2C bus have two addresses; outputs serve one part each, and a timer one use', () => {
    each((_, board, hookup, name) => {
      const addresses = hookup.parts.flatMap((p) =>
        p.links.flatMap((l) => (l.link.kind === 'i2c' ? [`${l.to[0]} ${l.link.address}`] : [])),
      );
      expect(new Set(addresses).size, name).toBe(addresses.length);
      const outputs = hookup.parts.flatMap((p) =>
        p.links.flatMap((l) =>
          l.pads.some((x) => x.does === 'output' || x.does === 'soft serial')
            ? l.to.map((id) => ({ id, use: l.link.kind === 'output' ? l.link.use : 'soft serial' }))
            : [],
        ),
      );
      expect(new Set(outputs.map((o) => o.id)).size, name).toBe(outputs.length);
      const uses = new Map<string, Set<string>>();
      for (const o of outputs) {
        const timer = board.outputs.find((x) => x.id === o.id)!.timer;
        uses.set(timer, (uses.get(timer) ?? new Set()).add(o.use));
      }
      for (const set of uses.values()) expect(set.size, name).toBe(1);
    });
  });

  test('every part on a rail of the pack stands the full pack and the empty one; on a regulator, what it gives', () => {
    each((build, board, hookup, name) => {
      const cell = cellVolts[build.pack.chemistry];
      const pack = { low: build.pack.cells * cell.floor, high: build.pack.cells * cell.full };
      const at = new Map(hookup.bridges.map((b) => [b.bridge, b.position]));
      const volts = (id: string): { low: number; high: number } => {
        const rail = board.rails.find((r) => r.id === id)!;
        const s = rail.source;
        if (s.kind === 'pack') return pack;
        if (s.kind === 'bridge') return volts(s.byPosition[at.get(s.bridge)!]!);
        if (s.kind !== 'regulator') throw new Error('not in these boards');
        const from = volts(s.input);
        const held = (v: number) => Math.min(interval(s.outVolts).high, Math.max(0, v - interval(s.dropOutVolts).high));
        return { low: held(from.low), high: held(from.high) };
      };
      for (const { p, rail, supply } of suppliedByBoard(build, hookup)) {
        const given = volts(rail);
        expect(given.low, `${name} ${p.name}`).toBeGreaterThanOrEqual(interval(supply.minVolts).high - 1e-9);
        expect(given.high, `${name} ${p.name}`).toBeLessThanOrEqual(interval(supply.maxVolts).low + 1e-9);
      }
    });
  });

  test('no regulator carries more than it is printed for, children added to parents', () => {
    each((build, board, hookup, name) => {
      const at = new Map(hookup.bridges.map((b) => [b.bridge, b.position]));
      const cell = cellVolts[build.pack.chemistry];
      const lowest = (id: string): number => {
        const s = board.rails.find((r) => r.id === id)!.source;
        if (s.kind === 'pack') return build.pack.cells * cell.floor;
        if (s.kind === 'bridge') return lowest(s.byPosition[at.get(s.bridge)!]!);
        return s.kind === 'regulator'
          ? Math.min(interval(s.outVolts).low, Math.max(0, lowest(s.input) - interval(s.dropOutVolts).high))
          : 5;
      };
      const carried = new Map<string, number>();
      const load = (id: string, amps: number): void => {
        const s = board.rails.find((r) => r.id === id)!.source;
        if (s.kind === 'bridge') return load(s.byPosition[at.get(s.bridge)!]!, amps);
        if (s.kind !== 'regulator') return;
        carried.set(id, (carried.get(id) ?? 0) + amps);
        load(
          s.input,
          s.type === 'linear' ? amps : (amps * interval(s.outVolts).high) / (0.85 * Math.max(0.1, lowest(s.input))),
        );
      };
      for (const { rail, supply } of suppliedByBoard(build, hookup)) {
        if (!isKnown(supply.peakAmps)) continue;
        const stated = interval(supply.peakAmps).high;
        load(rail, supply.draw === 'constant power' ? (stated * supply.atVolts) / Math.max(0.5, lowest(rail)) : stated);
      }
      for (const [id, amps] of carried) {
        const s = board.rails.find((r) => r.id === id)!.source;
        if (s.kind === 'regulator') expect(amps, `${name} ${id}`).toBeLessThanOrEqual(interval(s.ratedAmps).low + 1e-6);
      }
    });
  });
});
