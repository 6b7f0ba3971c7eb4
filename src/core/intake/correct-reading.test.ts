import { describe, expect, test } from 'vitest';
import { correctReading, readingText } from './correct-reading';
import { newBoard } from '../records/new-board';
import { readSpec } from './read-spec';

const board = newBoard('blank', 'Blank', 'Testwright');
const first = (text: string) => readSpec(text)[0]!;

/** What a buyer may put in place of what was understood: by hand from the figures of a board. */
describe('a reading that somebody corrects', () => {
  test.each([
    ['barometer', 'no', false],
    ['barometer', 'Yes', true],
    ['8 MB flash', '0', 0],
    ['weight 9 g', '7,5', 7.5],
    ['STM32F405', 'h7', 'H7'],
    ['5V 2A', '5 @ 2,5', '5@2.5'],
    ['5V 2A', '5 V / 2500 mA', '5@2.5'],
    ['weight 9 g', '0.3 oz', 8.50486],
    ['uart3 for receiver', 'UART 5', 5],
    ['USB-C', 'MICRO', 'micro'],
    ['uart3 for receiver', '4', 4],
  ])('%s, typed %s', (text, typed, value) => expect(correctReading(board, first(text), typed)!.value).toBe(value));
  test.each([
    ['barometer', 'perhaps'],
    ['barometer', '3'],
    ['weight 9 g', 'yes'],
    ['weight 9 g', 'light'],
    ['weight 9 g', ''],
    ['weight 9 g', '7..9'],
    ['STM32F405', 'H9'],
    ['5V 2A', '5 V'],
    ['USB-C', 'mini'],
    ['uart3 for receiver', 'the third'],
    ['UART x5', '-2'],
  ])('%s, typed "%s": no value of its field, so nothing lands', (text, typed) =>
    expect(correctReading(board, first(text), typed)).toBeNull(),
  );
  test('what stands in the box is taken as it stands', () => {
    for (const r of readSpec(
      'STM32F405, no barometer, OSD, 8 MB flash, weight 9 g, 5V 2A, USB-C, 3-6S, 30.5 x 30.5 mm M3, uart3 for receiver',
    ))
      expect(correctReading(board, r, readingText(r))).toEqual(r);
  });
});
