import { describe, expect, test } from 'vitest';
import { randomPair } from '../tests/random-build';
import { makeBoard, makeBuild, makePart, portsAndPads, serial } from '../tests/make';
import { juryOf, smallestConflict } from './conflict';
import { layOut } from './lay-out';
import { workshop } from './way';

describe('smallest conflicts', () => {
  // A minimal unsatisfiable subset: it cannot be wired, and drop any one member and it can.
  test('every conflict found is one, and is minimal, checked by solving again', () => {
    let found = 0;
    for (let seed = 1; seed <= 80; seed++) {
      const { build, board } = randomPair(seed, { parts: 7, ports: 4, rails: 3, bridges: 2 });
      const shop = workshop(build, board, 'sure');
      const laid = layOut(shop);
      const works = juryOf(shop, laid);
      for (const rung of [4, 5, 6, 7] as const) {
        const core = smallestConflict(works, laid, rung);
        if (core.length === 0) {
          expect(juryOf(shop, laid)(laid, rung)).toBe(true);
          continue;
        }
        found += 1;
        expect(juryOf(shop, laid)(core, rung)).toBe(false);
        for (const part of core)
          expect(
            juryOf(shop, laid)(
              core.filter((l) => l !== part),
              rung,
            ),
          ).toBe(true);
      }
    }
    expect(found).toBeGreaterThan(100);
  });

  test('three parts on two ports: the one that needs no port is not blamed', () => {
    const link = (id: string) => makePart(id, { links: [serial('ground-link')] });
    const board = makeBoard({ ...portsAndPads(['rt', 'rt']) });
    const shop = workshop(makeBuild({}, [link('a'), makePart('light', {}), link('b'), link('c')]), board, 'sure');
    const laid = layOut(shop);
    expect(smallestConflict(juryOf(shop, laid), laid, 4).map((l) => l.part.id)).toEqual(['a', 'b', 'c']);
  });
});
