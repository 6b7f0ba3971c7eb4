import { expect, test } from 'vitest';
import { buildSchema, planNumbers } from '../records/build';
import { makeBuild } from '../tests/make';
import { planFigures, planGrounds, withOwnWord } from './plan-figures';

test("a number of the plan is the buyer's own word until another is named", () => {
  const build = makeBuild();
  expect(planGrounds(build, 'bay height')).toEqual([
    { what: 'Bay height', figure: `${build.frame.bayHeightMm} mm`, origin: 'plan' },
  ]);
  const said = { 'bay height': { origin: 'measured' as const, source: 'calliper', seen: '2026-11-28' } };
  const lent = buildSchema.parse({ ...build, said });
  expect(planGrounds(lent, 'bay height', 'amps at volts')[0]).toMatchObject({ origin: 'measured', source: 'calliper' });
});

test('every number that may be lent a word has its figure, and no build of before loses one', () => {
  expect(Object.keys(planFigures)).toEqual([...planNumbers]);
  const { said: _, ...before } = makeBuild();
  expect(buildSchema.parse(before).said).toEqual({});
  expect(buildSchema.safeParse({ ...before, said: { beauty: { origin: 'claim' } } }).success).toBe(false);
});

test('whoever changes a number says it; of the others the word stays, and so does one that comes with the change', () => {
  const word = { origin: 'assumed' as const, source: 'usual' };
  const said = { 'cruise amps': word, 'peak amps': word };
  const before = { ...makeBuild(), said };
  const cruise = (said: typeof before.said) => ({ ...before, said, motors: { ...before.motors, cruiseAmps: 7.5 } });
  expect(withOwnWord(before, cruise(said)).said).toEqual({ 'peak amps': word });
  const read = { origin: 'manual' as const };
  expect(withOwnWord(before, cruise({ ...said, 'cruise amps': read as never })).said['cruise amps']).toBe(read);
  const renamed = { ...before, name: 'Another' };
  expect(withOwnWord(before, renamed)).toBe(renamed);
});
