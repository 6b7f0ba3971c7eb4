import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { faultsFor } from '../bench/faults';
import { firstPower } from '../bench/first-power';
import { benchOf } from '../bench/on-the-bench';
import { probesWith } from '../bench/probes';
import { evaluate, type Climb } from '../evaluate/climb';
import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { readData, readFile } from '../records/file';
import { tally } from '../decide/tally';
import { basketOf, orderFor } from '../bill/basket';
import { buildSheet, sheetMarkdown } from '../guide/build-sheet';
import { tampered } from './tampered';

const demo = <F extends 'rung-shelf' | 'rung-build'>(path: string, format: F) => {
  const read = readFile(readFileSync(`demo/${path}`, 'utf8'), format);
  if (!read.ok) throw new Error(path);
  return read.value;
};
const { boards } = demo('shelf.json', 'rung-shelf');
const builds = ['gutterling', 'attic-mouse', 'belfry-six'].map((id) => demo(`builds/${id}.json`, 'rung-build'));

let onBench = 0;

/** Everything that is worked out from a build and a board, and that each sum in it is a number. */
function everything(build: Build, board: Board): Climb {
  const climb = evaluate(build, board);
  tally(build);
  const order = orderFor(basketOf(build, board, climb.hookup), 'cheapest');
  sheetMarkdown(buildSheet(build, board, climb));
  const bench = benchOf(build, board, climb);
  // The bench runs whole circuits: one in ten is enough of them.
  onBench += 1;
  const start = onBench % 10 === 0 ? firstPower(bench, { limitAmps: 2, capacitor: true, fault: 'healthy' }) : null;
  if (start) for (const fault of faultsFor(bench).slice(0, 3)) probesWith(bench, fault.id);
  expect(climb.rungs).toHaveLength(10);
  for (const n of [
    climb.massG.low,
    order.totalCents,
    ...(start === null || 'unsolved' in start ? [] : [start.inrushAmps, start.steadyAmps]),
    ...Object.values(climb.hookup.cost),
  ])
    expect(Number.isFinite(n)).toBe(true);
  return climb;
}

describe('files that somebody has tampered with', () => {
  test('a board is refused with a place and a sentence, or everything can be worked out from it', () => {
    const seen = { refused: 0, accepted: 0 };
    for (let seed = 1; seed <= 500; seed++) {
      const read = readData(tampered(boards[seed % boards.length]!, seed, 1 + (seed % 3)), 'rung-board');
      if (!read.ok) {
        seen.refused++;
        for (const f of read.faults) expect(f.sentence).toMatch(/\S/);
        continue;
      }
      seen.accepted++;
      everything(builds[seed % builds.length]!, read.value);
    }
    expect(seen.refused).toBeGreaterThan(25);
    expect(seen.accepted).toBeGreaterThan(25);
  });

  test('a build, the same', () => {
    const seen = { refused: 0, accepted: 0 };
    for (let seed = 1; seed <= 500; seed++) {
      const read = readData(tampered(builds[seed % builds.length]!, seed + 5000, 1 + (seed % 3)), 'rung-build');
      if (!read.ok) {
        seen.refused++;
        continue;
      }
      seen.accepted++;
      everything(read.value, boards[seed % boards.length]!);
    }
    expect(seen.refused).toBeGreaterThan(25);
    expect(seen.accepted).toBeGreaterThan(25);
  });

  test('nothing that is read reaches into the program itself', () => {
    readFile(
      '{"format":"rung-board","version":1,"__proto__":{"polluted":true},"constructor":{"prototype":{"polluted":true}}}',
    );
    readData(JSON.parse('{"format":"rung-build","__proto__":{"polluted":true}}'), 'rung-build');
    expect(({} as { polluted?: boolean }).polluted).toBeUndefined();
  });

  test.each([
    ['a hundred thousand brackets', '['.repeat(100_000)],
    ['half a file', JSON.stringify(boards[0]).slice(0, 4000)],
    ['a picture', '\u0089PNG\r\n\u001a\n\u0000\u0000'],
    ['one long number', '9'.repeat(1_000_000)],
    [
      'a shelf of a million nothings',
      `{"format":"rung-shelf","version":1,"name":"x","boards":[${'0,'.repeat(999_999)}0]}`,
    ],
  ])('%s gets a sentence', (_, text) => {
    const read = readFile(text);
    expect(read.ok).toBe(false);
    if (!read.ok) expect(read.faults[0]!.sentence).toMatch(/\S/);
  });
});
