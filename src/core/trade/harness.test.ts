import { describe, expect, test } from 'vitest';
import { meetings } from './harness';

describe('two ends of a straight harness', () => {
  test('by hand: the same pins meet as they should, whatever their spelling', () => {
    expect(meetings(['VBAT', 'GND', 'M1'], ['bat', 'g', 'm1'])).toEqual([]);
  });
  test('pack on ground burns, so does a signal on either; two signals only go astray', () => {
    expect(meetings(['VBAT'], ['GND'])).toMatchObject([{ pin: 1, burns: true }]);
    expect(meetings(['CUR'], ['VBAT'])).toMatchObject([{ burns: true }]);
    expect(meetings(['TLM'], ['CUR'])).toMatchObject([{ burns: false }]);
  });
  test('a pin that meets nothing is said, and burns nothing', () => {
    expect(meetings(['GND', 'VBAT', 'S1'], ['GND', 'VBAT'])).toEqual([
      { pin: 3, board: 'S1', esc: 'nothing', burns: false },
    ]);
  });
  test('turning the harness round tells the same pins', () => {
    const [a, b] = [
      ['GND', 'VBAT', 'S1', 'S2'],
      ['VBAT', 'GND', 'S2'],
    ];
    expect(meetings(b, a).map((m) => [m.pin, m.burns])).toEqual(meetings(a, b).map((m) => [m.pin, m.burns]));
  });
});
