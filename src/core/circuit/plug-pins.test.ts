import { expect, test } from 'vitest';
import { makeBoard } from '../tests/make';
import { plugFamily } from '../trade/plug';
import { railPlugs, spotsOf } from './plug-pins';

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

test('pins of one rail in one plug share its load; the return goes over the ground pins that are there', () => {
  expect(railPlugs(board, rail(['a1', 'a2', 'b1']))).toMatchObject([
    { pads: ['a1', 'a2'], amps: 2 * amps, groundAmps: null },
    { pads: ['b1'], amps, groundAmps: amps },
  ]);
});

test('a rail that can be soldered anywhere has one place without limit; one of pins alone has a place for each plug', () => {
  const places = (joints: 'plugs' | 'solder', pads: string[]) =>
    spotsOf(joints, board, rail(pads)).map((s) => [s.pads.join(' '), s.plug?.plug.id ?? null]);
  expect(places('plugs', ['a1', 'a2', 'b1'])).toEqual([
    ['a1 a2', 'a'],
    ['b1', 'b'],
  ]);
  expect(places('plugs', ['b1', 'free'])).toEqual([['b1 free', null]]);
  expect(places('solder', ['b1'])).toEqual([['b1', null]]);
  expect(places('plugs', [])).toEqual([['', null]]);
});

test('only pins of the rail in plugs of a known family count, and grounds by their pad as well as by their name', () => {
  const other = makeBoard({
    ...board,
    pads: [...board.pads, pin('g'), { id: 'flat', label: 'flat' }] as never,
    grounds: ['g'],
    plugs: [
      { id: 'odd', label: 'Odd', family: 'nobody knows', pins: [{ name: '5V', pad: 'a1' }] },
      {
        id: 'mixed',
        label: 'Mixed',
        family: 'SH',
        pins: [
          { name: '5V', pad: 'a2' },
          { name: 'flat', pad: 'flat' },
          { name: 'other', pad: 'b1' },
          { name: 'bare' },
          { name: 'minus', pad: 'g' },
          { name: 'GND' },
        ],
      },
      { id: 'none', label: 'None', family: 'SH', pins: [{ name: 'TX', pad: 'b1' }] },
    ],
  });
  const supply = { ...other.rails[0]!, pads: ['a1', 'a2', 'flat'] };
  expect(railPlugs(other, supply)).toMatchObject([{ plug: { id: 'mixed' }, pads: ['a2'], amps, groundAmps: 2 * amps }]);
  // What is asked again is the same answer.
  expect(railPlugs(other, supply)).toBe(railPlugs(other, supply));
  // Two of its pads are no pins of a known plug: it can be soldered.
  expect(spotsOf('plugs', other, supply)).toEqual([{ pads: ['a1', 'a2', 'flat'], plug: null }]);
});
