import { expect, test } from 'vitest';
import { makeBoard } from '../tests/make';
import { plugFamily } from '../trade/plug';
import { pinLimit, pinOf } from './plug-pins';

const pin = (id: string) => ({ id, label: id, form: 'pin' as const });
const board = makeBoard({
  pads: [{ id: 'vbat', label: 'VBAT' }, ...['a1', 'a2', 'b1'].map(pin), { id: 'free', label: 'free' }],
  plugs: [
    {
      id: 'a',
      label: 'Two pins',
      family: 'SH',
      pins: [
        { name: '5V', pad: 'a1' },
        { name: '5V', pad: 'a2' },
      ],
    },
    { id: 'b', label: 'One pin', family: 'SH', pins: [{ name: '5V', pad: 'b1' }, { name: 'GND' }] },
  ],
});
const rail = (pads: string[]) => ({ ...board.rails[0]!, pads });
const amps = plugFamily('SH')!.ampsPerPin;

test('pins of one rail in one plug share its load, and the best plug is the limit; a pad that can be soldered has none', () => {
  expect(pinOf(board, rail(['a1', 'a2', 'b1']), 'a1')).toMatchObject({ sharing: 2, amps: 2 * amps });
  expect(pinOf(board, rail(['a1', 'b1']), 'a1')).toMatchObject({ sharing: 1, amps });
  expect(pinLimit('plugs', board, rail(['a1', 'a2', 'b1']))).toEqual({ amps: 2 * amps, plug: 'Two pins' });
  expect(pinLimit('plugs', board, rail(['b1', 'a1', 'a2']))).toEqual({ amps: 2 * amps, plug: 'Two pins' });
  expect(pinLimit('plugs', board, rail(['b1', 'free']))).toEqual({ amps: Infinity, plug: '' });
  expect(pinLimit('solder', board, rail(['b1']))).toEqual({ amps: Infinity, plug: '' });
  expect(pinLimit('plugs', board, rail([]))).toEqual({ amps: Infinity, plug: '' });
});
