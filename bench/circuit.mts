import { evaluate, type Board, type Build } from '../src/core';
import { demoBuilds, demoShelf } from '../src/core/tests/demo';
import { damaged, lawfulPair } from '../src/core/tests/lawful-pair';
import { manyPairs } from '../src/core/tests/many-climbs';
import { againstNgspice, runAgainstNgspice } from '../src/core/tests/ngspice';
import { randomCircuit } from '../src/core/tests/random-circuit';
import { randomPair } from '../src/core/tests/random-build';
import { withFixes } from '../src/core/fix/apply';
import { hookupNetlist } from '../src/core/simulate/hookup-netlist';
import { auditScenes, benchScene } from '../src/core/simulate/scene';

/**
 * Our circuits against ngspice on the same netlist: every hookup of the demo that fits, in all scenes, and random circuits. And the audit: does the solved circuit ever
 * contradict a hookup that the rungs let through? `npm run -s bench -- circuit [RANDOM CIRCUITS] [AUDITED PAIRS]`
 */
const random = Number(process.argv[2] ?? 300);
const audited = Number(process.argv[3] ?? 5000);
const shelf = demoShelf();
const builds = demoBuilds();

let circuits = 0;
const off: string[] = [];
let secondStates = 0;
const worst = { volts: 0, share: 0 };
function compare(name: string, net: Parameters<typeof againstNgspice>[0]) {
  circuits++;
  const found = againstNgspice(net);
  if (typeof found === 'string') return off.push(`${name}: ${found}`);
  worst.volts = Math.max(worst.volts, found.volts);
  worst.share = Math.max(worst.share, found.share);
  secondStates += Number(found.secondState);
}
for (let seed = 1; seed <= random; seed++) compare(`random ${seed}`, randomCircuit(seed));
for (const asked of builds)
  for (const bought of shelf.boards) {
    const climb = evaluate(asked, bought);
    if (!climb.verdict.startsWith('fits')) continue;
    const { build, board } = withFixes(asked, bought);
    for (const scene of [...auditScenes, benchScene({})])
      compare(`${build.id} ${board.id} ${scene.id}`, hookupNetlist(build, board, climb.hookup, scene));
  }
/** First power of every hookup of the demo that fits, through 2 A and straight from the pack: ends, peaks and moments. */
let runs = 0;
let worstRun = 0;
for (const asked of builds)
  for (const bought of shelf.boards) {
    const climb = evaluate(asked, bought);
    if (!climb.verdict.startsWith('fits')) continue;
    const { build, board } = withFixes(asked, bought);
    for (const pack of [{ charge: 'full' as const, limiterAmps: 2 }, { charge: 'full' as const }]) {
      const net = hookupNetlist(build, board, climb.hookup, benchScene({ pack }));
      const nodes = board.rails
        .filter((r) => r.source.kind !== 'usb')
        .map((r) => `rail ${r.id}`)
        .filter((n) => net.elements.some((e) => e.from === n || e.to === n));
      const found = runAgainstNgspice(net, 0.06, nodes);
      runs++;
      const name = `${build.id} ${board.id} first power${'limiterAmps' in pack ? ' through 2 A' : ''}`;
      if (typeof found === 'string') off.push(`${name}: ${found}`);
      else if (found > 0.05) off.push(`${name}: off by ${Math.round(found * 1000) / 10} %`);
      else worstRun = Math.max(worstRun, found);
    }
  }
for (const line of off.slice(0, 40)) console.log(line);

let pairs = 0;
let audits = 0;
const contradictions: string[] = [];
function audit(name: string, build: Build, board: Board) {
  pairs++;
  const climb = evaluate(build, board);
  const said = climb.rungs.flatMap((r) => r.findings.filter((f) => f.code === 'circuit disagrees'));
  if (said.length > 0) contradictions.push(`${name}: ${said[0]!.sentence}`);
  if (said.length > 0 || climb.verdict.startsWith('fits')) audits++;
}
for (const { name, build, board } of manyPairs(builds, shelf.boards, shelf.peripherals ?? []))
  audit(name, build, board);
for (let seed = 1; pairs < audited; seed++) {
  const { build, board } = lawfulPair(seed);
  audit(`lawful ${seed}`, build, board);
  audit(`damaged ${seed}`, build, damaged(board, seed));
  const drawn = randomPair(seed, { parts: 3, ports: 6, rails: 6, bridges: 2 });
  audit(`random ${seed}`, drawn.build, drawn.board);
}
for (const line of contradictions.slice(0, 20)) console.log(line);
const figures = {
  circuits,
  disagreements: off.length,
  secondStates,
  worstMillivolts: Math.round(worst.volts * 1e5) / 100,
  worstErrorPercent: Math.round(worst.share * 1e4) / 100,
  runs,
  worstRunPercent: Math.round(worstRun * 1e4) / 100,
  pairs,
  audits,
  contradictions: contradictions.length,
};
console.table(figures);
console.log(JSON.stringify(figures));
