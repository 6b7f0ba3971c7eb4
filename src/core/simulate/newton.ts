import { eliminate } from './eliminate';
import { compiled, type Formula } from './expression';
import { nodesOf, type Element, type Netlist } from './netlist';

/** Volts of every node and amps of every element that has some of its own, at one moment. */
export interface Solved {
  ok: true;
  volts: Map<string, number>;
  amps: Map<string, number>;
  /** The same as the method counts it, to go on from. */
  unknowns: Float64Array;
}

/** No answer, and why: never a wrong number. */
export interface Unsolved {
  ok: false;
  why: string;
}

/** The unknowns of a netlist in a fixed order: node volts, then the amps of its `volts` elements. Elements know theirs by number; -1 is the reference. */
export interface System {
  net: Netlist;
  nodes: string[];
  size: number;
  placed: Placed[];
  /** Room for the slopes, used again at each step: of a hundred unknowns it is eighty kilobytes. */
  rows: Float64Array[];
}

export interface Placed {
  element: Element;
  from: number;
  to: number;
  /** The element's own amps among the unknowns, else -1. */
  own: number;
  formula: Formula | null;
}

export function systemOf(net: Netlist): System {
  // Those with the fewest neighbours first: each is gone before what hangs on it is touched, so that what is nought stays so.
  const neighbours = new Map<string, number>();
  for (const { from, to } of net.elements)
    for (const node of [from, to]) neighbours.set(node, (neighbours.get(node) ?? 0) + 1);
  const nodes = nodesOf(net).sort((a, b) => neighbours.get(a)! - neighbours.get(b)!);
  const place = new Map(nodes.map((n, i) => [n, i]));
  const branches = net.elements.filter((e) => e.kind === 'volts');
  const own = new Map(branches.map((b, i) => [b.id, nodes.length + i]));
  const at = (what: 'volts' | 'amps', name: string) => (what === 'volts' ? place : own).get(name) ?? -1;
  const placed = net.elements.map((element): Placed => ({
    element,
    from: at('volts', element.from),
    to: at('volts', element.to),
    own: at('amps', element.id),
    formula: 'formula' in element ? compiled(element.formula, at) : null,
  }));
  const size = nodes.length + branches.length;
  return { net, nodes, size, placed, rows: Array.from({ length: size }, () => new Float64Array(size)) };
}

/** Every node leaks so little to the reference that no floating one is without an answer: siemens. */
const leak = 1e-9;
const mostSteps = 200;

/** What a capacitor takes at this moment: a conductance and a current from `from` to `to`. */
export type Companion = (capacitor: Placed) => { siemens: number; amps: number } | null;

/** How far what feeds and what draws are turned up, each 0 to 1. */
export interface Turned {
  up: number;
  loads: number;
}
export const fully: Turned = { up: 1, loads: 1 };
export function unsolved(net: Netlist): Unsolved {
  return {
    ok: false,
    why: `The circuit "${net.title}" has no answer that the method found: it does not come to rest.`,
  };
}

export function solved({ nodes, placed }: System, x: Float64Array): Solved {
  const amps = new Map(placed.map((p) => [p.element.id, ampsThrough(p, x)]));
  return { ok: true, volts: new Map(nodes.map((n, i) => [n, x[i]!])), amps, unknowns: x };
}

/** Volts across an element. */
export function across({ from, to }: Placed, x: Float64Array): number {
  return (from < 0 ? 0 : x[from]!) - (to < 0 ? 0 : x[to]!);
}

function ampsThrough(p: Placed, x: Float64Array): number {
  switch (p.element.kind) {
    case 'resistor':
      return across(p, x) / p.element.ohm;
    case 'volts':
      return x[p.own]!;
    case 'amps':
      return p.formula!.value(x);
    case 'capacitor':
      return 0;
  }
}

/** By how much the last step may still have moved (a share of volts or amps), and what the equations may be missed by (amps or volts). */
const exactly = { moved: 1e-9, missed: 1e-7 };
/** Enough to go on from. */
export const nearly = { moved: 1e-3, missed: 1e-3 };

/** The solution near a start, or null. */
export function solveAt(system: System, start: Float64Array, companion: Companion): Float64Array | null {
  return newton(system, start, companion, fully) ?? raised(system, new Float64Array(start.length), companion, fully);
}

/** The solution at once, or else with all sources raised from nought in steps. */
export function raised(
  system: System,
  start: Float64Array,
  companion: Companion,
  to: Turned,
  enough = exactly,
): Float64Array | null {
  const direct = newton(system, start, companion, to, enough);
  if (direct) return direct;
  let x: Float64Array = start;
  for (let step = 1; step <= 40; step++) {
    const next = newton(system, x, companion, { ...to, up: (to.up * step) / 40 }, enough);
    if (!next) return null;
    x = next;
  }
  return x;
}

/** Newton's method from a start. */
export function newton(
  system: System,
  start: Float64Array,
  companion: Companion,
  turned: Turned,
  enough = exactly,
): Float64Array | null {
  const n = start.length;
  let x = Float64Array.from(start);
  let residual = residualAt(system, x, companion, turned);
  let size = norm(residual);
  for (let step = 0; step < mostSteps; step++) {
    const move = eliminate(slopesAt(system, companion, turned), residual);
    if (!move) return null;
    // Halved until the equations are nearer to being met; after that the smallest is taken, since a corner may have to be passed.
    let next = x;
    for (let half = 0, damp = 1; half < 8; half++, damp /= 2) {
      next = new Float64Array(n);
      for (let i = 0; i < n; i++) next[i] = x[i]! - damp * move[i]!;
      residual = residualAt(system, next, companion, turned);
      if (norm(residual) < size) break;
    }
    let moved = 0;
    for (let i = 0; i < n; i++) moved = Math.max(moved, Math.abs(next[i]! - x[i]!) / (1 + Math.abs(next[i]!)));
    x = next;
    size = norm(residual);
    if (moved < enough.moved && size < enough.missed) return x;
  }
  return null;
}

function norm(residual: Float64Array): number {
  let most = 0;
  for (const r of residual) most = Math.max(most, Math.abs(r));
  return most;
}

/** Amps by which the worst node is from rest: what still flows into capacitors. */
export function restlessness(system: System, x: Float64Array): number {
  return norm(residualAt(system, x, () => null, fully).subarray(0, system.nodes.length));
}

/** By how much each equation is missed: the currents into a node do not sum to nought, an element does not hold its volts. */
function residualAt(
  { nodes, size, placed }: System,
  x: Float64Array,
  companion: Companion,
  turned: Turned,
): Float64Array {
  const residual = new Float64Array(size);
  for (let i = 0; i < nodes.length; i++) residual[i] = leak * x[i]!;
  for (const p of placed) {
    const { element, from, to } = p;
    let flows = 0;
    switch (element.kind) {
      case 'resistor':
        flows = across(p, x) / element.ohm;
        break;
      case 'capacitor': {
        const c = companion(p);
        if (c) flows = c.siemens * across(p, x) + c.amps;
        break;
      }
      case 'amps':
        flows = (element.isLoad ? turned.loads : turned.up) * p.formula!.value(x);
        break;
      case 'volts':
        flows = x[p.own]!;
        residual[p.own] = across(p, x) - turned.up * p.formula!.value(x);
        break;
    }
    if (from >= 0) residual[from] = residual[from]! + flows;
    if (to >= 0) residual[to] = residual[to]! - flows;
  }
  return residual;
}

/** How each equation moves with each unknown, written over the rows of the system; where the residual was asked for last. */
function slopesAt({ nodes, placed, rows }: System, companion: Companion, turned: Turned): Float64Array[] {
  for (const row of rows) row.fill(0);
  const add = (row: number, by: number, amount: number) => {
    if (row >= 0 && by >= 0) rows[row]![by] = rows[row]![by]! + amount;
  };
  for (let i = 0; i < nodes.length; i++) add(i, i, leak);
  for (const p of placed) {
    const { element, from, to, own } = p;
    const conducts = (siemens: number) => {
      add(from, from, siemens);
      add(from, to, -siemens);
      add(to, from, -siemens);
      add(to, to, siemens);
    };
    switch (element.kind) {
      case 'resistor':
        conducts(1 / element.ohm);
        break;
      case 'capacitor': {
        const c = companion(p);
        if (c) conducts(c.siemens);
        break;
      }
      case 'amps':
        p.formula!.slopes(element.isLoad ? turned.loads : turned.up, (by, slope) => {
          add(from, by, slope);
          add(to, by, -slope);
        });
        break;
      case 'volts':
        add(from, own, 1);
        add(to, own, -1);
        add(own, from, 1);
        add(own, to, -1);
        p.formula!.slopes(-turned.up, (by, slope) => add(own, by, slope));
        break;
    }
  }
  return rows;
}
