import { beforeAll, describe, expect, test } from 'vitest';
import type { Highs } from 'highs';
import { loadHighs, solveMilp } from '../tests/milp';
import { randomPair } from '../tests/random-build';
import { compile } from '../wiring/compile';
import { pack } from './cost';
import { layOut } from '../wiring/lay-out';
import { solve } from './solve';
import { workshop, type SolvedRung } from '../wiring/way';

// A general mixed-integer solver (HiGHS) as an oracle that shares no search code with ours; `bench -- hookup` asks it a thousand times.
let highs: Highs;
beforeAll(async () => {
  highs = await loadHighs();
});

describe('the exact search against HiGHS, on random builds and boards', () => {
  test('the whole objective agrees, level by level, and so does the margin', () => {
    let problems = 0;
    for (let seed = 1; seed <= 60; seed++) {
      const { build, board } = randomPair(seed, {
        parts: 2 + (seed % 6),
        ports: 1 + (seed % 6),
        rails: 2 + (seed % 4),
        bridges: seed % 3,
      });
      for (const world of ['sure', 'hopeful'] as const) {
        const shop = workshop(build, board, world);
        const { problem } = compile(shop, layOut(shop), 7);
        const ours = solve(problem);
        const theirs = solveMilp(highs, problem);
        expect(pack(ours.cost), `seed ${seed} ${world}`).toEqual(pack(theirs.cost));
        expect(ours.margin, `seed ${seed} ${world}`).toBe(theirs.margin);
        problems += 1;
      }
    }
    expect(problems).toBe(120);
  });

  test('rungs 4 to 7 nest: what a higher rung can serve, every lower one can', () => {
    for (let seed = 500; seed < 560; seed++) {
      const { build, board } = randomPair(seed, { parts: 6, ports: 5, rails: 4, bridges: 2 });
      const shop = workshop(build, board, 'sure');
      const laid = layOut(shop);
      const unmet = ([4, 5, 6, 7] as SolvedRung[]).map((k) => solve(compile(shop, laid, k).problem).cost.must);
      expect(unmet, `seed ${seed}`).toEqual([...unmet].sort((a, b) => a - b));
    }
  });
});
