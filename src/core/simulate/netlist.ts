import type { Ground } from '../quantity/ground';
import type { Expression } from './expression';

/** The node that all volts are counted from. */
export const reference = '0';

interface Between {
  id: string;
  from: string;
  to: string;
  /** What it stands for, in the words of the trade: "wire to Skein Long", "5 V regulator". */
  what: string;
  /** The figures it was made from, for "says who?". */
  grounds: Ground[];
}

/**
 * One element between two nodes; amps count from `from` to `to`. `resistor` and `capacitor` as everywhere. `volts`: holds from - to at a formula and has a current of its own, which the formula may name.
 * `amps`: draws the amps of a formula; a load is switched on once its supply stands.
 */
export type Element =
  | (Between & { kind: 'resistor'; ohm: number })
  | (Between & { kind: 'capacitor'; farad: number })
  | (Between & { kind: 'volts'; formula: Expression; isDiode?: true })
  | (Between & { kind: 'amps'; formula: Expression; isLoad?: true });

export interface Netlist {
  title: string;
  elements: Element[];
}

/** All nodes but the reference, in the order in which they first appear. */
export function nodesOf(net: Netlist): string[] {
  const nodes = new Set<string>();
  for (const e of net.elements) nodes.add(e.from).add(e.to);
  nodes.delete(reference);
  return [...nodes];
}
