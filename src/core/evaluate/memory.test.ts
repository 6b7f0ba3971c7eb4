import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import type { Build } from '../records/build';
import { readFile } from '../records/file';
import { evaluate } from './climb';
import { keepingWhatIsEqual, newMemory } from './memory';
import equal from 'fast-deep-equal';
import { stoppedEarly } from './stopped-early';
import { whatClimbs } from './what-climbs';

const read = <F extends 'rung-shelf' | 'rung-build'>(path: string, format: F) => {
  const file = readFile(readFileSync(`demo/${path}`, 'utf8'), format);
  if (!file.ok) throw new Error(path);
  return file.value;
};
const boards = read('shelf.json', 'rung-shelf').boards.filter((_, i) => i % 6 === 0);
const build = read('builds/belfry-six.json', 'rung-build');
const other = read('builds/saltgrass.json', 'rung-build');

/** For every field of a build, another value of it. */
const edits = (Object.keys(build) as (keyof Build)[])
  .filter((key) => !['format', 'version', 'id'].includes(key))
  .map((key) => ({ key, change: (b: Build): Build => ({ ...b, [key]: key in other ? other[key] : undefined }) }));
const more = [
  { key: 'limits, a gram', change: (b: Build): Build => ({ ...b, limits: { ...b.limits, takeOffMassG: 700 } }) },
  { key: 'limits, a budget', change: (b: Build): Build => ({ ...b, limits: { ...b.limits, budgetCents: 30_000 } }) },
  {
    key: 'comforts',
    change: (b: Build): Build => ({ ...b, comforts: { ...b.comforts, barometer: true, sparePorts: 3 } }),
  },
  {
    key: 'atHome',
    change: (b: Build): Build => ({
      ...b,
      atHome: Object.fromEntries(b.parts.map((p) => [`part ${p.peripheral.id}`, 1])),
    }),
  },
  { key: 'a mass', change: (b: Build): Build => ({ ...b, bareMassG: { value: 500, origin: 'measured' } }) },
  {
    key: 'a policy',
    change: (b: Build): Build => ({ ...b, policies: { ...b.policies, ratedAmps: 'cautious', joints: 'solder' } }),
  },
  { key: 'a part less', change: (b: Build): Build => ({ ...b, parts: b.parts.slice(1) }) },
  { key: 'a capacitor', change: (b: Build): Build => ({ ...b, capacitor: { microfarads: 470, volts: 16 } }) },
];

const plain = new Map(boards.map((board) => [board.id, evaluate(build, board)]));

describe('what is remembered of a climb', () => {
  test.each([...edits, ...more])(
    'after an edit of $key it is the climb that nothing was remembered for',
    ({ change }) => {
      const memory = newMemory();
      const edited = keepingWhatIsEqual(build, structuredClone(change(build)));
      for (const board of boards) {
        evaluate(build, board, null, memory);
        stoppedEarly(build, board, memory);
        expect(stoppedEarly(edited, board, memory), board.id).toEqual(stoppedEarly(change(build), board));
        expect(evaluate(edited, board, null, memory), board.id).toEqual(evaluate(change(build), board));
        // And back again.
        expect(evaluate(build, board, null, memory), board.id).toEqual(plain.get(board.id));
      }
    },
  );

  test('what is no part of what climbs changes no climb', () => {
    const other = edits.filter(({ change }) => equal(whatClimbs(change(build)), whatClimbs(build)));
    expect(other.map((e) => e.key)).toEqual(
      expect.arrayContaining(['name', 'picks', 'log', 'done', 'stage', 'weighing']),
    );
    const whole: Build = {
      ...other.reduce((b, { change }) => change(b), build),
      name: 'Another',
      done: { x: true },
      stage: 'soldered',
    };
    for (const board of boards) expect(evaluate(whole, board), board.id).toEqual(plain.get(board.id));
  });

  test('a limit touches no wiring: the hookup is the very same, and so is the climb of a board that stops before', () => {
    const memory = newMemory();
    const first = evaluate(build, boards[0]!, null, memory);
    const next = keepingWhatIsEqual(build, structuredClone({ ...build, limits: { takeOffMassG: 1, budgetCents: 1 } }));
    expect(evaluate(next, boards[0]!, null, memory).hookup).toBe(first.hookup);
    const early = boards.map((b) => stoppedEarly(build, b, memory));
    expect(early.filter((c) => c !== null).length).toBeGreaterThan(1);
    boards.forEach((b, i) => expect(stoppedEarly(next, b, memory)).toBe(early[i]));
    const shorter = keepingWhatIsEqual(build, structuredClone({ ...build, parts: build.parts.slice(1) }));
    expect(evaluate(shorter, boards[0]!, null, memory).hookup).not.toBe(first.hookup);
  });
});
