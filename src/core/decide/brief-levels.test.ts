import { expect, test } from 'vitest';
import { makeBoard, makePart, portsAndPads, says, unknown, yes } from '../tests/make';
import { levelLines } from './brief-levels';

const finder = (sendsVolts: number) =>
  makePart('finder', { links: [{ kind: 'serial', id: 's', protocol: 'range-finder', sendsVolts }] });
const stands = (volts: (number | null)[], more: object = {}) => {
  const { ports, pads } = portsAndPads(volts.map(() => 'r'));
  const pad = (p: NonNullable<typeof pads>[number], i: number) => {
    const most = i === 0 ? null : volts[i - 1]!;
    return most === null ? p : { ...p, toleratesVolts: says(most) };
  };
  return makeBoard({ ports, pads: pads!.map(pad), allPads: yes, ...more });
};

test('a signal of 5 V wants one pad that stands it; what nobody says may stand it', () => {
  const [line, ...others] = levelLines([finder(5)]);
  expect(others).toEqual([]);
  expect(line!.asks).toBe('a serial pad that stands signals of 5 V');
  expect([
    line!.fails(stands([3.3, 3.6])),
    line!.fails(stands([3.3, 5])),
    line!.fails(stands([3.3, null])),
    line!.fails(stands([3.3, 3.6], { allPads: unknown })),
  ]).toEqual([true, false, false, false]);
});

test('what sends no more than every pad stands, or may be wired otherwise, asks for nothing', () => {
  expect(levelLines([finder(3.3)])).toEqual([]);
  const other = { links: [{ kind: 'can' as const, id: 'c' }] };
  const either = makePart('finder', {}, { modes: [{ links: finder(5).peripheral.modes[0]!.links }, other] });
  expect(levelLines([either])).toEqual([]);
});

test('a bus that is pulled up to 5 V wants pads that stand them', () => {
  const compass = makePart('compass', { links: [{ kind: 'i2c', id: 'i', pullsToVolts: 5 }] });
  const [line] = levelLines([compass]);
  const board = (volts: number) =>
    makeBoard({
      allPads: yes,
      pads: ['vbat', 'sda', 'scl'].map((id) => ({ id, label: id, toleratesVolts: says(volts) })),
      buses: [{ id: 'i2c', label: 'I2C', kind: 'i2c', pads: ['sda', 'scl'] }],
    });
  expect(line!.asks).toBe('an I2C bus that stands signals of 5 V');
  expect([line!.fails(board(3.6)), line!.fails(board(5.5))]).toEqual([true, false]);
});
