import {
  ASYMMETRIC_MATCHERS_OBJECT,
  GLOBAL_EXPECT,
  JestAsymmetricMatchers,
  JestChaiExpect,
  JestExtend,
  chai,
  customMatchers,
  setState,
} from '@vitest/expect';
import { format } from 'node:util';

/**
 * What the core's tests take from Vitest, without its runner: Vitest loads a test file anew for each mutant, which takes seconds; here all files are loaded once and
 * a mutant costs what its tests cost.
 */
chai.use(JestExtend);
chai.use(JestChaiExpect);
chai.use(JestAsymmetricMatchers);
export const expect = (value, message) => chai.expect(value, message);
Object.assign(expect, chai.expect, globalThis[ASYMMETRIC_MATCHERS_OBJECT]);
expect.soft = expect;
setState({ assertionCalls: 0 }, expect);
globalThis[GLOBAL_EXPECT] = expect;
chai.expect.extend(expect, customMatchers);

/** Every test met, in order: `before` are the preparations of its groups. */
export const tests = [];
const groups = [];
let file = '';

/** Tests that follow stand in this file; what its loading runs is told apart from what its tests run. */
export function inFile(name) {
  file = name;
  globalThis.__stryker__.currentTestId = `load ${name}`;
}

export function test(name, ...rest) {
  const body = rest.find((r) => typeof r === 'function');
  tests.push({ file, name: [...groups.map((g) => g.name), name].join(' > '), groups: [...groups], body });
}

export function describe(name, body) {
  groups.push({ name, before: [], ready: false });
  body();
  groups.pop();
}

export function beforeAll(body) {
  groups.at(-1).before.push(body);
}

/** A table of tests: arrays are spread. */
const each =
  (one) =>
  (rows) =>
  (name, ...rest) => {
    const body = rest.find((r) => typeof r === 'function');
    for (const row of rows) {
      const values = Array.isArray(row) ? row : [row];
      one(format(name, ...values), () => body(...values));
    }
  };
test.each = each(test);
describe.each = each(describe);

/** Runs one test; what it throws is its failure. */
export async function runTest({ groups: around, body }) {
  for (const group of around) {
    if (group.ready) continue;
    for (const prepare of group.before) await prepare();
    group.ready = true;
  }
  await body();
}
