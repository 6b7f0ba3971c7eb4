import { existsSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { evaluate, readFile, type Climb } from '../src/core';
import { manyPairs } from '../src/core/tests/many-climbs';
import { sectionsOf, writtenSections } from '../src/core/tests/recorded-words';

/**
 * Whether the climbs are still those that were recorded: the demo's 160, 240 with builds drawn from its library, 1,000 with boards made from its boards.
 * `npm run -s bench -- climbs` names every difference; `npm run -s bench -- climbs write` records anew, the words of some of them as well; `climbs write FILE` records each climb whole, as lines of JSON.
 */
const recorded = 'bench/recorded-climbs.csv';
const read = <K extends 'rung-shelf' | 'rung-build'>(file: string, kind: K) => {
  const said = readFile(readFileSync(file, 'utf8'), kind);
  if (!said.ok) throw new Error(`${file}: ${said.faults[0]!.sentence}`);
  return said.value;
};
const shelf = read('demo/shelf.json', 'rung-shelf');
const builds = readdirSync('demo/builds')
  .sort()
  .map((f) => read(`demo/builds/${f}`, 'rung-build'));

const words = { holds: 'h', strained: 's', unknown: 'u', breaks: 'b' } as const;
/** What a climb came to, without its sentences. */
const summary = ({ verdict, rungs, massG, totalCents, hookup }: Climb) =>
  [
    verdict,
    rungs.map((r) => words[r.state]).join(''),
    massG.low.toFixed(1),
    massG.high?.toFixed(1) ?? '?',
    totalCents ?? '?',
    Object.values(hookup.cost).join(' '),
    hookup.marginPercent,
    hookup.freePorts,
  ].join(',');

const [, , act, whole] = process.argv;
const pairs = manyPairs(builds, shelf.boards, shelf.peripherals);
const climbs = pairs.map(({ name, build, board }) => ({ name, climb: evaluate(build, board) }));
const lines = climbs.map(({ name, climb }) => `${name},${summary(climb)}`);
if (whole) writeFileSync(whole, climbs.map((c) => JSON.stringify(c)).join('\n'));
else if (act === 'write') {
  writeFileSync('bench/recorded-words.txt', writtenSections(sectionsOf(builds, shelf)));
  writeFileSync(
    recorded,
    `${['pair,verdict,rungs,least g,most g,cents,cost,margin,free ports', ...lines].join('\n')}\n`,
  );
}
const before = existsSync(recorded) ? readFileSync(recorded, 'utf8').trim().split('\n').slice(1) : [];
const changed = lines.filter((line, i) => line !== before[i]);
for (const line of changed.slice(0, 40)) console.log(`was ${before[lines.indexOf(line)] ?? 'nothing'}\nis  ${line}`);
const verdicts = Object.fromEntries(
  ['fits', 'fits with work', 'cannot say yet', 'does not fit'].map((v) => [
    v,
    climbs.filter((c) => c.climb.verdict === v).length,
  ]),
);
console.table(verdicts);
console.log(JSON.stringify({ climbs: lines.length, changed: changed.length }));
