import type { Netlist } from './netlist';
import {
  fully,
  nearly,
  newton,
  raised,
  restlessness,
  solved,
  systemOf,
  unsolved,
  type Companion,
  type Solved,
  type Unsolved,
} from './newton';
import { transient } from './transient';

/** In an operating point capacitors carry nothing. */
const atRest: Companion = () => null;
/** In such steps loads come on, before they are on: near enough to follow the state they start from. */
const loadSteps = [0.02, 0.5, 0.8] as const;
/** By then a circuit of a craft has come to rest, or never will. */
const restSeconds = 0.4;

/** Amps that still flow into capacitors where a run counts as come to rest. */
const restAmps = 1e-4;

/**
 * Volts and amps at rest. Loads come on last: of a circuit that could also hang browned out, that is the state it is meant for. Where no such state is found, the circuit
 * is run from nothing until it rests; where it never rests, there is no answer.
 */
export function operatingPoint(net: Netlist): Solved | Unsolved {
  const system = systemOf(net);
  const dead = new Float64Array(system.size);
  let x = raised(system, dead, atRest, { up: 1, loads: loadSteps[0] }, nearly);
  for (const loads of loadSteps.slice(1)) x &&= newton(system, x, atRest, { up: 1, loads }, nearly);
  x &&= newton(system, x, atRest, fully);
  x ??= newton(system, dead, atRest, fully);
  if (x) return solved(system, x);
  const run = transient(net, restSeconds, restSeconds / 4);
  if (!run.ok) return run;
  const end = run.moments.at(-1)!;
  const rested = newton(system, end.unknowns, atRest, fully);
  if (rested) return solved(system, rested);
  return restlessness(system, end.unknowns) < restAmps ? end : unsolved(net);
}
