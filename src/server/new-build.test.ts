import { afterAll, beforeAll, expect, test } from 'vitest';
import { planFigures, planNumbers } from '../core';
import { findBuild } from '../db/builds';
import { openDatabase, type Database } from '../db/connection';
import { moneyOf, sayMoney } from '../db/money';
import { freshDatabase } from '../db/tests/fresh-database';
import { moneyAsked } from './asked';
import { newBuild } from './new-build';

let db: Database;
let close: () => Promise<void>;
beforeAll(async () => {
  ({ db, close } = openDatabase(await freshDatabase(process.env.TEST_DATABASE_URL!)));
});
afterAll(() => close());

test('of three answers comes a build with its parts, what is at home said to be, its own ESC without a figure that nobody said', async () => {
  const id = await newBuild(db, 'First', undefined, {
    kind: 'five-inch quad',
    parts: [
      { part: 'receiver', owned: true },
      { part: 'analogue video', owned: false },
    ],
    ownEsc: true,
  });
  const { build } = (await findBuild(db, id))!;
  expect(build.parts.map((p) => [p.peripheral.name, p.owned])).toEqual([
    ['Receiver', true],
    ['Analogue camera', false],
    ['Video transmitter', false],
  ]);
  expect(build.motors.esc).toBe('separate');
  expect(build.motors.ownEsc).toMatchObject({ channels: 4, continuousAmps: { unknown: true } });
});

test('who says every figure has said none yet: the numbers of a plain build are not called the buyer’s', async () => {
  const { build } = (await findBuild(db, await newBuild(db, 'Plain')))!;
  expect(build.parts).toEqual([]);
  for (const number of planNumbers.filter((n) => planFigures[n].get(build)))
    expect(build.said[number]?.origin, number).toBe('assumed');
});

test('a new build is paid in the currency of the workspace: all its amounts are turned, its rates are there', async () => {
  expect(await moneyOf(db)).toEqual({ currency: 'EUR', rates: {} });
  await sayMoney(db, { currency: 'USD', rates: { EUR: 1.25, GBP: 1.5 } });
  const id = await newBuild(db, 'Second', undefined, { kind: 'wing', parts: [{ part: 'buzzer', owned: false }] });
  const { build } = (await findBuild(db, id))!;
  expect(build).toMatchObject({ currency: 'USD', rates: { EUR: 1.25, GBP: 1.5 } });
  // 400 euros for a wing, 3 for a buzzer.
  expect(build.limits.budgetCents).toBe(50_000);
  expect(build.parts[0]!.peripheral.cents).toBe(375);
});

test('another currency than euros says what one of those is worth', () => {
  expect(moneyAsked.safeParse({ currency: 'USD', rates: {} }).success).toBe(false);
  expect(moneyAsked.safeParse({ currency: 'usd', rates: { EUR: 1 } }).success).toBe(false);
  expect(moneyAsked.safeParse({ currency: 'EUR', rates: {} }).success).toBe(true);
});
