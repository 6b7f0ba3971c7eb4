import { parseArgs } from 'node:util';
import { bestSets, isCandidate, money, rankClimbs, type Ranked, type RungState } from '../src/core';
import { climbOf } from '../src/highs/climb';
import { complain, openFile } from './open-file';
import { fitJson } from './fit-json';

const marks: Record<RungState, string> = { holds: '=', strained: '~', unknown: '?', breaks: '/' };

export async function fit(args: string[]): Promise<number> {
  let options: { build?: string; shelf?: string; json?: boolean };
  try {
    options = parseArgs({
      args,
      options: { build: { type: 'string' }, shelf: { type: 'string' }, json: { type: 'boolean' } },
    }).values;
  } catch (error) {
    console.error(`fit: ${error instanceof Error ? error.message.split('\n')[0] : 'these words are not understood'}`);
    return 2;
  }
  if (!options.build || !options.shelf) {
    console.error('fit: expected --build FILE and --shelf FILE.');
    return 2;
  }
  const build = openFile(options.build, 'rung-build');
  if (!build.ok) return complain(options.build, build.faults);
  const shelf = openFile(options.shelf, 'rung-shelf');
  if (!shelf.ok) return complain(options.shelf, shelf.faults);
  const { boards } = shelf.value;
  const alone = await Promise.all(boards.filter(isCandidate).map((board) => climbOf(build.value, board)));
  const ranked = rankClimbs([...alone, ...bestSets(build.value, boards).climbs]);
  console.log(options.json ? JSON.stringify(fitJson(build.value, ranked), null, 2) : table(ranked));
  return 0;
}

function table(ranked: Ranked[]): string {
  const width = Math.max(5, ...ranked.map((r) => r.climb.boardName.length));
  const lines = ranked.map(({ rank, climb }) => {
    const rungs = climb.rungs.map((r) => marks[r.state]).join('');
    const stop = climb.rungs.find((r) => r.rung === climb.stopsAt) ?? climb.rungs.find((r) => r.state === 'unknown');
    const why = stop ? `${stop.name}: ${stop.findings[0]?.sentence ?? ''}` : '';
    const price = climb.totalCents === null ? 'no offer' : money(climb.totalCents);
    return `${String(rank).padStart(3)}  ${climb.boardName.padEnd(width)}  ${rungs}  ${climb.verdict.padEnd(14)}  ${price.padStart(9)}  ${why}`;
  });
  return [
    `     ${'board'.padEnd(width)}  rungs 1-10  verdict         to pay     why it stops`,
    ...lines,
    '',
    '= holds   ~ strained   ? unknown   / breaks      rungs: Frame Pack Motors Ports Signals Rails Load Weight Cost Comforts',
  ].join('\n');
}
