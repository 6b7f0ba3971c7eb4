import { expect, test } from 'vitest';
import { evaluate } from '@/core';
import { makeBoard, makeBuild } from '@/core/tests/make';
import { wholeClimb } from './use-whole-climb';

test('a climb that came without its wires, or is of an earlier build, climbs anew; any other stays the very same', () => {
  const [board, build] = [makeBoard(), makeBuild()];
  const climb = evaluate(build, board);
  expect(wholeClimb(build, board, climb)).toBe(climb);
  expect(wholeClimb(build, null, climb, true)).toBe(climb);
  expect(wholeClimb(build, board, { ...climb, slim: true })).toEqual(climb);
  // Picked in the moment in which more cells were typed: what is kept says that they do not fit.
  const tooMany = { ...build, pack: { ...build.pack, cells: 8 } };
  expect(climb.stopsAt).toBeNull();
  expect(wholeClimb(tooMany, board, climb, true)).toMatchObject({ verdict: 'does not fit', stopsAt: 2 });
});
