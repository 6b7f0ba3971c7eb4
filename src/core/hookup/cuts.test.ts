import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { everyHookup } from '../tests/every-hookup';
import { problemArbitrary } from '../tests/random-problem';
import { relaxed } from '../tests/relaxed';
import { cost, levelOrder, noCost } from './cost';
import { brokenCovers } from './covers';
import { brokenCuts, type Cut } from './cuts';
import type { Choice, Problem } from './problem';
import { boundOf, drop, lookAt, sharesOf } from './relax';
import { roundedSums } from './rounded';
import { brokenTies } from './ties';

const must = levelOrder.indexOf('must');
const effort = levelOrder.indexOf('effort');

/** Parts with one mode and one need each; unmet costs a must. */
const problemOf = (limits: number[], once: Problem['tags'][number]['once'] | null, ...parts: Choice[][]): Problem => ({
  rows: limits.map((limit, r) => ({ id: `row${r}`, limit })),
  tags: once ? [{ id: 'bridge', once }] : [],
  parts: parts.map((choices, i) => ({ id: `part${i}`, unmet: cost({ must: 1 }), modes: [{ id: 'mode', cost: noCost, needs: [{ id: 'need', choices }] }] })),
});
const choice = (rows: number[], tags: Choice['tags'] = [], effortOf = 0): Choice => ({ cost: cost({ effort: effortOf }), margin: Infinity, uses: rows.map((r) => [r, 1] as const), tags });

/** What a hookup, or a relaxed one, takes of a cut. */
function takenOf(cut: Cut, shares: (option: number) => number, stands: (tag: number, value: number) => number): number {
  return cut.options.reduce((sum, o, k) => sum + cut.amounts[k]! * shares(o), 0) + cut.values.reduce((sum, v) => sum + v.amount * stands(v.tag, v.value), 0);
}

describe('ties: what hangs on a tag has no more of a row than the tag opens', () => {
  test('by hand: three parts that could share one port behind a bridge move the whole bridge, not a third of it', () => {
    // Row 0: a port for one link that hears only with the bridge moved (effort 4). Row 1: two of the three have other ports.
    const moved = [noCost, cost({ effort: 4 })];
    const ways = () => [choice([0], [[0, 1]]), choice([1])];
    const node = relaxed(problemOf([1, 2], moved, ways(), ways(), ways()));
    expect(boundOf(node, must).bound).toBeCloseTo(0, 6);
    for (let o = 0; o < node.alive.length; o++) if (node.model.options[o]!.pick === null) drop(node, o);
    expect(boundOf(node, effort).bound).toBeCloseTo(4, 6);
  });
});

describe('sums rounded down', () => {
  test('by hand: of three parts that pairwise want the same pad only one can stand', () => {
    // x1 + x2 <= 1, x2 + x3 <= 1, x1 + x3 <= 1: halves of all three are within every row; half of the sum of the rows is 1.5, rounded down 1.
    const node = relaxed(problemOf([1, 1, 1], null, [choice([0, 2])], [choice([0, 1])], [choice([1, 2])]));
    expect(boundOf(node, must).bound).toBeCloseTo(2, 6);
    expect(node.cuts).toHaveLength(1);
    const [cut] = node.cuts;
    expect(cut!.limit).toBe(1);
    expect(cut!.amounts).toEqual([1, 1, 1]);
    expect(cut!.options.map((o) => node.model.partOf[o])).toEqual([0, 1, 2]);
  });
});

describe('cuts of every kind', () => {
  test('are broken by the relaxed hookup and kept by every hookup there is', () => {
    const found = { ties: 0, covers: 0, rounded: 0 };
    fc.assert(
      fc.property(problemArbitrary({ parts: 5, rows: 4, tags: 2, choices: 3 }), fc.constantFrom(must, effort), (problem, level) => {
        const node = relaxed(problem);
        boundOf(node, level);
        const cuts = [...node.cuts];
        // Also those that are broken before there are any.
        const bare = relaxed(problem);
        lookAt(bare, level, 600);
        const shares = sharesOf(bare);
        const more = { ties: brokenTies(bare, shares), covers: brokenCovers(bare, shares, 1), rounded: roundedSums(bare, shares) };
        for (const kind of ['ties', 'covers', 'rounded'] as const) {
          found[kind] += more[kind].length;
          cuts.push(...more[kind]);
        }
        for (const cut of node.cuts) found[cut.scale > 1 ? 'ties' : 'rounded']++;
        everyHookup(node, (pick) => {
          const taken = new Set(pick);
          const stands = new Set([...pick].flatMap((o) => node.model.options[o]!.tags.map(([t, v]) => `${t}:${v}`)));
          for (const cut of cuts) expect(takenOf(cut, (o) => (taken.has(o) ? 1 : 0), (t, v) => (stands.has(`${t}:${v}`) ? 1 : 0))).toBeLessThanOrEqual(cut.limit);
        });
      }),
      { numRuns: 1500, seed: 11 },
    );
    expect(Math.min(found.ties, found.covers, found.rounded)).toBeGreaterThan(20);
  });

  test('none is found where the relaxed hookup is a whole one', () => {
    const node = relaxed(problemOf([2], null, [choice([0])], [choice([0])]));
    boundOf(node, must);
    expect(brokenCuts(node, sharesOf(node), true)).toEqual([]);
  });
});
