import { expect, test } from 'vitest';
import { buildDoubts } from '../decide/build-doubts';
import { evaluate } from '../evaluate/climb';
import { buildSchema } from '../records/build';
import { isCandidate } from '../sets/roles';
import { demoShelf } from '../tests/demo';
import { makeBuild } from '../tests/make';
import { startingCraft, startingKinds } from './starting-craft';

test.each(startingKinds)(
  '%s: is a sound build without a contradiction, every figure says that it is assumed, and some board of the demo carries it',
  (kind) => {
    const build = buildSchema.parse({ ...makeBuild(), ...startingCraft(kind) });
    expect(buildDoubts(build)).toEqual([expect.stringContaining('Nothing hangs off the board yet')]);
    expect(build.bareMassG).toMatchObject({ origin: 'assumed' });
    expect(build.pack.massG).toMatchObject({ origin: 'assumed' });
    expect(Object.values(build.said).every((w) => w?.origin === 'assumed')).toBe(true);
    const carried = demoShelf()
      .boards.filter(isCandidate)
      .some((b) => evaluate(build, b).stopsAt === null);
    expect(carried).toBe(true);
  },
);
