import { expect, test } from 'vitest';
import { wireList } from '../bill/wire-list';
import { evaluate } from '../evaluate/climb';
import { makeBoard, makeBuild, makePart, regulator, supply } from '../tests/make';
import { groundFor } from './ground-pads';

const at = (id: string, edge: 'front' | 'rear', order: number, more = {}) => ({
  id,
  label: id.toUpperCase(),
  edge,
  order,
  ...more,
});
const board = makeBoard({
  pads: [
    { id: 'vbat', label: 'VBAT', edge: 'inner' },
    at('cam', 'front', 0),
    at('g1', 'front', 1),
    at('v5', 'rear', 0),
    at('g2', 'rear', 1),
    at('pin5', 'rear', 5, { form: 'pin' }),
    at('pin-g', 'rear', 6, { form: 'pin' }),
  ],
  grounds: ['g1', 'g2', 'pin-g'],
  video: { cameraIns: ['cam'], overlayChip: { value: true, origin: 'manual' } },
  rails: [
    { id: 'pack', label: 'Pack', pads: ['vbat'], source: { kind: 'pack' } },
    { id: 'five', label: '5 V', pads: ['v5'], source: regulator(5, 2) },
  ],
  plugs: [
    {
      id: 'plug',
      label: 'Plug',
      family: 'SH',
      pins: [
        { name: '5V', pad: 'pin5' },
        { name: 'GND', pad: 'pin-g' },
      ],
    },
  ],
});

test('the ground of a pin is that of its plug, of a pad the nearest; none where none is drawn', () => {
  expect([groundFor(board, 'pin5'), groundFor(board, 'cam'), groundFor(board, 'v5')]).toEqual(['pin-g', 'g1', 'g2']);
  expect(groundFor({ ...board, grounds: [] }, 'cam')).toBeNull();
});

test('the wire list names it: a picture has its ground beside it, the supply its own', () => {
  const camera = makePart(
    'eye',
    { links: [{ kind: 'video', id: 'v', role: 'camera' }], supply: supply(4.5, 5.5, 0.2) },
    { kind: 'camera' },
  );
  const build = makeBuild({}, [camera]);
  const grounds = wireList(build, board, evaluate(build, board).hookup).filter((w) => w.kind === 'ground');
  expect(grounds.map((w) => w.padId)).toEqual(['g2', 'g1']);
});

test('a ground with wires already is passed over for one a little farther off, 10 mm a wire; one on the other face only where there is no other', () => {
  // 36 mm across, four pads at the front: 0.84 / 5 of it, 6 mm, from one to the next: one ground is 6 mm off, the other 12.
  const front = makeBoard({
    pads: [
      at('g1', 'front', 0),
      at('v', 'front', 1),
      at('x', 'front', 2),
      at('g2', 'front', 3),
      at('gu', 'front', 0, { face: 'bottom' }),
    ],
    grounds: ['g1', 'g2', 'gu'],
    rails: [],
  });
  const taken = (...all: [string, number][]) => groundFor(front, 'v', new Map(all));
  expect([taken(), taken(['g1', 1]), taken(['g1', 1], ['g2', 1]), taken(['g1', 2], ['g2', 1])]).toEqual([
    'g1',
    'g2',
    'g1',
    'g2',
  ]);
  expect(taken(['g1', 90], ['g2', 90])).toBe('g1');
  expect(groundFor({ ...front, grounds: ['gu'] }, 'v')).toBe('gu');
});

test('what ends at no pad of the board has the first ground; a plug whose pins name no pad has none', () => {
  expect(groundFor(board, null)).toBe('g1');
  const unnamed = makeBoard({
    ...board,
    plugs: [{ id: 'plug', label: 'Plug', family: 'SH', pins: [{ name: 'GND' }, { name: '5V', pad: 'pin5' }] }],
  });
  expect(groundFor(unnamed, 'pin5')).toBe('pin-g');
  expect(groundFor(unnamed, null)).toBe('g1');
});
