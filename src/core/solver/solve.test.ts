import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { bruteForce } from '../tests/brute-force';
import { problemArbitrary } from '../tests/random-problem';
import { compare, cost, pack, plus, unpack } from './cost';
import { isBetter, priceOf, solve } from './solve';

describe('costs', () => {
  test('pack and unpack are inverse, and the order is lexicographic', () => {
    const a = cost({ must: 1, cents: 450, deciGrams: 30, effort: 2, ports: 7 });
    expect(unpack(pack(a))).toEqual(a);
    expect(unpack(plus(pack(a), pack(a)))).toMatchObject({ must: 2, cents: 900, deciGrams: 60, effort: 4, ports: 14 });
    expect(compare(pack(cost({ should: 1 })), pack(cost({ hazards: 9, cents: 99_999 })))).toBeGreaterThan(0);
    expect(compare(pack(cost({ effort: 1 })), pack(cost({ nice: 9, compromises: 40 })))).toBeGreaterThan(0);
  });
});

describe('the exact search against trying everything', () => {
  test('feasibility and the whole objective agree on random problems', () => {
    let solved = 0;
    fc.assert(
      fc.property(problemArbitrary({ parts: 4, rows: 4, tags: 2, choices: 3 }), (problem) => {
        const ours = solve(problem);
        const theirs = bruteForce(problem);
        expect(pack(ours.cost)).toEqual(pack(theirs.cost));
        expect(ours.margin).toBe(theirs.margin);
        solved += 1;
      }),
      { numRuns: 1500, seed: 20261124 },
    );
    expect(solved).toBe(1500);
  });

  test('the cost it reports is the cost of what it picked, and equal problems give equal answers', () => {
    fc.assert(
      fc.property(problemArbitrary({ parts: 7, rows: 5, tags: 3, choices: 4 }), (problem) => {
        const first = solve(problem);
        expect(priceOf(problem, first.picks)).toEqual(first.cost);
        expect(solve(structuredClone(problem))).toEqual(first);
      }),
      { numRuns: 300, seed: 7 },
    );
  });

  test('more room on a row never makes the hookup worse', () => {
    fc.assert(
      fc.property(problemArbitrary({ parts: 6, rows: 4, tags: 2, choices: 3 }), fc.nat(3), (problem, which) => {
        const before = solve(problem);
        const rows = problem.rows.map((r, i) =>
          i === which % problem.rows.length
            ? { ...r, limit: r.limit + 1, ...(r.comfort === undefined ? {} : { comfort: r.comfort + 1 }) }
            : r,
        );
        expect(isBetter(before, solve({ ...problem, rows }))).toBe(false);
      }),
      { numRuns: 300, seed: 11 },
    );
  });

  test('one part more never lowers the cost', () => {
    fc.assert(
      fc.property(problemArbitrary({ parts: 6, rows: 4, tags: 2, choices: 3 }), (problem) => {
        const fewer = solve({ ...problem, parts: problem.parts.slice(0, -1) });
        const [a, b] = [pack(fewer.cost), pack(solve(problem).cost)];
        expect(a[0] - b[0] || a[1] - b[1]).toBeLessThanOrEqual(0);
      }),
      { numRuns: 300, seed: 13 },
    );
  });

  test('fixing what was chosen changes nothing', () => {
    fc.assert(
      fc.property(problemArbitrary({ parts: 6, rows: 4, tags: 2, choices: 4 }), (problem) => {
        const free = solve(problem);
        const locked = {
          ...problem,
          parts: problem.parts.map((part, p) => {
            const pick = free.picks[p];
            if (!pick) return { ...part, modes: [] };
            const mode = part.modes[pick.mode]!;
            return {
              ...part,
              modes: [
                { ...mode, needs: mode.needs.map((n, i) => ({ ...n, choices: [n.choices[pick.choices[i]!]!] })) },
              ],
            };
          }),
        };
        const fixed = solve(locked);
        expect(fixed.cost).toEqual(free.cost);
        expect(fixed.margin).toBe(free.margin);
      }),
      { numRuns: 300, seed: 17 },
    );
  });
});
