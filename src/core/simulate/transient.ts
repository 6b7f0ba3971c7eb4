import type { Element, Netlist } from './netlist';
import {
  readingOf,
  solveAt,
  solved,
  systemOf,
  unsolved,
  type Companion,
  type Solved,
  type System,
  type Unsolved,
} from './operating-point';

/** A moment of a run. */
export interface Moment extends Solved {
  seconds: number;
}

export interface Run {
  ok: true;
  moments: Moment[];
}

/** How far two halves and a whole step may differ: volts or amps, and a share of what they are. */
const tolerance = { absolute: 2e-3, share: 1e-3 };
const firstStep = 1e-7;
const shortest = 1e-12;
const mostMoments = 20_000;

/**
 * From all capacitors empty to `seconds`: implicit Euler steps, each made whole and in two halves, of which the difference chooses the length of the next and is taken off
 * the result (Richardson; second order, and as stable as implicit Euler). Never longer than `longest`.
 */
export function transient(net: Netlist, seconds: number, longest: number): Run | Unsolved {
  const system = systemOf(net);
  const capacitors = net.elements.filter((e) => e.kind === 'capacitor');
  const first = emptyStart(system, capacitors);
  if (!first) return unsolved(net);
  let x: Float64Array = first;
  let now = 0;
  let h = firstStep;
  const moments: Moment[] = [{ seconds: 0, ...solved(system, x) }];
  while (now < seconds * (1 - 1e-12)) {
    h = Math.min(h, longest, seconds - now);
    const whole = step(system, x, h);
    const half = whole && step(system, x, h / 2);
    const halves = half && step(system, half, h / 2);
    const off = halves ? difference(whole, halves) : Infinity;
    if (off > 1) {
      h *= Number.isFinite(off) ? Math.max(0.1, 0.8 / Math.sqrt(off)) : 0.25;
      if (h < shortest) return { ok: false, why: `The circuit "${net.title}" has no answer at ${now} s: it jumps.` };
      continue;
    }
    now += h;
    const next = halves!;
    // What capacitors hold is corrected by the difference; what has no memory is as it was solved.
    for (let i = 0; i < next.length; i++) next[i] = 2 * next[i]! - whole![i]!;
    x = next;
    moments.push({ seconds: now, ...solved(system, x) });
    if (moments.length > mostMoments) return { ok: false, why: `The circuit "${net.title}" never comes to rest.` };
    h *= Math.min(3, 0.9 / Math.sqrt(Math.max(off, 0.05)));
  }
  return { ok: true, moments };
}

type Capacitor = Extract<Element, { kind: 'capacitor' }>;

/** Just after the switch closes: every capacitor still at nought volts, as a very good conductor would hold it. */
function emptyStart(system: System, capacitors: Capacitor[]): Float64Array | null {
  const held = new Set(capacitors);
  const companion: Companion = (e) => (held.has(e) ? { siemens: 1e6, amps: 0 } : null);
  return solveAt(system, new Float64Array(system.nodes.length + system.branches.length), companion);
}

/** One step of implicit Euler from the volts of `before`. */
function step(system: System, before: Float64Array, h: number): Float64Array | null {
  const was = readingOf(system, before);
  return solveAt(system, before, (e) => {
    const siemens = e.farad / h;
    return { siemens, amps: -siemens * (was.volts(e.from) - was.volts(e.to)) };
  });
}

function difference(whole: Float64Array, halves: Float64Array): number {
  let most = 0;
  for (let i = 0; i < whole.length; i++) {
    const allowed = tolerance.absolute + tolerance.share * Math.abs(halves[i]!);
    most = Math.max(most, Math.abs(whole[i]! - halves[i]!) / allowed);
  }
  return most;
}
