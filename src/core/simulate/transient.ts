import type { Netlist } from './netlist';
import { across, solveAt, solved, systemOf, unsolved, type Solved, type System, type Unsolved } from './newton';

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
const shortest = 1e-9;
const mostMoments = 20_000;

/**
 * From all capacitors empty, or from a state of the same circuit, to `seconds`: implicit Euler steps, each made whole and in two halves, of which the difference chooses the length of the next and is taken off
 * the result (Richardson; second order, and as stable as implicit Euler). Never longer than `longest`.
 */
export function transient(net: Netlist, seconds: number, longest: number, start?: Float64Array): Run | Unsolved {
  const system = systemOf(net);
  const first = start ?? emptyStart(system);
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

/** Just after the switch closes: every capacitor still at nought volts, as a very good conductor would hold it. */
function emptyStart(system: System): Float64Array | null {
  return solveAt(system, new Float64Array(system.size), () => ({ siemens: 1e6, amps: 0 }));
}

/** One step of implicit Euler from the volts of `before`. */
function step(system: System, before: Float64Array, h: number): Float64Array | null {
  return solveAt(system, before, (c) => {
    const siemens = c.element.kind === 'capacitor' ? c.element.farad / h : 0;
    return { siemens, amps: -siemens * across(c, before) };
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
