import { describe, expect, test } from 'vitest';
import { deskState } from '../bench/desk';
import { evaluate } from '../evaluate/climb';
import { makeBoard, makeBuild, makePart, regulator, supply, unknown } from '../tests/make';

// A 5 V rail that USB or the regulator feeds, and a 9 V rail that is dead on USB. Draws are half the peak.
const board = makeBoard({
  pads: ['vbat', 'v5', 'v9'].map((id) => ({ id, label: id })),
  rails: [
    { id: 'pack', label: 'Pack', pads: [], source: { kind: 'pack' } },
    { id: 'reg', label: 'reg', pads: [], source: regulator(5, 3) },
    { id: 'usb', label: 'USB', pads: [], source: { kind: 'usb', dropVolts: 0.3 } },
    {
      id: 'five',
      label: '5 V',
      pads: ['v5'],
      source: { kind: 'either', of: ['usb', 'reg'], isolated: { value: true, origin: 'manual' } },
    },
    { id: 'nine', label: '9 V', pads: ['v9'], source: regulator(9, 2) },
  ],
});
const receiver = (typical: number) => makePart('rx', { supply: supply(4.5, 5.5, 2 * typical) }, { onUsb: true });
const lights = (typical: number, min = 4.5, max = 5.5, at = 5) =>
  makePart('lights', { supply: supply(min, max, 2 * typical, at) });
const climb = (...parts: ReturnType<typeof receiver>[]) => evaluate(makeBuild({}, parts), board);
const desk = (c: ReturnType<typeof climb>) => c.rungs[6]!.findings.find((f) => f.about === 'USB on the desk');

describe('500 mA on the desk (USB 2.0, 7.2.1)', () => {
  test('what must live on USB is held to it: 0.5 A goes, 0.51 A stops the board', () => {
    expect(climb(receiver(0.5)).stopsAt).toBeNull();
    expect(climb(receiver(0.51)).stopsAt).toBe(7);
  });
  test('lights of 0.6 A that need not live on USB stop nothing: strained, with the sum and what to do', () => {
    const c = climb(receiver(0.1), lights(0.6));
    expect([c.stopsAt, c.verdict]).toEqual([null, 'fits with work']);
    expect(desk(c)).toMatchObject({
      state: 'strained',
      says: { amps: expect.closeTo(0.7) as unknown, gives: 0.5, others: [{ name: 'lights', amps: 0.6 }] },
      fix: { code: 'dead rail on USB' },
    });
  });
  test('within the 500 mA together nothing is said', () =>
    expect(desk(climb(receiver(0.1), lights(0.39)))).toBeUndefined());
  test('nothing must live on USB: nothing is said of the desk', () => expect(desk(climb(lights(2)))).toBeUndefined());
  test('what hangs on a rail that is dead on USB draws nothing of it', () => {
    const c = climb(receiver(0.1), lights(0.8, 8, 12, 9));
    expect(desk(c)).toBeUndefined();
    expect(deskState(makeBuild({}, [receiver(0.1), lights(0.8, 8, 12, 9)]), c)).toMatchObject({
      amps: expect.closeTo(0.1, 9),
      restAmps: 0,
      enough: true,
      allEnough: true,
    });
  });
  test('the bench adds up the same', () => {
    const build = makeBuild({}, [receiver(0.1), lights(0.6)]);
    expect(deskState(build, evaluate(build, board))).toMatchObject({
      amps: expect.closeTo(0.1, 9),
      restAmps: expect.closeTo(0.6, 9),
      enough: true,
      allEnough: false,
    });
  });
  test('what is alive on USB and draws nobody knows what is named, and the sum is at least so much', () => {
    const build = makeBuild({}, [
      receiver(0.1),
      makePart('lights', { supply: { ...supply(4.5, 5.5, 0.2), typicalAmps: unknown, peakAmps: unknown } }),
    ]);
    const c = evaluate(build, board);
    expect(c.rungs[6]!.state).toBe('unknown');
    expect(deskState(build, c)).toMatchObject({
      amps: expect.closeTo(0.1, 9),
      restAmps: 0,
      unsaid: ['lights'],
      parts: [{ amps: expect.closeTo(0.1, 9) }, { amps: null, says: 'alive on USB, though it need not be' }],
    });
  });
});
