import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { makeBoard, makeBuild, makePart, says } from '../tests/make';
import { sentenceOf } from '../words/finding/sentence-of';

const pads = ['vbat', 'in', 'sda', 'scl', 'led'].map((id) => ({ id, label: id.toUpperCase() }));
const on = (link: object, board: object = {}) => {
  const climb = evaluate(makeBuild({}, [makePart('p', { links: [link as never] })]), makeBoard({ pads, ...board }));
  return climb;
};
const signals = (...about: Parameters<typeof on>) => on(...about).rungs[4]!;

describe('analogue inputs: what is measured against what the input stands', () => {
  const input = (maxVolts?: number) => ({
    analogueInputs: [{ id: 'in', label: 'IN', kind: 'battery', pad: 'in', ...(maxVolts ? { maxVolts } : {}) }],
  });
  const link = (sendsVolts?: number) => ({
    kind: 'analogue',
    id: 'a',
    input: 'battery',
    ...(sendsVolts ? { sendsVolts } : {}),
  });
  test.each([
    [3.3, undefined, 'holds'],
    [5, undefined, 'breaks'],
    [25, 40, 'holds'],
    [42, 40, 'breaks'],
    [undefined, undefined, 'holds'],
  ] as const)('%s V on an input for %s V: %s', (sends, stands, state) =>
    expect(signals(link(sends), input(stands)).state).toBe(state),
  );
  test('both numbers are said, and what helps', () =>
    expect(
      signals(link(42), input(40))
        .findings.map((f) => sentenceOf(f))
        .join(' '),
    ).toMatch(/42 V .*40 V.*divider/));
});

describe('a bus that a part pulls to 5 V', () => {
  const bus = (tolerates?: number) => ({
    pads: pads.map((p) =>
      p.id === 'sda' || p.id === 'scl' ? { ...p, ...(tolerates ? { toleratesVolts: says(tolerates) } : {}) } : p,
    ),
    buses: [{ id: 'i2c', label: 'I2C', kind: 'i2c', pads: ['sda', 'scl'] }],
  });
  const link = (pullsToVolts?: number) => ({
    kind: 'i2c',
    id: 'b',
    address: 0x1e,
    ...(pullsToVolts ? { pullsToVolts } : {}),
  });
  test.each([
    [undefined, undefined, 'holds'],
    [3.3, undefined, 'holds'],
    [5, undefined, 'unknown'],
    [5, 5.5, 'holds'],
    [5, 3.6, 'breaks'],
  ] as const)('pulled to %s V, pads that stand %s V: %s', (pulls, stands, state) =>
    expect(signals(link(pulls), bus(stands)).state).toBe(state),
  );
});

// 0.7 of 5 V are 3.5 V: data sheets of the common light chip, from memory.
describe('light data', () => {
  const output = (sendsVolts?: number) => ({
    outputs: [
      { id: 'led', label: 'LED', pad: 'led', timer: 't', can: ['light'], ...(sendsVolts ? { sendsVolts } : {}) },
    ],
  });
  const link = (hearsFromVolts?: number) => ({
    kind: 'output',
    id: 'l',
    use: 'light',
    ...(hearsFromVolts ? { hearsFromVolts } : {}),
  });
  test.each([
    [undefined, undefined, 'fits'],
    [3.5, 5, 'fits'],
    [3.5, undefined, 'fits with work'],
    [4.2, undefined, 'does not fit'],
  ] as const)('heard from %s V, sent at %s V: %s', (hears, sends, verdict) =>
    expect(on(link(hears), output(sends)).verdict).toBe(verdict),
  );
});

describe('rates: an output sends only what it can', () => {
  const outputs = (rates: ('digital' | '50 Hz')[]) =>
    makeBoard({
      kind: 'flight controller',
      esc: undefined,
      pads: [1, 2, 3, 4].map((n) => ({ id: `m${n}`, label: `M${n}` })),
      outputs: [1, 2, 3, 4].map((n) => ({
        id: `m${n}`,
        label: `M${n}`,
        pad: `m${n}`,
        timer: 't',
        can: ['motor', 'servo'],
        rates,
      })),
    });
  const motors = (signal: 'digital' | '50 Hz') =>
    makeBuild({ motors: { count: 4, cruiseAmps: 1, peakAmps: 2, peakSeconds: 5, esc: 'separate', signal } });
  test.each([
    ['digital', ['digital'], null],
    ['digital', ['50 Hz'], 4],
    ['50 Hz', ['50 Hz'], null],
    ['50 Hz', ['digital'], 4],
  ] as const)('ESCs that listen at %s on outputs of %s', (signal, rates, stops) => {
    const climb = evaluate(motors(signal), outputs([...rates]));
    expect(climb.stopsAt).toBe(stops);
  });
});
