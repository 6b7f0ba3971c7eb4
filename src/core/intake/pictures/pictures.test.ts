import { describe, expect, test } from 'vitest';
import type { Reading } from '../reading';
import { evenLight } from './even-light';
import { greyOf, type Grey } from './grey';
import { heldAgainst } from './second-look';
import { areaOf, parting, sheetIn, type Corners } from './sheet';
import { sizeOfSheet, slanted, straightened } from './straightened';
import { withoutRules } from './without-rules';

const painted = (width: number, height: number, shade: (x: number, y: number) => number): Grey => ({
  width,
  height,
  at: Float32Array.from({ length: width * height }, (_, i) => shade(i % width, Math.floor(i / width))),
});
/** Is a place inside a convex quadrilateral, by the sides it lies on? */
const within = (corners: Corners, x: number, y: number) =>
  corners.every(([ax, ay], i) => {
    const [bx, by] = corners[(i + 1) % 4]!;
    return (bx - ax) * (y - ay) - (by - ay) * (x - ax) >= 0;
  });

describe('a sheet in a photo', () => {
  const corners: Corners = [
    [120, 80],
    [520, 150],
    [500, 560],
    [90, 600],
  ];
  const photo = painted(640, 700, (x, y) => (within(corners, x, y) ? 220 : 50));
  test('its corners are found to a few pixels', () => {
    const found = sheetIn(photo)!;
    found.forEach(([x, y], i) => expect(Math.hypot(x - corners[i]![0], y - corners[i]![1])).toBeLessThan(8));
  });
  test('a picture that is the sheet itself has none, nor has one without a bright piece', () => {
    expect(sheetIn(painted(300, 300, (x, y) => (x % 20 < 3 && y % 9 < 3 ? 30 : 240)))).toBeNull();
    expect(sheetIn(painted(300, 300, () => 128))).toBeNull();
  });
  test('seen from above: corners land in corners, a straight line stays one, a square stays itself', () => {
    const at = slanted(corners);
    [
      [0, 0],
      [1, 0],
      [1, 1],
      [0, 1],
    ].forEach(([u, v], i) => {
      const [x, y] = at(u!, v!);
      expect(Math.hypot(x - corners[i]![0], y - corners[i]![1])).toBeLessThan(1e-9);
    });
    const [a, b, c] = [at(0.1, 0.3), at(0.4, 0.5), at(0.7, 0.7)];
    expect((b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0])).toBeCloseTo(0, 6);
    const square: Corners = [
      [0, 0],
      [9, 0],
      [9, 9],
      [0, 9],
    ];
    expect(sizeOfSheet(square)).toEqual({ width: 9, height: 9 });
    expect(areaOf(square)).toBe(81);
  });
  test('the straight sheet shows what the photo showed there', () => {
    const rgba = new Uint8ClampedArray(4 * photo.at.length).fill(255);
    photo.at.forEach((v, i) => rgba.fill(v, 4 * i, 4 * i + 3));
    const flat = straightened(rgba, photo.width, photo.height, corners);
    const grey = greyOf(flat.rgba, flat.width, flat.height);
    const inner = grey.at[Math.floor(flat.height / 2) * flat.width + Math.floor(flat.width / 2)]!;
    expect(Math.round(inner)).toBe(220);
  });
  test('two greys are parted between them', () => {
    const limit = parting(Float32Array.from({ length: 100 }, (_, i) => (i < 60 ? 40 : 200)));
    expect(limit).toBeGreaterThanOrEqual(40);
    expect(limit).toBeLessThan(200);
  });
});

describe('print made ready', () => {
  test('a letter in the shade and one in the glare come out equally dark, on equally light paper', () => {
    const light = (x: number) => (x < 100 ? 120 : 250);
    const page = painted(200, 100, (x, y) =>
      x % 100 > 45 && x % 100 < 50 && y > 40 && y < 60 ? light(x) * 0.4 : light(x),
    );
    const even = evenLight(page);
    const at = (x: number, y: number) => even.at[y * 200 + x]!;
    expect(Math.abs(at(47, 50) - at(147, 50))).toBeLessThan(25);
    expect(Math.abs(at(20, 20) - at(180, 20))).toBeLessThan(25);
    expect(at(20, 20) - at(47, 50)).toBeGreaterThan(100);
  });
  test('light letters on dark come out dark on light', () => {
    const even = evenLight(painted(100, 100, (x, y) => (x > 48 && x < 52 && y > 40 && y < 60 ? 230 : 30)));
    expect(even.at[50 * 100 + 50]!).toBeLessThan(even.at[10 * 100 + 10]!);
  });
  test('rules of a table go; strokes of letters and bars that are thick stay', () => {
    const page = painted(400, 200, (x, y) => {
      const rule = y === 50 || y === 51 || x === 200;
      const stroke = x >= 100 && x < 104 && y > 80 && y < 105;
      const bar = y >= 150 && y < 165 && x > 20 && x < 380;
      return rule || stroke || bar ? 0 : 255;
    });
    const { at } = withoutRules(page);
    expect([at[50 * 400 + 30], at[20 * 400 + 200], at[90 * 400 + 101], at[157 * 400 + 60]]).toEqual([255, 255, 0, 0]);
  });
});

describe('two looks at the same print', () => {
  const reading = (field: Reading['field'], value: Reading['value']): Reading => ({
    field,
    value,
    start: 0,
    end: 1,
    quote: '',
    doubt: 'sure',
  });
  const first = [
    reading('massG', 81),
    reading('processor', 'F7'),
    reading('regulators', '5@2.5'),
    reading('screw', 'M3'),
  ];
  const again = [
    reading('massG', 8.1),
    reading('processor', 'F7'),
    reading('regulators', '5@2'),
    reading('regulators', '9@2'),
  ];
  test('nothing of a picture is sure: what both say is to be compared, what differs says the other', () =>
    expect(heldAgainst(first, again, () => true).map((r) => [r.doubt, r.why])).toEqual([
      ['contradicted', 'read off a picture; a second look read 8.1'],
      ['likely', 'read off a picture, twice the same: compare it'],
      ['contradicted', 'read off a picture; a second look read 5@2'],
      ['contradicted', 'read off a picture; a second look did not find it'],
    ]));
  test('what is of a page in words stays as it is', () =>
    expect(heldAgainst(first, again, () => false)).toEqual(first));
});
