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
