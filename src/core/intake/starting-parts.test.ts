import { expect, test } from 'vitest';
import { buildDoubts } from '../decide/build-doubts';
import { evaluate } from '../evaluate/climb';
import { buildSchema } from '../records/build';
import { isCandidate } from '../sets/roles';
import { demoShelf } from '../tests/demo';
import { makeBuild } from '../tests/make';
import { startingCraft, startingKinds } from './starting-craft';
import { startingPartsFor, startingPartsOf } from './starting-parts';

const begun = (kind: (typeof startingKinds)[number], leave: string[] = []) =>
  buildSchema.parse({
    ...makeBuild(),
    ...startingCraft(kind),
    parts: startingPartsOf(
      kind,
      startingPartsFor(kind)
        .filter((p) => !leave.includes(p))
        .map((part) => ({ part, owned: part === 'receiver' })),
    ),
  });

test.each(startingKinds)(
  '%s: with every part that is asked about it is a sound build without a contradiction',
  (kind) => {
    const build = begun(kind);
    expect(buildDoubts(build)).toEqual([]);
    expect(new Set(build.parts.map((p) => p.id)).size).toBe(build.parts.length);
    for (const { peripheral, owned } of build.parts) {
      expect(owned).toBe(peripheral.kind === 'receiver');
      expect(peripheral.massG).toMatchObject({ origin: 'assumed' });
      for (const supply of peripheral.modes.flatMap((m) => m.supplies)) {
        const { minVolts, maxVolts, typicalAmps, peakAmps } = supply;
        for (const f of [minVolts, maxVolts, typicalAmps, peakAmps]) expect(f).toMatchObject({ origin: 'assumed' });
      }
    }
  },
);

test.each(startingKinds)(
  '%s: some board of the demo carries it with a usual radio, video, buzzer and servos',
  (kind) => {
    const build = begun(kind, ['digital video', 'positioning', 'air speed', 'lights']);
    const carried = demoShelf()
      .boards.filter(isCandidate)
      .some((b) => evaluate(build, b).stopsAt === null);
    expect(carried).toBe(true);
  },
);

test('only a wing is asked about servos and air speed', () => {
  expect(startingPartsFor('wing')).toContain('servos');
  expect(startingPartsFor('five-inch quad')).not.toContain('air speed');
});
