import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { makeBuild, makePart } from '@/core/tests/make';
import { changedPart, movedPart, withoutPart, withPart } from './change';

const three = makeBuild(
  {},
  ['a', 'b', 'c'].map((id) => makePart(id, {})),
);
const ids = (build: typeof three) => build.parts.map((p) => p.id).join('');

describe('edits of the parts list', () => {
  test('the same part twice gets a number of its own, and a receiver is expected to live on USB', () => {
    const camera = makePart('cam', {}, { kind: 'camera' }).peripheral;
    const twice = withPart(withPart(withPart(makeBuild(), camera), camera), camera);
    expect(twice.parts.map((p) => [p.id, p.onUsb])).toEqual([
      ['cam', false],
      ['cam-2', false],
      ['cam-3', false],
    ]);
    expect(withPart(makeBuild(), makePart('rx', {}, { kind: 'receiver' }).peripheral).parts[0]!.onUsb).toBe(true);
  });
  test('what is added is a copy: a later change of the shelf does not reach into the build', () => {
    const shelf = makePart('cam', {}).peripheral;
    const build = withPart(makeBuild(), shelf);
    shelf.name = 'changed';
    expect(build.parts[0]!.peripheral.name).toBe('cam');
  });
  test('moving goes no further than the ends, and nowhere for a part that is not there', () => {
    expect(ids(movedPart(three, 'a', 2))).toBe('bca');
    expect(ids(movedPart(three, 'c', -5))).toBe('cab');
    expect(ids(movedPart(three, 'a', 99))).toBe('bca');
    expect(movedPart(three, 'nobody', 0)).toBe(three);
  });
  test('an edit of one part leaves the others and the build before it as they were', () => {
    const next = changedPart(three, 'b', { priority: 'nice' });
    expect(next.parts.map((p) => p.priority)).toEqual(['must', 'nice', 'must']);
    expect(three.parts[1]!.priority).toBe('must');
    expect(next.parts[0]).toBe(three.parts[0]);
    expect(ids(withoutPart(three, 'b'))).toBe('ac');
  });
  test('any order of moves keeps every part, once', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.constantFrom('a', 'b', 'c', 'x'), fc.integer({ min: -3, max: 5 }))), (moves) => {
        const end = moves.reduce((build, [id, to]) => movedPart(build, id, to), three);
        expect([...end.parts.map((p) => p.id)].sort()).toEqual(['a', 'b', 'c']);
      }),
    );
  });
});
