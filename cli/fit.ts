import { parseArgs } from 'node:util';
import {
  bestSets,
  candidateAt,
  firstSentence,
  isCandidate,
  money,
  rankClimbs,
  type Build,
  type Climb,
  type Ranked,
  type RungState,
} from '../src/core';
import { climbOf } from '../src/highs/climb';
import { complain, openFile } from './open-file';
import { fitJson } from './fit-json';

const marks: Record<RungState, string> = { holds: '=', strained: '~', unknown: '?', breaks: '/' };

export async function fit(args: string[]): Promise<number> {
  let options: { build?: string; shelf?: string; json?: boolean; set?: string[] };
  try {
    options = parseArgs({
      args,
      options: {
        build: { type: 'string' },
        shelf: { type: 'string' },
        json: { type: 'boolean' },
        set: { type: 'string', multiple: true },
      },
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
  const asked: Climb[] = [];
  for (const id of options.set ?? []) {
    const set = candidateAt(build.value, boards, id);
    if (!set) {
      console.error(
        `fit: "${id}" is no board or set of this shelf. Expected the ids of a controller, an ESC and a power board, or two of them, with a tilde between.`,
      );
      return 2;
    }
    asked.push(await climbOf(build.value, set));
  }
  const alone = await Promise.all(boards.filter(isCandidate).map((board) => climbOf(build.value, board)));
  const sets = bestSets(build.value, boards);
  const found = [...alone, ...sets.climbs];
  const ranked = rankClimbs([...found, ...asked.filter((a) => !found.some((c) => c.boardId === a.boardId))]);
  console.log(options.json ? JSON.stringify(fitJson(build.value, ranked, sets), null, 2) : table(ranked, build.value));
  return 0;
}

function table(ranked: Ranked[], { currency }: Build): string {
  const width = Math.max(5, ...ranked.map((r) => r.climb.boardName.length));
  const lines = ranked.map(({ rank, climb }) => {
    const rungs = climb.rungs.map((r) => marks[r.state]).join('');
    const stop = climb.rungs.find((r) => r.rung === climb.stopsAt) ?? climb.rungs.find((r) => r.state === 'unknown');
    const why = stop ? `${stop.name}: ${firstSentence(stop)}` : '';
    const price = climb.totalCents === null ? 'no offer' : money(climb.totalCents, currency);
    return `${String(rank).padStart(3)}  ${climb.boardName.padEnd(width)}  ${rungs}  ${climb.verdict.padEnd(14)}  ${price.padStart(9)}  ${why}`;
  });
  return [
    `     ${'board'.padEnd(width)}  rungs 1-10  verdict         to pay     why it stops`,
    ...lines,
    '',
    '= holds   ~ strained   ? unknown   / breaks      rungs: Frame Pack Motors Ports Signals Rails Load Weight Cost Comforts',
  ].join('\n');
}
