import type { Contradiction } from '../simulate/audit';
import { num, type Finding } from './finding';

const words: Record<Contradiction['code'], (c: Contradiction) => string> = {
  'too few volts': (c) => `only ${num(c.found, 2)} V arrive at ${c.about}, which wants ${num(c.stands, 2)} V`,
  'too many volts': (c) => `${num(c.found, 2)} V arrive at ${c.about}, which stands ${num(c.stands, 2)} V`,
  'regulator overloaded': (c) => `${c.about} gives ${num(c.found, 2)} A and is rated ${num(c.stands, 2)} A`,
  'usb overloaded': (c) => `USB gives ${num(c.found, 2)} A and has ${num(c.stands, 2)} A`,
  'pin overloaded': (c) => `the pins of ${c.about} carry ${num(c.found, 2)} A and stand ${num(c.stands, 2)} A`,
  'wire too hot': (c) => `the wire to ${c.about} settles at ${num(c.found, 0)} C and stands ${num(c.stands, 0)} C`,
  'back-feeds': (c) => `${num(c.found, 3)} A are driven backwards into ${c.about}`,
  'not solved': () => 'the circuit does not come to rest',
};

/** Where the solved circuit contradicts what the rungs let through, nobody is told that it fits: an error of ours, said as one. */
export function circuitFindings(contradictions: readonly Contradiction[]): Finding[] {
  return contradictions.map((c) => ({
    rung: c.code === 'too few volts' || c.code === 'too many volts' ? 6 : 7,
    state: 'unknown',
    code: 'circuit disagrees',
    about: c.about,
    sentence: `The solved circuit disagrees with the rungs (${c.scene}): ${words[c.code](c)}. One of the two is an error of ours: take a reading before you buy, and tell us.`,
    grounds: [],
  }));
}
