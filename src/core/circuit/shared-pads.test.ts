import { expect, test } from 'vitest';
import { makeBoard } from '../tests/make';
import { busPads, sharedPads, supplyPads } from './shared-pads';

const ids = [
  'vbat',
  'five',
  'gnd',
  'r1',
  't1',
  'r2',
  't2',
  'm1',
  'led',
  'curr',
  'sda',
  'scl',
  'cam',
  'vtx',
  'cc',
  'bz',
];
const board = makeBoard({
  pads: ids.map((id) => ({ id, label: id })),
  ports: [
    { id: 'p1', label: 'P1', rx: [{ pad: 'r1', sense: 'plain' }], tx: [{ pad: 't1' }] },
    // Both sides of one port on one pad: that is one function on it twice, two counted apart.
    { id: 'p2', label: 'P2', rx: [{ pad: 'r2', sense: 'plain' }], tx: [{ pad: 'r2' }, { pad: 't2' }] },
  ],
  outputs: [
    { id: 'm1', label: 'M1', pad: 't1', timer: 't', can: ['motor'] },
    { id: 'led', label: 'LED', pad: 'led', timer: 't', can: ['light'] },
  ],
  analogueInputs: [{ id: 'c', label: 'C', kind: 'current', pad: 'led' }] as never,
  buses: [
    { id: 'i2c', label: 'I2C', kind: 'i2c', pads: ['sda', 'scl'], sharesPort: 'p1' },
    { id: 'own', label: 'own', kind: 'i2c', pads: ['curr', 'm1'] },
  ] as never,
  video: { cameraIns: ['cam'], out: 'vtx', cameraControl: 'bz', overlayChip: { value: true, origin: 'manual' } },
  buzzerPad: 'bz',
  grounds: ['gnd'],
  rails: [
    { id: 'pack', label: 'Pack', pads: ['vbat'], source: { kind: 'pack' } },
    { id: 'usb', label: 'USB', pads: ['five'], source: { kind: 'usb', dropVolts: 0 } },
  ],
});

test('a pad is shared where two functions of the board call it theirs: the two sides of a port, a bus on a port, control and buzzer', () =>
  expect([...sharedPads(board)].sort()).toEqual(['bz', 'led', 'r1', 'r2', 't1']));

test('without a second use nothing is shared', () =>
  expect(sharedPads(makeBoard({ pads: [{ id: 'vbat', label: 'V' }], ports: [] })).size).toBe(0));

test('supplies and grounds carry no signal', () =>
  expect([...supplyPads(board)].sort()).toEqual(['five', 'gnd', 'vbat']));

test('a bus that shares a port takes the pads of both its sides', () => {
  expect(busPads(board.buses[0]!, board.ports)).toEqual(['sda', 'scl', 'r1', 't1']);
  expect(busPads(board.buses[1]!, board.ports)).toEqual(['curr', 'm1']);
});
