import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { candidateAt } from '../sets/candidate';
import { demoBuilds, demoShelf } from '../tests/demo';
import { completenessOf } from '../figures/completeness';
import { bestWith } from './best-with';
import { findFixes } from './find-fixes';

const { boards } = demoShelf();
const belfry = demoBuilds().find((b) => b.id === 'belfry-six')!;

describe('another member as a fix', () => {
  test('a controller alone is mended by an ESC of the shelf, the cheapest first, and the set then climbs as it says', () => {
    const stile = candidateAt(belfry, boards, 'marlpit-stile')!;
    const found = findFixes(belfry, stile, null, boards);
    expect(found[0]!.words).toEqual(['Add Noggin 45']);
    // No ESC that is still to be chosen where there are some to choose from.
    expect(found.every((f) => f.fixes.every((x) => x.kind !== 'separate ESC'))).toBe(true);
    for (const fix of found.filter((f) => f.becomes !== null)) {
      const climb = evaluate(belfry, candidateAt(belfry, boards, fix.becomes!)!);
      expect([climb.stopsAt, climb.verdict]).toEqual([null, fix.verdict]);
    }
  });

  test('a set that nobody feeds is mended by a power board, or by an ESC with 5 V', () => {
    const dead = candidateAt(belfry, boards, 'quillon-turnpike~dunmarrow-batten-45')!;
    const words = findFixes(belfry, dead, null, boards).flatMap((f) => f.words);
    expect(words).toContain('Take Girt 50 instead of Batten 45');
    expect(words).toContain('Add Weir 12');
  });

  test('without a shelf the ESC that is still to be chosen stands in', () => {
    const stile = candidateAt(belfry, boards, 'marlpit-stile')!;
    expect(findFixes(belfry, stile)[0]!.words).toEqual(['Add a separate four-in-one ESC']);
  });
});

describe('a member in the editor', () => {
  test('is shown in the best of its likely sets, and in none where there is nothing to put it with', () => {
    const joist = boards.find((b) => b.id === 'tarnfield-joist-55')!;
    const weir = boards.find((b) => b.id === 'marlpit-weir-12')!;
    expect(bestWith(belfry, joist, boards)!.boardId).toBe('marlpit-stile~tarnfield-joist-55');
    expect(bestWith(belfry, weir, boards)!.members!.map((m) => m.role)).toEqual(['controller', 'esc', 'power board']);
    expect(bestWith(belfry, joist, [joist, weir])).toBeNull();
    // What it is asked is what such a board has.
    expect(completenessOf(joist).missing).toEqual([]);
    expect(
      completenessOf({ ...joist, esc: { ...joist.esc!, telemetry: undefined } }).missing.map((m) => m.field),
    ).toEqual(['esc.telemetry']);
  });
});
