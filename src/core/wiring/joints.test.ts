import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { faultsOf } from '../tests/joint-checker';
import { damaged, lawfulPair } from '../tests/lawful-pair';
import { randomPair } from '../tests/random-build';
import type { Hookup } from './hookup';

const carries = (verdict: string) => verdict === 'fits' || verdict === 'fits with work';
const seeds = (n: number) => Array.from({ length: n }, (_, i) => i + 1);

/** `bench -- joints` does the same with tens of thousands. */
test('a board made round a lawful hookup carries its build', () => {
  for (const seed of seeds(120)) {
    const { build, board } = lawfulPair(seed);
    const { verdict, rungs } = evaluate(build, board);
    expect(carries(verdict), `${seed}: ${rungs.map((r) => r.state).join(' ')}`).toBe(true);
  }
});

test('in no hookup that fits is anything taken twice or overloaded, by a count that knows pads, pins, wires and amps alone', () => {
  let fitting = 0;
  const check = (build: Build, board: Board, what: string) => {
    const { verdict, hookup } = evaluate(build, board);
    if (!carries(verdict)) return;
    fitting++;
    expect(faultsOf(build, board, hookup), what).toEqual([]);
  };
  for (const seed of seeds(120)) {
    const { build, board } = lawfulPair(seed);
    check(build, damaged(board, seed), `${seed} once`);
    check(build, damaged(damaged(board, seed), seed + 1000), `${seed} twice`);
    const random = randomPair(seed, { parts: 3, ports: 6, rails: 6, bridges: 2 });
    check(random.build, random.board, `${seed} random`);
  }
  expect(fitting).toBeGreaterThan(70);
});

/** A hookup or a board with one violation put into it; null where there is no room for it. */
type Plant = (it: {
  build: Build;
  board: Board;
  hookup: Hookup;
}) => { build: Build; board: Board; hookup: Hookup } | null;
const copied: (plant: (it: { build: Build; board: Board; hookup: Hookup }) => boolean) => Plant = (plant) => (it) => {
  const copy = structuredClone(it) as typeof it;
  return plant(copy) ? copy : null;
};
const linked = (h: Hookup) => h.parts.flatMap((p) => p.links).filter((l) => l.pads.length > 0 && l.link.kind !== 'i2c');
const fed = (h: Hookup, rail: string) => h.parts.filter((p) => p.supplies[0]?.rail === rail);

const plants: Record<string, Plant> = {
  'two links on one pad': copied(({ hookup }) => {
    const [a, b] = linked(hookup);
    if (!a || !b) return false;
    b.pads = [{ ...b.pads[0]!, pad: a.pads[0]!.pad }];
    return true;
  }),
  'a signal on a supply pad': copied(({ hookup }) => {
    const [a] = linked(hookup);
    if (!a) return false;
    a.pads = [{ ...a.pads[0]!, pad: 'vbat' }];
    return true;
  }),
  'a pad that a module holds': copied(({ board, hookup }) => {
    const a = linked(hookup).find((l) => l.link.kind === 'output');
    if (!a) return false;
    (board.ports as Board['ports'][number][]).push({
      id: 'held',
      label: 'held',
      rx: [],
      tx: [{ pad: a.pads[0]!.pad, sense: 'plain', twoWayInverter: false }],
      taken: { by: 'it' },
    });
    return true;
  }),
  'an address twice': copied(({ board, hookup }) => {
    const rider = hookup.parts.flatMap((p) => p.links).find((l) => l.link.kind === 'i2c');
    if (rider?.link.kind !== 'i2c') return false;
    board.buses[0]!.onBoard.push({ address: rider.link.address!, what: 'chip' });
    return true;
  }),
  'one timer at two rates': copied(({ board, hookup }) => {
    const uses = new Set(
      hookup.parts.flatMap((p) => p.links.flatMap((l) => (l.link.kind === 'output' ? [l.link.use] : []))),
    );
    if (uses.size < 2) return false;
    for (const o of board.outputs) o.timer = 'one';
    return true;
  }),
  'a wrong sense': copied(({ board, hookup }) => {
    const heard = linked(hookup).find((l) => l.link.kind === 'serial' && l.pads[0]!.does === 'board hears');
    if (!heard || !('value' in board.processor) || board.processor.value !== 'F4') return false;
    const end = board.ports.flatMap((p) => p.rx).find((e) => e.pad === heard.pads[0]!.pad)!;
    end.sense = end.sense === 'plain' ? 'inverted' : 'plain';
    return true;
  }),
  'a regulator too weak': copied(({ board, hookup }) => {
    if (fed(hookup, '5v').length === 0) return false;
    for (const r of board.rails)
      if (r.source.kind === 'regulator') r.source.ratedAmps = { value: 0.02, origin: 'claim' };
    return true;
  }),
  'a linear regulator too hot': copied(({ board, hookup }) => {
    if (fed(hookup, '9v').reduce((sum, p) => sum + p.supplies[0]!.typicalAmps, 0) < 0.3) return false;
    for (const r of board.rails)
      if (r.id === '9v' && r.source.kind === 'regulator') r.source = { ...r.source, type: 'linear' };
    return true;
  }),
  'too many volts': copied(({ hookup }) => {
    const [part] = fed(hookup, '5v');
    if (part) part.supplies = part.supplies.map((s) => ({ ...s, rail: 'pack' }));
    return part !== undefined;
  }),
  'dark in flight': copied(({ board, hookup }) => {
    if (fed(hookup, '5v').length === 0) return false;
    for (const r of board.rails) if (r.id === '5v') r.source = { kind: 'usb', dropVolts: 0 };
    return true;
  }),
  'USB asked for too much': copied(({ board, hookup, build }) => {
    if (!fed(hookup, '5v').some((p) => build.parts.find((x) => x.id === p.id)!.onUsb)) return false;
    for (const r of board.rails) if (r.id === '5v') r.ownAmps = { value: 0.5, origin: 'manual' };
    return true;
  }),
  'too few pins out': copied(({ board, hookup }) => {
    const plug = board.plugs.find(
      (p) => fed(hookup, p.id.slice(5)).reduce((sum, x) => sum + x.supplies[0]!.peakAmps, 0) > 1.05,
    );
    if (!plug) return false;
    const [first] = plug.pins;
    // All that it feeds over one pin.
    plug.pins = [first!, ...plug.pins.filter((p) => !p.pad)];
    for (const p of fed(hookup, plug.id.slice(5))) p.supplies[0]!.pads = [first!.pad!];
    return true;
  }),
  'too few pins back': copied(({ board, hookup }) => {
    const plug = board.plugs.find(
      (p) => fed(hookup, p.id.slice(5)).reduce((sum, x) => sum + x.supplies[0]!.peakAmps, 0) > 1.05,
    );
    if (!plug) return false;
    plug.pins = [...plug.pins.filter((p) => p.pad), { name: 'GND' }];
    return true;
  }),
};

describe('the count that watches over this sees each of', () => {
  const lawful = seeds(120).map((seed) => {
    const { build, board } = lawfulPair(seed);
    return { seed, build, board, hookup: evaluate(build, board).hookup };
  });
  test.each(Object.entries(plants))('%s', (_, plant) => {
    let planted = 0;
    for (const { seed, ...pair } of lawful) {
      const worse = plant(pair);
      if (!worse) continue;
      planted++;
      expect(faultsOf(worse.build, worse.board, worse.hookup).length, `seed ${seed}`).toBeGreaterThan(0);
    }
    expect(planted).toBeGreaterThan(4);
  });
});
