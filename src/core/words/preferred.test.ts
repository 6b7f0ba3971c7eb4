import { expect, test } from 'vitest';
import { preferred, preferredUnit, usualWays } from './preferred';

const imperial = { units: 'imperial', days: usualWays.days } as const;

// Exact by definition, NIST Special Publication 811, appendix B: 1 in is 25.4 mm, 1 oz (avoirdupois) is 28.349523125 g, 1 lb is 0.45359237 kg.
test.each([
  ['bay 44 x 44 x 22 mm', 'bay 1.73 x 1.73 x 0.87 in'],
  ['it weighs 38 to 54 g.', 'it weighs 1.34 to 1.9 oz.'],
  ['limit 780 g', 'limit 27.51 oz'],
  ['30.5 mm M3; USB left', '1.2 in M3; USB left'],
  ['1 kg of line', '2.2 lb of line'],
  ['0.6 m of wire', '2 ft of wire'],
])('%s', (ours, theirs) => expect(preferred(ours, imperial)).toBe(theirs));

test.each([
  '5 V, 3 A',
  '2.4 GHz',
  '0.5 mm2 wire',
  '24 AWG',
  'M3',
  '1000 mAh',
  '16 MB',
  '10 mΩ',
  '3 motors',
  'rail 3 gives',
])('what is no mass and no length stays: %s', (text) => expect(preferred(text, imperial)).toBe(text));

test('in metric units nothing is turned', () =>
  expect(preferred('44 x 44 mm, 12 g, due 2026-11-28', usualWays)).toBe('44 x 44 mm, 12 g, due 2026-11-28'));

test('days in the way that is asked for; what is no day stays', () => {
  expect(preferred('due 2026-11-05.', { units: 'metric', days: '28 Nov 2026' })).toBe('due 5 Nov 2026.');
  expect(preferred('due 2026-11-05.', { units: 'metric', days: 'Nov 28, 2026' })).toBe('due Nov 5, 2026.');
  expect(preferred('code 2026-19-05', { units: 'metric', days: '28 Nov 2026' })).toBe('code 2026-19-05');
});

test('units of boxes', () => {
  expect(preferredUnit('g', 'imperial')).toMatchObject({ unit: 'oz', per: 28.349523125 });
  expect(preferredUnit('V', 'imperial')).toEqual({ unit: 'V', per: 1 });
  expect(preferredUnit('mm', 'metric')).toEqual({ unit: 'mm', per: 1 });
});
