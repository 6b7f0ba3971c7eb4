import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { makeBoard, says, unknown } from '../tests/make';
import { outlineOf, placePads, spotOf } from './place-pads';

const pad = (
  id: string,
  edge: 'front' | 'rear' | 'left' | 'right' | 'inner',
  order = 0,
  face: 'top' | 'bottom' = 'top',
) => ({ id, label: id, edge, order, face });
const square = { x: 0, y: 0, width: 100, height: 100 };

describe('where pads lie', () => {
  test('by hand: one pad lies in the middle of its edge, two at a third and two thirds of what the screws leave', () => {
    const one = makeBoard({ pads: [pad('vbat', 'front')] });
    expect(spotOf(one, one.pads[0]!, square, 4)).toEqual({ x: 50, y: 4 });
    const two = makeBoard({ pads: [pad('vbat', 'front'), pad('b', 'front', 1)] });
    expect(placePads(two, square, 'top', 4).map((p) => Math.round(p.x))).toEqual([36, 64]);
  });

  test('pads run clockwise: to the right along the front, down the right, back along the rear, up the left', () => {
    const board = makeBoard({
      pads: (['front', 'right', 'rear', 'left'] as const).flatMap((edge) => [
        pad(edge === 'front' ? 'vbat' : `${edge}0`, edge),
        pad(`${edge}1`, edge, 1),
      ]),
    });
    const at = (edge: string) => placePads(board, square, 'top', 0).filter((p) => p.edge === edge);
    expect(at('front')[0]!.x).toBeLessThan(at('front')[1]!.x);
    expect(at('right')[0]!.y).toBeLessThan(at('right')[1]!.y);
    expect(at('rear')[0]!.x).toBeGreaterThan(at('rear')[1]!.x);
    expect(at('left')[0]!.y).toBeGreaterThan(at('left')[1]!.y);
  });

  test('the underside is a face of its own: its pads neither show nor push on the top', () => {
    const board = makeBoard({ pads: [pad('vbat', 'front'), pad('under', 'front', 1, 'bottom')] });
    expect(placePads(board, square, 'top', 0).map((p) => [p.id, p.x])).toEqual([['vbat', 50]]);
    expect(placePads(board, square, 'bottom', 0).map((p) => p.id)).toEqual(['under']);
  });

  test('no two pads share a spot and none lies outside, whatever their edges and orders', () => {
    const any = fc.record({
      edge: fc.constantFrom('front' as const, 'rear' as const, 'left' as const, 'right' as const),
      order: fc.nat(5),
      face: fc.constantFrom('top' as const, 'bottom' as const),
    });
    fc.assert(
      fc.property(fc.array(any, { minLength: 1, maxLength: 40 }), (list) => {
        const board = makeBoard({ rails: [], pads: list.map((p, i) => pad(`p${i}`, p.edge, p.order, p.face)) });
        for (const face of ['top', 'bottom'] as const) {
          const placed = placePads(board, square, face, 3);
          expect(new Set(placed.map((p) => `${p.x.toFixed(6)},${p.y.toFixed(6)}`)).size).toBe(placed.length);
          for (const p of placed) for (const v of [p.x, p.y]) expect(v >= 0 && v <= 100).toBe(true);
        }
      }),
      { numRuns: 200, seed: 7 },
    );
  });
});

describe('the outline', () => {
  test('by hand: 36 x 18 mm in a room of 360 is drawn ten to the millimetre, in the middle', () => {
    expect(outlineOf(makeBoard({ widthMm: says(36), lengthMm: says(18) }), { width: 600, height: 400 }, 360)).toEqual({
      x: 120,
      y: 110,
      width: 360,
      height: 180,
      mmPx: 10,
    });
  });
  test('of unknown size it is drawn as 36 mm, of a range as its larger end', () => {
    expect(outlineOf(makeBoard({ widthMm: unknown, lengthMm: unknown }), { width: 360, height: 360 }, 360).mmPx).toBe(
      10,
    );
    expect(
      outlineOf(
        makeBoard({ widthMm: { low: 20, high: 40, origin: 'manual' } as never, lengthMm: says(30) }),
        { width: 360, height: 360 },
        360,
      ).mmPx,
    ).toBe(9);
  });
});
