import type { Ground } from '../quantity/ground';
import { reference, type Netlist } from './netlist';

/** So many wires, bridges and diodes away a figure still counts as standing behind a node. */
const mostSteps = 4;

/** The figures that the volts of a node hang on: of all that is joined to it, over wires, bridges and diodes, without going through ground. Each once. */
export function figuresBehind({ elements }: Netlist, node: string, ground: string): Ground[] {
  const reached = new Set([node]);
  for (let step = 0; step < mostSteps; step++)
    for (const e of elements) {
      if (e.kind !== 'resistor' && !(e.kind === 'volts' && e.isDiode)) continue;
      for (const [here, there] of [
        [e.from, e.to],
        [e.to, e.from],
      ] as const)
        if (reached.has(here) && there !== ground && there !== reference) reached.add(there);
    }
  reached.delete(ground);
  reached.delete(reference);
  const found = elements.filter((e) => reached.has(e.from) || reached.has(e.to)).flatMap((e) => e.grounds);
  return found.filter((g, i) => found.findIndex((other) => other.what === g.what) === i);
}
