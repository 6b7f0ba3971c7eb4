import { describe, expect, test } from 'vitest';
import { exactly } from '../quantity/figure';
import { supply } from '../tests/make';
import { ampsAt } from './supply-ways';

const at = (volts: number) => ({ swing: { low: exactly(volts), high: exactly(volts) } });
const asks = (amps: number, draw: 'constant power' | 'constant current') => ({
  id: 'supply',
  ...supply(4.5, 26, amps, 12, draw),
});
const drawn = (watts: number, volts: number, ohm: number) =>
  ampsAt(asks(watts / 12, 'constant power'), 'peakAmps', at(volts), 'sure', ohm);

describe('a part that draws its watts of what its wire leaves (I (V - I R) = P, solved by hand)', () => {
  test('6 W at 9 V: 0.667 A with no wire, (9 - sqrt(81 - 2.4)) / 0.2 = 0.6717 A behind 0.1 ohm', () => {
    expect(drawn(6, 9, 0)).toBeCloseTo(6 / 9, 9);
    expect(drawn(6, 9, 0.1)).toBeCloseTo((9 - Math.sqrt(78.6)) / 0.2, 9);
  });
  test('more watts than a wire brings at all (V x V / 4 R, any handbook) are far more amps than leave volts enough', () =>
    expect(drawn(12, 5, 1)).toBeGreaterThan(5 / 2));
  test('a part that draws the same amps at any volts draws them behind any wire', () =>
    expect(ampsAt(asks(1, 'constant current'), 'peakAmps', at(5), 'sure', 1)).toBe(1));
});
