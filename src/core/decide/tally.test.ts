import { describe, expect, test } from 'vitest';
import { makeBuild, makePart, says, serial, supply, unknown } from '../tests/make';
import { tally } from './tally';

describe('what a parts list asks for', () => {
  test('by hand: a receiver that is heard inverted, a positioning module that hears and talks, a light', () => {
    const list = makeBuild({}, [
      makePart('rx', { links: [serial('inverted-rc')], supply: supply(4.5, 5.5, 0.1) }, { massG: says(1.5) }),
      makePart('gps', { links: [serial('positioning')], supply: supply(4.5, 5.5, 0.2) }, { massG: says(8) }),
      makePart(
        'led',
        { links: [{ kind: 'output', id: 'chain', use: 'light', count: 1 }], supply: null },
        { massG: says(2), owned: true },
      ),
    ]);
    // Typical amps are half the peak: 0.05 A x 5 V + 0.1 A x 5 V = 0.75 W. Two parts of 10.00 are still to buy.
    expect(tally(list)).toEqual({
      parts: 3,
      ports: 2,
      hear: 2,
      talk: 1,
      inverted: 1,
      supplied: 2,
      grams: 11.5,
      watts: 0.75,
      toBuyCents: 2000,
      unknownFigures: 0,
    });
  });
  test('what nobody says counts as unknown, never as nought grams or watts known', () => {
    const list = makeBuild({}, [
      makePart('p', { supply: { ...supply(4.5, 5.5, 0.1), typicalAmps: unknown } }, { massG: unknown }),
    ]);
    expect(tally(list)).toMatchObject({ grams: 0, watts: 0, unknownFigures: 2 });
  });
  test('of a range the larger end counts', () => {
    const list = makeBuild({}, [makePart('p', {}, { massG: { low: 3, high: 5, origin: 'manual' } })]);
    expect(tally(list).grams).toBe(5);
  });
  test('only the first way of a part counts', () => {
    const two = makePart(
      'p',
      {},
      {
        modes: [
          { id: 'a', label: 'a', links: [serial('positioning')], supply: null },
          { id: 'b', label: 'b', links: [serial('positioning', 'x'), serial('positioning', 'y')], supply: null },
        ],
      },
    );
    expect(tally(makeBuild({}, [two])).ports).toBe(1);
  });
  test('nothing asks for nothing', () => expect(Object.values(tally(makeBuild())).every((n) => n === 0)).toBe(true));
});
