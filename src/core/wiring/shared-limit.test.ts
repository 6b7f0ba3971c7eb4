import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import type { NumberFigure } from '../quantity/figure';
import { checkBoard } from '../records/board-links';
import { joined } from '../sets/join';
import { wiringClass } from '../sets/wiring-class';
import { makeBoard, makeBuild, makePart, regulator, says, supply, unknown } from '../tests/make';
import { sentenceOf } from '../words/finding/sentence-of';

const both = (amps?: NumberFigure) =>
  makeBoard({
    pads: ['vbat', 'five', 'nine'].map((id) => ({ id, label: id })),
    rails: [
      { id: 'pack', label: 'Pack', pads: ['vbat'], source: { kind: 'pack' } },
      { id: '5v', label: '5 V', pads: ['five'], source: regulator(5, 3) },
      { id: '9v', label: '9 V', pads: ['nine'], source: regulator(9, 3) },
    ],
    ...(amps ? { sharedLimits: [{ rails: ['5v', '9v'], amps }] } : {}),
  });
/** 1.6 A at 5 V and 1.6 A at 9 V at peak, half of that for long: 3.2 A and 1.6 A together. */
const build = makeBuild({}, [
  makePart('five', { supply: supply(4.5, 5.5, 1.6) }),
  makePart('nine', { supply: supply(8, 10, 1.6, 9) }),
]);
const load = (amps?: NumberFigure) => evaluate(build, both(amps)).rungs[6]!;

describe('regulators that carry less together than each alone (common practice, no source)', () => {
  test('each carries its own part; together 3.2 A of 3 A do not go, of 5 A do', () => {
    expect(load().state).toBe('holds');
    expect(load(says(3)).state).toBe('breaks');
    expect(load(says(5)).state).toBe('holds');
  });
  test('the sentence names both, and what they may carry together', () =>
    expect(sentenceOf(load(says(3)).findings[0]!)).toBe(
      'five and nine would draw 1.6 A of the 5 V and 9 V together, 3.2 A at peak; it may carry 2.4 A (80 % of its rating), 3 A for moments: too little.',
    ));
  test('what nobody says is never yes', () => {
    expect(load(unknown).state).toBe('unknown');
    expect(load({ low: 3, high: 4, origin: 'report' }).state).toBe('unknown');
  });
  test('the finding on what they carry together has its margin: of 5 A 4 count, and 3.2 leave a fifth', () =>
    expect(load(says(5)).findings.find((f) => f.about === '5 V and 9 V together')).toMatchObject({
      code: 'rail load',
      state: 'holds',
      margin: expect.closeTo(0.2, 6),
    }));
  test('what the board itself draws of each counts first', () => {
    const board = both(says(3.5));
    const drawing = { ...board, rails: board.rails.map((r) => (r.id === '5v' ? { ...r, ownAmps: says(1) } : r)) };
    expect(evaluate(build, drawing).rungs[6]!.state).toBe('breaks');
  });
  test('what the board itself draws is carried before any part is: 2 A of 5 V and 2 A of 9 V are more than 3 A together', () => {
    const board = both(says(3));
    const drawing = {
      ...board,
      rails: board.rails.map((r) => (r.id === 'pack' ? r : { ...r, ownAmps: says(2) })),
    };
    const alone = (amps: number) =>
      evaluate(makeBuild(), { ...drawing, sharedLimits: both(says(amps)).sharedLimits }).rungs[6]!;
    expect(alone(3)).toMatchObject({ state: 'breaks', findings: [{ about: '5 V and 9 V together' }] });
    expect(alone(5).state).toBe('holds');
  });
  test('a choice of rails avoids it where it can: a part that takes 5 V or the pack goes to the pack', () => {
    const free = makeBuild({}, [
      makePart('wide', { supply: supply(4.5, 17, 1.6) }),
      makePart('nine', { supply: supply(8, 10, 1.6, 9) }),
    ]);
    const { rungs, hookup } = evaluate(free, both(says(3)));
    expect(rungs[6]!.state).not.toBe('breaks');
    expect(hookup.parts[0]!.supplies[0]!.rail).toBe('pack');
  });
  test('in a set it keeps its meaning under the names of the whole, of the controller and of what stands beside it', () => {
    const controller = { ...both(says(3)), kind: 'flight controller' as const, esc: undefined };
    const esc = { ...both(says(2)), id: 'esc', kind: 'esc' as const };
    const set = joined({ controller, esc }, build);
    const rails = new Set(set.rails.map((r) => r.id));
    expect(set.sharedLimits?.map((l) => l.rails)).toEqual([
      ['5v.own', '9v'],
      ['esc.5v', 'esc.9v'],
    ]);
    expect(set.sharedLimits!.flatMap((l) => l.rails).every((r) => rails.has(r))).toBe(true);
  });
  test('members that differ in nothing else are not wired alike', () =>
    expect(wiringClass(both(says(3)))).not.toBe(wiringClass(both())));
  test('a rail that is not there is a fault of the file', () =>
    expect(checkBoard({ ...both(), sharedLimits: [{ rails: ['5v', '12v'], amps: says(3) }] }, '')).toEqual([
      {
        field: 'sharedLimits[0].rails[1]',
        sentence: 'Expected the id of a rail of this board; found "12v".',
      },
    ]));
});
