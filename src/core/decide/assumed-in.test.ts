import { expect, test } from 'vitest';
import { startingCraft } from '../intake/starting-craft';
import { startingPartsOf } from '../intake/starting-parts';
import { buildSchema } from '../records/build';
import { demoBuilds } from '../tests/demo';
import { makeBuild } from '../tests/make';
import { assumedIn } from './assumed-in';

test('counts what a beginning brings, craft and parts apart; saying one takes it off', () => {
  const begun = buildSchema.parse({
    ...makeBuild(),
    ...startingCraft('wing'),
    parts: startingPartsOf('wing', [{ part: 'buzzer', owned: false }]),
  });
  // Eight plain numbers, the pack's mass and its cells' resistance, the bare craft's mass; of the buzzer its mass, two volts and two currents.
  expect(assumedIn(begun)).toEqual({ craft: 11, parts: 5 });
  expect(assumedIn({ ...begun, bareMassG: { value: 500, origin: 'measured' } }).craft).toBe(10);
});

test('picks keep the boards of their day: what is assumed in those is not asked of the buyer', () => {
  for (const build of demoBuilds()) expect(assumedIn({ ...build, picks: [] })).toEqual(assumedIn(build));
});
