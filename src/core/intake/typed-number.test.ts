import { expect, test } from 'vitest';
import { typedNumber, unitsFor } from './typed-number';

/** By hand from the definitions: 1 oz is 28.349523125 g, 1 lb 453.59237 g, 1 in 25.4 mm (NIST Special Publication 811, appendix B). */
test.each([
  ['23 oz', 'g', 652.039],
  ['2 lb', 'g', 907.185],
  ['1,5kg', 'g', 1500],
  ['23', 'g', 23],
  ['23 g', 'g', 23],
  ['1.2 in', 'mm', 30.48],
  ['1.2"', 'mm', 30.48],
  ['3 cm', 'mm', 30],
  ['0,3 A', 'A', 0.3],
  ['300 mA', 'A', 0.3],
  ['16 awg', 'AWG', 16],
  ['4S', 'S', 4],
  ['12 mohm', 'mΩ', 12],
  ['0.012 ohm', 'mΩ', 12],
  ['470uF', 'µF', 470],
  ['128 Mbit', 'MB', 16],
  ['1.5 Ah', 'mAh', 1500],
  ['.5', 'V', 0.5],
  ['480 €', '€', 480],
  ['9.90 $', '$', 9.9],
])('"%s" into a box of %s is %d', (typed, unit, value) => expect(typedNumber(typed, unit)).toBeCloseTo(value, 6));

test('nothing is nothing, and what is not understood is no number: it is refused, not guessed', () => {
  expect(typedNumber('  ', 'g')).toBeNull();
  for (const typed of ['heavy', '23 V', '1.2.3', '5-6', '1e9', '3 in', '2,000,5', 'oz', '∞', '0x10'])
    expect(typedNumber(typed, 'g')).toBeNaN();
  expect(typedNumber('3 V')).toBeNaN();
});

test('every unit that a box is said to understand, it understands', () => {
  for (const unit of ['g', 'mm', 'A', 'V', 's', 'mAh', 'MB', 'µF', 'mΩ'])
    for (const other of unitsFor(unit)) expect(typedNumber(`1 ${other}`, unit)).toBeGreaterThan(0);
});
