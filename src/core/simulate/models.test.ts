import { describe, expect, test } from 'vitest';
import { capacitor, diode, load, regulator, resistor, source } from './models';
import type { Element } from './netlist';
import { operatingPoint } from './operating-point';

const n = (id: string) => ({ id, what: id });
function rest(...elements: Element[]) {
  const solved = operatingPoint({ title: 'a test', elements });
  if (!solved.ok) throw new Error(solved.why);
  return solved;
}
const pack = (volts: number, ohm = 0) => source(n('pack'), 'p', '0', { volts, ohm });
const fiveVolts = {
  type: 'buck',
  outVolts: 5,
  dropOutVolts: 1,
  efficiency: 0.9,
  mostAmps: 2,
  startsAtVolts: 3,
} as const;

describe('textbook cases at rest (any electronics handbook)', () => {
  test('a divider', () => {
    const at = rest(pack(12), resistor(n('a'), 'p', 'm', 2000), resistor(n('b'), 'm', '0', 1000));
    expect(at.volts.get('m')).toBeCloseTo(4, 5);
    expect(at.amps.get('a')).toBeCloseTo(0.004, 8);
  });
  test('a pack with a load: four cells of 10 milliohm and 30 A', () => {
    const at = rest(pack(16.8, 0.04), load(n('m'), 'p', '0', { amps: 30, atVolts: 14.8, fullVolts: 5, power: false }));
    expect(at.volts.get('p')).toBeCloseTo(16.8 - 1.2, 4);
  });
  test('a bridge of five resistors (Wheatstone): no current where its arms agree, some where not', () => {
    const bridge = (last: number) =>
      rest(
        pack(10),
        resistor(n('1'), 'p', 'a', 100),
        resistor(n('2'), 'a', '0', 200),
        resistor(n('3'), 'p', 'b', 150),
        resistor(n('4'), 'b', '0', last),
        resistor(n('5'), 'a', 'b', 50),
      ).amps.get('5')!;
    expect(bridge(300)).toBeCloseTo(0, 7);
    expect(bridge(100)).toBeGreaterThan(0.005);
  });
  test('ground bounce: 2 A back over 50 milliohm lifts the ground of the part by 0.1 V', () => {
    const at = rest(
      pack(5),
      resistor(n('out'), 'p', 'v', 0.05),
      load(n('part'), 'v', 'g', { amps: 2, atVolts: 5, fullVolts: 1, power: false }),
      resistor(n('back'), 'g', '0', 0.05),
    );
    expect(at.volts.get('g')).toBeCloseTo(0.1, 4);
    expect(at.volts.get('v')! - at.volts.get('g')!).toBeCloseTo(4.8, 3);
  });
});

describe('regulators', () => {
  const fed = (volts: number, amps: number, f: Partial<Parameters<typeof regulator>[4]> = {}) => {
    const at = rest(
      pack(volts),
      ...regulator(n('r'), 'p', 'out', '0', { ...fiveVolts, ...f }),
      load(n('l'), 'out', '0', { amps, atVolts: 5, fullVolts: 1, power: false }),
    );
    return { out: at.volts.get('out')!, drawn: -at.amps.get('pack')! };
  };
  test('a step-down one holds 5 V and draws its watts over its efficiency: 5 V x 1 A / (0.9 x 12 V)', () => {
    const { out, drawn } = fed(12, 1);
    expect(out).toBeCloseTo(5, 1);
    expect(drawn).toBeCloseTo(5 / (0.9 * 12), 2);
  });
  test('below drop-out its output follows: 5.5 V less 1 V', () => expect(fed(5.5, 0.1).out).toBeCloseTo(4.5, 2));
  test('below its start it gives nothing but what leaks', () => expect(fed(2.5, 0.1).out).toBeLessThan(0.15));
  test('past its most amps it gives way: 2 A into what asks for 5 A as 1 ohm', () => {
    const at = rest(pack(12), ...regulator(n('r'), 'p', 'out', '0', fiveVolts), resistor(n('l'), 'out', '0', 1));
    expect(at.volts.get('out')).toBeCloseTo(2, 2);
  });
  test('a linear one draws what it gives, so it burns the rest: (12 - 5) V x 0.3 A = 2.1 W', () => {
    const { out, drawn } = fed(12, 0.3, { type: 'linear' });
    expect(drawn).toBeCloseTo(0.3, 3);
    expect(12 * drawn - out * 0.3).toBeCloseTo(2.1, 1);
  });
  test('one that steps up holds 5 V from one cell and passes a higher input through', () => {
    const up = { type: 'step-up', startsAtVolts: 2 } as const;
    expect(fed(3.7, 0.5, up).out).toBeCloseTo(5, 1);
    expect(fed(3.7, 0.5, up).drawn).toBeCloseTo(2.5 / (0.9 * 3.7), 1);
    expect(fed(8, 0.5, up).out).toBeCloseTo(8, 1);
  });
  test('it lets nothing back: 7 V put on its output from outside', () => {
    const at = rest(
      pack(12),
      ...regulator(n('r'), 'p', 'out', '0', fiveVolts),
      source(n('other'), 'out', '0', { volts: 7, ohm: 0.1 }),
    );
    expect(at.amps.get('r')).toBeLessThan(1e-3);
  });
});

describe('sources that meet', () => {
  test('of two behind diodes the higher feeds (diode-or): 5.2 V less 0.3 V, the 4.75 V side carries nothing', () => {
    const at = rest(
      source(n('bec'), 'a', '0', { volts: 5.2, ohm: 0.01 }),
      source(n('usb'), 'b', '0', { volts: 4.75, ohm: 0.01 }),
      diode(n('da'), 'a', 'o', 0.3),
      diode(n('db'), 'b', 'o', 0.3),
      load(n('l'), 'o', '0', { amps: 0.5, atVolts: 5, fullVolts: 1, power: false }),
    );
    expect(at.volts.get('o')).toBeCloseTo(5.2 - 0.3 - 0.5 * 0.03, 2);
    expect(Math.abs(at.amps.get('db')!)).toBeLessThan(1e-4);
  });
  test('without diodes the higher drives current into the lower: 0.45 V over 0.25 ohm', () => {
    const at = rest(
      source(n('bec'), 'o', '0', { volts: 5.2, ohm: 0.05 }),
      source(n('usb'), 'b', '0', { volts: 4.75, ohm: 0.1 }),
      resistor(n('cable'), 'b', 'o', 0.1),
    );
    expect(at.amps.get('usb')).toBeCloseTo(0.45 / 0.25, 3);
  });
});

test('constant power: at 4 V what took 1 A at 5 V takes 1.25 A; below its least volts less, and nothing where no chip wakes', () => {
  const drawn = (volts: number) =>
    rest(pack(volts), load(n('l'), 'p', '0', { amps: 1, atVolts: 5, fullVolts: 3, power: true })).amps.get('l')!;
  expect(drawn(4)).toBeCloseTo(1.25, 2);
  // Half way between 0.7 V and the knee at 3 V it draws half of what it draws at the knee.
  expect(drawn(1.85)).toBeCloseTo((5 / 3) * 0.5, 2);
  expect(drawn(0.3)).toBeLessThan(1e-3);
});

test('constant power on too weak a source browns out rather than giving a wrong number', () => {
  // 10 W from 6 V behind 1.5 ohm: at most 6 W can come (maximum power transfer).
  const at = rest(pack(6, 1.5), load(n('l'), 'p', '0', { amps: 2, atVolts: 5, fullVolts: 4, power: true }));
  expect(at.volts.get('p')).toBeLessThan(4);
});

test('a capacitor carries nothing at rest, and two ideal sources against each other are no answer', () => {
  expect(rest(pack(9), capacitor(n('c'), 'p', '0', 1e-3)).amps.get('pack')).toBeCloseTo(0, 6);
  const no = operatingPoint({ title: 'a fight', elements: [pack(9), source(n('b'), 'p', '0', { volts: 5, ohm: 0 })] });
  expect(no).toMatchObject({ ok: false, why: expect.stringContaining('a fight') });
});
