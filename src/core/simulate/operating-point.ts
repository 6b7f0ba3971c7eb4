import { eliminate } from './eliminate';
import { addSlopes, valueOf, type Reading } from './expression';
import { nodesOf, reference, type Element, type Netlist } from './netlist';

/** Volts of every node and amps of every element that has some of its own, at one moment. */
export interface Solved {
  ok: true;
  volts: Map<string, number>;
  amps: Map<string, number>;
}

/** No answer, and why: never a wrong number. */
export interface Unsolved {
  ok: false;
  why: string;
}

/** The unknowns of a netlist in a fixed order: node volts, then the amps of its `volts` elements. */
export interface System {
  net: Netlist;
  nodes: string[];
  branches: string[];
  place: Map<string, number>;
  branchPlace: Map<string, number>;
}

export function systemOf(net: Netlist): System {
  const nodes = nodesOf(net);
  const branches = net.elements.filter((e) => e.kind === 'volts').map((e) => e.id);
  return {
    net,
    nodes,
    branches,
    place: new Map(nodes.map((n, i) => [n, i])),
    branchPlace: new Map(branches.map((b, i) => [b, nodes.length + i])),
  };
}

/** Every node leaks so little to the reference that no floating one is without an answer: siemens. */
const leak = 1e-9;
const mostSteps = 200;

/** What the capacitors take at this moment, as an element each: a conductance and a current from `from` to `to`. */
export type Companion = (e: Extract<Element, { kind: 'capacitor' }>) => { siemens: number; amps: number } | null;

/** In an operating point capacitors carry nothing. */
const atRest: Companion = () => null;

/**
 * Volts and amps at rest by modified nodal analysis (Ho, Ruehli & Brennan 1975) and Newton's method, damped; where that does not come to an end, all sources are raised from nought in steps.
 */
export function operatingPoint(net: Netlist): Solved | Unsolved {
  const system = systemOf(net);
  const x = solveAt(system, new Float64Array(system.nodes.length + system.branches.length), atRest);
  return x ? solved(system, x) : unsolved(net);
}

export function unsolved(net: Netlist): Unsolved {
  return {
    ok: false,
    why: `The circuit "${net.title}" has no answer that the method found: it does not come to rest.`,
  };
}

export function solved(system: System, x: Float64Array): Solved {
  const at = readingOf(system, x);
  const amps = new Map<string, number>();
  for (const e of system.net.elements) amps.set(e.id, ampsThrough(e, at));
  return { ok: true, volts: new Map(system.nodes.map((n, i) => [n, x[i]!])), amps };
}

function ampsThrough(e: Element, at: Reading): number {
  switch (e.kind) {
    case 'resistor':
      return (at.volts(e.from) - at.volts(e.to)) / e.ohm;
    case 'volts':
      return at.amps(e.id);
    case 'amps':
      return valueOf(e.formula, at);
    case 'capacitor':
      return 0;
  }
}

export function readingOf({ place, branchPlace }: System, x: Float64Array): Reading {
  return {
    volts: (node) => (node === reference ? 0 : x[place.get(node)!]!),
    amps: (element) => x[branchPlace.get(element)!]!,
  };
}

/** The solution near a start, or null. */
export function solveAt(system: System, start: Float64Array, companion: Companion): Float64Array | null {
  const direct = newton(system, start, companion, 1);
  if (direct) return direct;
  let x: Float64Array = new Float64Array(start.length);
  for (let step = 1; step <= 40; step++) {
    const next = newton(system, x, companion, step / 40);
    if (!next) return null;
    x = next;
  }
  return x;
}

/** Newton's method from a start. `share`: so much of what the sources hold, to raise them in steps. */
function newton(system: System, start: Float64Array, companion: Companion, share: number): Float64Array | null {
  const n = start.length;
  let x = Float64Array.from(start);
  let residual = residualAt(system, x, companion, share);
  let size = norm(residual);
  for (let step = 0; step < mostSteps; step++) {
    const move = eliminate(slopesAt(system, x, companion, share), residual);
    if (!move) return null;
    // Halved until the equations are nearer to being met; after that the smallest is taken, since a corner may have to be passed.
    let next = x;
    for (let half = 0, damp = 1; half < 8; half++, damp /= 2) {
      next = x.map((v, i) => v - damp * move[i]!);
      residual = residualAt(system, next, companion, share);
      if (norm(residual) < size) break;
    }
    let moved = 0;
    for (let i = 0; i < n; i++) moved = Math.max(moved, Math.abs(next[i]! - x[i]!) / (1 + Math.abs(next[i]!)));
    x = next;
    size = norm(residual);
    if (moved < 1e-9 && size < 1e-7) return x;
  }
  return null;
}

function norm(residual: Float64Array): number {
  let most = 0;
  for (const r of residual) most = Math.max(most, Math.abs(r));
  return most;
}

/** By how much each equation is missed: the currents into a node do not sum to nought, an element does not hold its volts. */
function residualAt(system: System, x: Float64Array, companion: Companion, share: number): Float64Array {
  const { net, nodes, place, branchPlace } = system;
  const residual = new Float64Array(x.length);
  const at = readingOf(system, x);
  for (let i = 0; i < nodes.length; i++) residual[i] = leak * x[i]!;
  for (const e of net.elements) {
    const across = at.volts(e.from) - at.volts(e.to);
    let flows = 0;
    switch (e.kind) {
      case 'resistor':
        flows = across / e.ohm;
        break;
      case 'capacitor': {
        const c = companion(e);
        if (c) flows = c.siemens * across + c.amps;
        break;
      }
      case 'amps':
        flows = share * valueOf(e.formula, at);
        break;
      case 'volts':
        flows = at.amps(e.id);
        residual[branchPlace.get(e.id)!] = across - share * valueOf(e.formula, at);
        break;
    }
    const [from, to] = [place.get(e.from), place.get(e.to)];
    if (from !== undefined) residual[from] = residual[from]! + flows;
    if (to !== undefined) residual[to] = residual[to]! - flows;
  }
  return residual;
}

/** How each equation moves with each unknown. */
function slopesAt(system: System, x: Float64Array, companion: Companion, share: number): Float64Array[] {
  const { net, nodes, place, branchPlace } = system;
  const rows = Array.from(x, () => new Float64Array(x.length));
  const at = readingOf(system, x);
  const add = (row: number | undefined, by: number | undefined, amount: number) => {
    if (row !== undefined && by !== undefined) rows[row]![by] = rows[row]![by]! + amount;
  };
  const column = (what: 'volts' | 'amps', name: string) => (what === 'volts' ? place : branchPlace).get(name);
  for (let i = 0; i < nodes.length; i++) add(i, i, leak);
  for (const e of net.elements) {
    const [from, to] = [place.get(e.from), place.get(e.to)];
    const conducts = (siemens: number) => {
      add(from, from, siemens);
      add(from, to, -siemens);
      add(to, from, -siemens);
      add(to, to, siemens);
    };
    switch (e.kind) {
      case 'resistor':
        conducts(1 / e.ohm);
        break;
      case 'capacitor': {
        const c = companion(e);
        if (c) conducts(c.siemens);
        break;
      }
      case 'amps':
        addSlopes(e.formula, at, share, (what, name, slope) => {
          add(from, column(what, name), slope);
          add(to, column(what, name), -slope);
        });
        break;
      case 'volts': {
        const own = branchPlace.get(e.id)!;
        add(from, own, 1);
        add(to, own, -1);
        add(own, from, 1);
        add(own, to, -1);
        addSlopes(e.formula, at, -share, (what, name, slope) => add(own, column(what, name), slope));
        break;
      }
    }
  }
  return rows;
}
