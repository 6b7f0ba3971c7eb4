import { spiceFormula } from './expression';
import { nodesOf, reference, type Netlist } from './netlist';

/** Names for SPICE: short ones without signs, with what they stand for in comments. */
export interface SpiceNames {
  node: (node: string) => string;
  element: (id: string) => string;
}

export function spiceNames(net: Netlist): SpiceNames {
  const nodes = new Map(nodesOf(net).map((n, i) => [n, `n${i + 1}`]));
  const elements = new Map(net.elements.map((e, i) => [e.id, `${letters[e.kind]}${i + 1}`]));
  return { node: (n) => (n === reference ? '0' : nodes.get(n)!), element: (id) => elements.get(id)! };
}

const letters = { resistor: 'R', capacitor: 'C', volts: 'B', amps: 'B' } as const;

/** One line, nothing that a simulator would take for a directive. */
function comment(words: string): string {
  return `* ${words.replace(/[^\x20-\x7e]+/g, ' ').slice(0, 200)}`;
}

/**
 * The netlist in SPICE's own words, to be run by any simulator that knows B sources. `analysis`: nothing (the circuit alone), or the lines of an analysis. Parts of
 * a formula's own current are read through a source of nought volts beside it, as SPICE asks.
 */
export function spiceNetlist(net: Netlist, analysis: readonly string[] = ['.op']): string {
  const { node, element } = spiceNames(net);
  const lines = [comment(net.title), ''];
  for (const n of nodesOf(net)) lines.push(comment(`${node(n)}: ${n}`));
  lines.push('');
  for (const e of net.elements) {
    const name = element(e.id);
    const [from, to] = [node(e.from), node(e.to)];
    lines.push(comment(e.what));
    switch (e.kind) {
      case 'resistor':
        lines.push(`${name} ${from} ${to} ${e.ohm}`);
        break;
      case 'capacitor':
        lines.push(`${name} ${from} ${to} ${e.farad} ic=0`);
        break;
      case 'amps':
        lines.push(`${name} ${from} ${to} i=${spiceFormula(e.formula, node, meter)}`);
        break;
      case 'volts':
        lines.push(
          `${meter(e.id)} ${from} ${name}x 0`,
          `${name} ${name}x ${to} v=${spiceFormula(e.formula, node, meter)}`,
        );
        break;
    }
  }
  return [...lines, ...analysis, '.end', ''].join('\n');

  function meter(id: string): string {
    return `V${element(id).slice(1)}`;
  }
}
