import { describe, expect, test } from 'vitest';
import { makeBoard, says, unknown } from '../tests/make';
import { faceOf, shortLabel } from './face';

type Edge = 'front' | 'right' | 'rear' | 'left' | 'inner';
const pads = (edge: Edge, labels: string[], more: object = {}) =>
  labels.map((label, order) => ({ id: `${edge}${label.toLowerCase()}`, label, edge, order, ...more }));
const bare = (width: number, length: number, drawn: object[] = []) =>
  makeBoard({ widthMm: says(width), lengthMm: says(length), pads: drawn as never, rails: [] });
const at = (board: ReturnType<typeof makeBoard>, id: string, face: 'top' | 'bottom' = 'top') =>
  faceOf(board, face).pads.find((p) => p.id === id)!;

/** All of it worked by hand from what is said in face.ts: 280 px for the longer side, 12 px a pad, 5 px a letter. */
describe('a face of a board', () => {
  test('with few pads its longer side is 280 px, whichever that is, and both sides have one scale', () => {
    expect(faceOf(bare(20, 40), 'top')).toMatchObject({ width: 140, height: 280, mmPx: 7 });
    expect(faceOf(bare(50, 40), 'top')).toMatchObject({ width: 280, height: 224, mmPx: 5.6 });
    expect(faceOf(makeBoard({ widthMm: unknown, lengthMm: unknown }), 'top')).toMatchObject({
      width: 280,
      height: 280,
    });
  });

  test('many pads make it larger: along the front, along a side that is kept clear of upright labels, across the middle', () => {
    const labels = (n: number) => Array.from({ length: n }, (_, i) => `P${i}`.slice(0, 3));
    // Twice 18 px of margin and 12 px a pad.
    expect(faceOf(bare(30, 30, pads('front', labels(30))), 'top').width).toBeCloseTo(36 + 30 * 12, 6);
    expect(faceOf(bare(30, 30, [...pads('front', labels(3)), ...pads('rear', labels(30))]), 'top').width).toBeCloseTo(
      396,
      6,
    );
    expect(faceOf(bare(30, 30, pads('left', labels(30))), 'top').height).toBeCloseTo(396, 6);
    // A label of three letters at the front stands 3 x 5 + 8 px into the board at either end.
    const clear = bare(30, 30, [...pads('right', labels(30)), ...pads('front', ['P29'])]);
    expect(faceOf(clear, 'top').height).toBeCloseTo(2 * (18 + 23) + 360, 6);
    expect(faceOf(bare(30, 30, pads('inner', labels(30))), 'top').width).toBeCloseTo(36 + 30 * 18, 6);
  });

  test('a narrow board is wide enough for the labels of both sides', () => {
    const narrow = bare(10, 20, [...pads('left', ['ABCDEFGHIJKL']), ...pads('right', ['B'])]);
    // Nine letters at most: twice 9 x 5 and 90.
    expect(faceOf(narrow, 'top').width).toBeCloseTo(180, 6);
    expect(['ABCDEFGHI', 'ABCDEFGHIJ'].map(shortLabel)).toEqual(['ABCDEFGHI', 'ABCDEFGH…']);
  });

  test('orders run clockwise: the front from the left, the right from the nose, the rear and the left against them', () => {
    const square = bare(28, 28, [
      ...pads('front', ['A', 'B']),
      ...pads('right', ['A', 'B']),
      ...pads('rear', ['A', 'B']),
      ...pads('left', ['A', 'B']),
      ...pads('inner', ['A']),
    ]);
    // 280 px: a quarter of what the margins leave. At the front (280 - 36) / 4 + 18 = 79; at the sides 18 + 18 more are kept clear: (280 - 72) / 4 + 36 = 88.
    expect(at(square, 'fronta')).toMatchObject({ x: 79, y: 9 });
    expect(at(square, 'frontb')).toMatchObject({ x: 201, y: 9 });
    expect(at(square, 'righta')).toMatchObject({ x: 271, y: 88 });
    expect(at(square, 'rightb').y).toBeCloseTo(192, 6);
    expect(at(square, 'reara').x).toBeCloseTo(201, 6);
    expect(at(square, 'reara').y).toBe(271);
    expect(at(square, 'lefta').x).toBe(9);
    expect(at(square, 'lefta').y).toBeCloseTo(192, 6);
    expect(at(square, 'leftb').y).toBeCloseTo(88, 6);
    expect(at(square, 'innera')).toMatchObject({ x: 140, y: 140, share: 0.5 });
  });

  test('of one order the first that is written comes first; the order said goes before', () => {
    const [a, b, c] = pads('front', ['A', 'B', 'C']).map((p, i) => ({ ...p, order: i === 2 ? 0 : 1 }));
    expect(faceOf(bare(28, 28, [a!, b!, c!]), 'top').pads.map((p) => p.label)).toEqual(['C', 'A', 'B']);
  });

  test('from below left and right change places, and the front runs the other way; each face has its own pads', () => {
    const below = bare(28, 28, [
      ...pads('front', ['A', 'B'], { face: 'bottom' }),
      ...pads('left', ['A'], { face: 'bottom' }),
      ...pads('right', ['C']),
    ]);
    expect(at(below, 'fronta', 'bottom').x).toBeCloseTo(201, 6);
    expect(at(below, 'fronta', 'bottom')).toMatchObject({ edge: 'front', y: 9 });
    expect(at(below, 'fronta', 'bottom').share).toBeCloseTo(201 / 280, 6);
    expect(at(below, 'lefta', 'bottom')).toMatchObject({ edge: 'right', x: 271, share: 0.5 });
    expect(faceOf(below, 'top').pads.map((p) => p.id)).toEqual(['rightc']);
    expect(faceOf(below, 'bottom').pads.map((p) => p.id)).toEqual(['fronta', 'frontb', 'lefta']);
  });
});
