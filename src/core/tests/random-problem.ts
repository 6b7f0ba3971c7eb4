import fc from 'fast-check';
import { cost } from '../solver/cost';
import type { Choice, Problem } from '../solver/problem';

interface Size {
  parts: number;
  rows: number;
  tags: number;
  choices: number;
}

/** Random hookup problems: unit rows like ports, weighed rows like rails, tags like bridges, costs on every level. */
export function problemArbitrary(size: Size): fc.Arbitrary<Problem> {
  const amount = fc.integer({ min: 1, max: 40 });
  const choice: fc.Arbitrary<Choice> = fc.record({
    cost: fc
      .record({
        effort: fc.nat(3),
        cents: fc.constantFrom(0, 0, 0, 500, 900),
        compromises: fc.nat(1),
        ports: fc.nat(1),
      })
      .map(cost),
    margin: fc.constantFrom(Infinity, Infinity, 50, 20, 5, 0),
    uses: fc.uniqueArray(fc.tuple(fc.nat(size.rows - 1), amount), { maxLength: 2, selector: ([r]) => r }),
    tags: fc.uniqueArray(fc.tuple(fc.nat(size.tags - 1), fc.nat(1)), { maxLength: 1, selector: ([t]) => t }),
  });
  const need = fc.record({
    id: fc.constant('need'),
    choices: fc.array(choice, { minLength: 1, maxLength: size.choices }),
  });
  const mode = fc.record({
    id: fc.constant('mode'),
    cost: fc.record({ effort: fc.nat(4), cents: fc.constantFrom(0, 0, 700) }).map(cost),
    needs: fc.array(need, { maxLength: 2 }),
  });
  const part = fc.record({
    id: fc.constant('part'),
    unmet: fc.constantFrom(cost({ must: 1 }), cost({ should: 1 }), cost({ nice: 1 })),
    modes: fc.array(mode, { minLength: 1, maxLength: 2 }),
  });
  return fc
    .record({
      parts: fc.array(part, { minLength: 1, maxLength: size.parts }),
      rows: fc.array(fc.record({ limit: fc.integer({ min: 0, max: 90 }), unit: fc.boolean(), comfort: fc.boolean() }), {
        minLength: size.rows,
        maxLength: size.rows,
      }),
      tags: fc.array(
        fc.tuple(fc.constant(cost({})), fc.record({ effort: fc.nat(3), cents: fc.constantFrom(0, 0, 300) }).map(cost)),
        { minLength: size.tags, maxLength: size.tags },
      ),
    })
    .map(({ parts, rows, tags }) => {
      const unit = rows.map((r) => r.unit);
      const fit = (c: Choice): Choice => ({ ...c, uses: c.uses.map(([r, a]) => [r, unit[r] ? 1 : a] as const) });
      return {
        parts: parts.map((p, i) => ({
          ...p,
          id: `part${i}`,
          modes: p.modes.map((m) => ({ ...m, needs: m.needs.map((n) => ({ ...n, choices: n.choices.map(fit) })) })),
        })),
        rows: rows.map((r, i) =>
          r.unit
            ? { id: `port${i}`, limit: r.limit % 3, pool: 'port' }
            : { id: `rail${i}`, limit: r.limit, ...(r.comfort ? { comfort: Math.floor(r.limit * 0.8) } : {}) },
        ),
        tags: tags.map((once, i) => ({ id: `tag${i}`, once })),
      };
    });
}
