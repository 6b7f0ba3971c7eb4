import type { Ground } from '../quantity/ground';
import { aboveNought, amps, between, least, minus, num, over, sum, times, volts, type Expression } from './expression';
import type { Element } from './netlist';

/**
 * What sources, diodes, regulators and loads ask of a circuit. All of them are straight lines with rounded corners: what a data sheet's curves are first read as. Each
 * is held against a worked case in models.test.ts.
 */
interface Named {
  id: string;
  what: string;
  grounds?: Ground[];
}

/** Where a source comes to its most amps, every further ampere costs so many volts: it gives way. */
const givesWayOhm = 1000;
/** What is meant to let nothing back still leaks: as small diodes do. */
const blocksOhm = 1e5;
/** Corners of currents and of volts are rounded over so much. */
const softAmps = 2e-6;
const softVolts = 1e-3;
/** The slope of a diode that conducts, and of a regulator that holds: data sheets of small ones, from memory. */
const diodeOhm = 0.02;
const holdsOhm = 0.003;

function named({ id, what, grounds = [] }: Named): Pick<Element, 'id' | 'what' | 'grounds'> {
  return { id, what, grounds };
}

export function resistor(n: Named, from: string, to: string, ohm: number): Element {
  return { kind: 'resistor', ...named(n), from, to, ohm: Math.max(ohm, 1e-6) };
}

export function capacitor(n: Named, from: string, to: string, farad: number): Element {
  return { kind: 'capacitor', ...named(n), from, to, farad };
}

/**
 * A source of so many volts behind so much resistance, which gives way at its most amps: a pack, USB, a bench supply with its limiter. Its own current is negative when
 * it gives.
 */
export function source(
  n: Named,
  plus: string,
  minusNode: string,
  { volts: open, ohm, mostAmps }: { volts: number; ohm: number; mostAmps?: number },
): Element {
  // Element current runs from plus through the source to minus, so what it gives is -i.
  const gives = times(num(-1), amps(n.id));
  const terms: Expression[] = [num(open), times(num(-ohm), gives)];
  if (mostAmps !== undefined) terms.push(times(num(-givesWayOhm), aboveNought(sum(gives, num(-mostAmps)), softAmps)));
  return { kind: 'volts', ...named(n), from: plus, to: minusNode, formula: sum(...terms) };
}

/** A diode that costs so many volts one way and blocks the other. */
export function diode(n: Named, from: string, to: string, dropVolts: number): Element {
  const formula = sum(
    num(dropVolts),
    times(num(diodeOhm), aboveNought(amps(n.id), softAmps)),
    times(num(-blocksOhm), aboveNought(times(num(-1), amps(n.id)), softAmps)),
  );
  return { kind: 'volts', ...named(n), from, to, isDiode: true, formula };
}

export interface RegulatorFigures {
  type: 'buck' | 'linear' | 'step-up' | 'step-up-down';
  outVolts: number;
  dropOutVolts: number;
  /** 0 to 1; not read for a linear one. */
  efficiency: number;
  mostAmps: number;
  /** From so many volts at its input it gives all it can. */
  startsAtVolts: number;
}

/** Watts are not divided by less: nothing starts there. */
const leastInputVolts = 0.5;

/** Time constant of a soft start: common practice of small regulators, from memory. */
const softStartSeconds = 0.7e-3;

/** 0 below `at`, 1 a little above, straight between. */
function ramp(x: Expression, at: number, width: number): Expression {
  const up = over(minus(x, num(at)), num(width));
  return least(aboveNought(up, softVolts), num(1), softVolts);
}

/**
 * A regulator from `input` to `out`, all against `gnd`: holds its output, follows its input down below drop-out (or up, one that steps up), gives way at its most amps,
 * lets nothing back, starts softly. What it draws: as much as it gives (linear), else its watts over efficiency.
 */
export function regulator(n: Named, input: string, out: string, gnd: string, f: RegulatorFigures): Element[] {
  const inVolts = between(input, gnd);
  const enable = `${n.id}:on`;
  const held = num(f.outVolts);
  const reach: Record<RegulatorFigures['type'], Expression> = {
    buck: least(held, aboveNought(minus(inVolts, num(f.dropOutVolts)), softVolts), softVolts),
    linear: least(held, aboveNought(minus(inVolts, num(f.dropOutVolts)), softVolts), softVolts),
    'step-up': sum(held, aboveNought(minus(inVolts, held), softVolts)),
    'step-up-down': held,
  };
  const gives = aboveNought(times(num(-1), amps(n.id)), softAmps);
  const formula = sum(
    times(volts(enable), reach[f.type]),
    times(num(holdsOhm), amps(n.id)),
    times(num(-givesWayOhm), aboveNought(sum(times(num(-1), amps(n.id)), num(-f.mostAmps)), softAmps)),
    times(num(blocksOhm), aboveNought(amps(n.id), softAmps)),
  );
  const watts = over(
    times(gives, aboveNought(between(out, gnd), softVolts)),
    times(num(f.efficiency), sum(num(leastInputVolts), aboveNought(sum(inVolts, num(-leastInputVolts)), softVolts))),
  );
  const own = (part: string, what: string) => ({
    id: `${n.id}:${part}`,
    what: `${n.what}, ${what}`,
    grounds: n.grounds ?? [],
  });
  return [
    { kind: 'volts', ...named(n), from: out, to: gnd, formula },
    { kind: 'amps', ...own('in', 'input'), from: input, to: gnd, formula: f.type === 'linear' ? gives : watts },
    // Its start: a state of its own between 0 and 1, which follows the input being high enough.
    {
      kind: 'amps',
      ...own('start', 'start'),
      from: '0',
      to: enable,
      formula: ramp(inVolts, f.startsAtVolts - 0.2, 0.2),
    },
    resistor(own('hold', 'start'), enable, '0', 1),
    capacitor(own('soft', 'soft start'), enable, '0', softStartSeconds),
  ];
}

/** Below so many volts no chip wakes: an ohmmeter sees nothing of it. */
const wakesVolts = 0.7;

/**
 * A load. Below `fullVolts` it draws less in proportion, down to nothing below what chips wake at. `power`: above that it draws the same watts, else the same amps.
 */
export function load(
  n: Named,
  from: string,
  to: string,
  { amps: full, atVolts, fullVolts, power }: { amps: number; atVolts: number; fullVolts: number; power: boolean },
): Element {
  const knee = Math.max(fullVolts, wakesVolts + 0.3);
  const above = aboveNought(sum(between(from, to), num(-wakesVolts)), softVolts);
  const share = least(over(above, num(knee - wakesVolts)), num(1), softVolts);
  if (!power) return { kind: 'amps', ...named(n), from, to, isLoad: true, formula: times(num(full), share) };
  const atKnee = (full * atVolts) / knee;
  const falls = over(num(knee), sum(num(knee), aboveNought(minus(between(from, to), num(knee)), softVolts)));
  return { kind: 'amps', ...named(n), from, to, isLoad: true, formula: times(num(atKnee), times(share, falls)) };
}
