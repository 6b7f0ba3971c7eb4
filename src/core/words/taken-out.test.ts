import { expect, test } from 'vitest';
import { wireList } from '../bill/wire-list';
import { evaluate } from '../evaluate/climb';
import { rungNames } from '../trade/rungs';
import { demoBuilds, demoShelf } from '../tests/demo';
import { climbMarkdown } from './climb-markdown';
import { wiresCsv } from './wires-csv';
import { sentenceOf } from './finding/sentence-of';

const build = demoBuilds().find((b) => b.id === 'gutterling')!;
const board = demoShelf().boards.find((b) => evaluate(build, b).stopsAt === null)!;
const climb = evaluate(build, board);

test('findings as Markdown: the verdict in the title, every rung, every sentence once', () => {
  const text = climbMarkdown(build, climb);
  expect(text.split('\n')[0]).toContain(`for Gutterling: ${climb.verdict}`);
  for (const [i, name] of rungNames.entries()) expect(text).toContain(`## ${i + 1} ${name}: ${climb.rungs[i]!.state}`);
  for (const f of climb.rungs.flatMap((r) => r.findings)) expect(text).toContain(sentenceOf(f));
});

test('wires as a table: one line a wire below its heading (RFC 4180)', () => {
  const wires = wireList(build, board, climb.hookup);
  const lines = wiresCsv(wires).split('\r\n');
  expect(lines[0]).toBe('part,from pad,face,to,net,AWG,mm,colour');
  expect(lines).toHaveLength(wires.length + 1);
});
