import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { ground } from '../quantity/ground';
import { heard } from '../quantity/word';
import { readFile } from '../records/file';
import { figuresOf } from '../figures/board-figures';
import { ifWordCounts } from './if-word-counts';

const shelf = readFile(readFileSync('demo/shelf.json', 'utf8'), 'rung-shelf');
const build = readFile(readFileSync('demo/builds/saltgrass.json', 'utf8'), 'rung-build');
if (!shelf.ok || !build.ok) throw new Error('demo');
const board = shelf.value.boards.find((b) => b.kind === 'all-in-one' || b.kind === 'flight controller')!;
const heavy = {
  ...board,
  massG: heard(
    { value: 8, origin: 'claim', source: 'shop', seen: '2026-10-01' },
    { value: 9000, origin: 'measured', seen: '2026-11-01' },
  ) as typeof board.massG,
};
const figure = figuresOf(heavy).find((f) => f.field === 'massG')!;
const said = ground(figure.says, heavy.massG, figure.unit);

test('the verdict if the claim is true after all is that of the board with the claim alone', () => {
  const changed = ifWordCounts(heavy, said, 0, '2026-11-28')!;
  expect(changed.massG).toMatchObject({ value: 8, origin: 'claim', chosen: true });
  const claimed = { ...board, massG: { value: 8, origin: 'claim' as const } };
  expect(evaluate(build.value, changed).verdict).toBe(evaluate(build.value, claimed).verdict);
  expect(evaluate(build.value, heavy).verdict).toBe('does not fit');
});

test('what is no word of a figure of this board changes nothing', () => {
  expect(ifWordCounts(heavy, said, 7, '2026-11-28')).toBeNull();
  expect(ifWordCounts(board, said, 0, '2026-11-28')).toBeNull();
});
