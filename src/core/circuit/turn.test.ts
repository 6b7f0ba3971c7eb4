import { expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { buildSheet } from '../guide/build-sheet';
import { makeBoard, makeBuild, makePart, says } from '../tests/make';
import { routeMm } from './route';
import { asItLies, lieOf } from './turn';
import { sentenceOf } from '../words/finding/sentence-of';

const frame = (openSides: ('front' | 'right' | 'rear' | 'left')[], bayLengthMm = 44, bayWidthMm = 44) =>
  makeBuild({
    frame: {
      name: 'F',
      mounts: [{ alongMm: 30.5, screw: 'M3' }],
      bayLengthMm,
      bayWidthMm,
      bayHeightMm: 20,
      openSides,
    },
  });
const board = makeBoard({
  pads: [
    { id: 'vbat', label: 'VBAT', edge: 'inner' },
    { id: 'p', label: 'P', edge: 'left' },
  ],
  usb: { plug: 'C', side: 'left' },
});

test('a board lies as drawn, unless another way opens USB; a long one only along its bay, or across where it must', () => {
  expect([lieOf(frame(['left']), board), lieOf(frame([]), board)]).toEqual([0, 0]);
  expect([lieOf(frame(['front']), board), lieOf(frame(['right']), board), lieOf(frame(['rear']), board)]).toEqual([
    90, 180, 270,
  ]);
  const long = { ...board, lengthMm: says(40), widthMm: says(30) };
  expect(lieOf(frame(['front'], 44, 32), long)).toBe(0);
  expect(lieOf(frame(['right'], 44, 32), long)).toBe(180);
  expect(lieOf(frame(['rear'], 32, 44), long)).toBe(270);
});

test('findings, sheet, drawing and routes turn it alike', () => {
  const build = frame(['front']);
  const climb = evaluate(build, board);
  expect(sentenceOf(climb.rungs[0]!.findings.find((f) => f.code === 'usb reach')!)).toContain('yaw offset of 90');
  expect(buildSheet(build, board, climb).before.find((s) => s.key === 'arrow')!.does).toContain('yaw offset of 90');
  expect(asItLies(build, board)).toMatchObject({ usb: { side: 'front' }, arrowOffsetDeg: 90 });
  // The left pad has come to the front: 22 - 17 mm and 25 mm of slack, as for a pad that is drawn there.
  expect(routeMm(build, board, makePart('p', {}, { kind: 'camera' }), 'p')).toBe(30);
});
