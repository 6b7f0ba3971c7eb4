import { evaluate, type Board, type Build } from '../src/core';
import { faultsOf } from '../src/core/tests/joint-checker';
import { damaged, lawfulPair } from '../src/core/tests/lawful-pair';
import { randomPair } from '../src/core/tests/random-build';

/**
 * Is anything taken twice or overloaded in a hookup that fits? 20,000 pairs, checked by a count that shares no code with the wiring; and of 5,000 boards made round a lawful
 * hookup, is any refused? `npm run -s bench -- joints [LAWFUL]`.
 */
const lawful = Number(process.argv[2] ?? 5000);
let pairs = 0;
let fitting = 0;
let refused = 0;
const findings: string[] = [];
function look(build: Build, board: Board, name: string): boolean {
  const { verdict, hookup } = evaluate(build, board);
  pairs++;
  if (verdict !== 'fits' && verdict !== 'fits with work') return false;
  fitting++;
  findings.push(...faultsOf(build, board, hookup).map((fault) => `${name}: ${fault}`));
  return true;
}
for (let seed = 1; seed <= lawful; seed++) {
  const { build, board } = lawfulPair(seed);
  if (!look(build, board, `lawful ${seed}`)) refused++;
  look(build, damaged(board, seed), `damaged ${seed}`);
  look(build, damaged(damaged(board, seed), seed + 1e6), `damaged twice ${seed}`);
  const random = randomPair(seed, { parts: 3, ports: 6, rails: 6, bridges: 2 });
  look(random.build, random.board, `random ${seed}`);
}
for (const finding of findings.slice(0, 20)) console.log(finding);
console.log(JSON.stringify({ pairs, fitting, findings: findings.length, lawful, wronglyRefused: refused }));
