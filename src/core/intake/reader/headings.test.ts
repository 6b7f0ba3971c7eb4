import { expect, test } from 'vitest';
import { readSpec } from '../read-spec';

const massUnder = (heading: string) =>
  readSpec(`Plover F7\nFlight controller\nUARTs: 6\n${heading}\nWeight: 8.4 g`).find((r) => r.field === 'massG');

test.each([
  'Technical data',
  'Mechanics:',
  '## Features',
  '[Body]',
  'Technische Daten',
  'Характеристики',
  'Black finish osd',
])('under "%s" a figure is sure', (heading) => expect(massUnder(heading)).toMatchObject({ value: 8.4, doubt: 'sure' }));
test.each(['From our workshop', 'Goes on well with', '== Seen this week ==', 'Из нашей лавки:'])(
  'under "%s" it is in doubt: it may be of something else',
  (heading) =>
    expect(massUnder(heading)).toMatchObject({
      value: 8.4,
      doubt: 'likely',
      why: expect.stringContaining('it stands under'),
    }),
);
test('the first lines of a page are its title', () =>
  expect(readSpec('Plover\nThe little one\nUARTs: 6')[0]).toMatchObject({ doubt: 'sure' }));
test('the nearest heading counts', () => {
  const text = 'Plover F7\nFlight controller\nFrom our workshop\nUARTs: 4\nTechnical data\nWeight: 8.4 g';
  expect(readSpec(text).map((r) => [r.field, r.doubt])).toEqual([
    ['processor', 'sure'],
    ['claimedPorts', 'likely'],
    ['massG', 'sure'],
  ]);
});
