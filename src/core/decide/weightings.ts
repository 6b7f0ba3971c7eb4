import type { Weighing } from '../records/build';
import { rungNames, type RungName } from '../trade/rungs';

/** Weights in the order of `rungNames`. */
export type Weighting = Float64Array;

const n = rungNames.length;

/**
 * The k-th point of a quasi-random sequence in the unit cube (additive recurrence on the powers of the generalised golden ratio), turned into a point
 * spread evenly over all weightings that add up to 1 (normalised exponentials). Repeatable: the same k gives the same weighting.
 */
export function weightingAt(k: number, dimensions = n): Weighting {
  const g = goldenRatio(dimensions);
  const w = new Float64Array(dimensions);
  let sum = 0;
  for (let i = 0; i < dimensions; i++) {
    const u = (0.5 + (k + 1) * g ** -(i + 1)) % 1;
    w[i] = -Math.log(1 - u * (1 - 1e-12));
    sum += w[i]!;
  }
  for (let i = 0; i < dimensions; i++) w[i]! /= sum;
  return w;
}

/** The root of x^(d+1) = x + 1. */
function goldenRatio(d: number): number {
  let x = 1.5;
  for (let i = 0; i < 60; i++) x = (1 + x) ** (1 / (d + 1));
  return x;
}

export interface Sampled {
  weightings: Weighting[];
  /** Share of all weightings that agree with what the buyer says. */
  agreeing: number;
}

/** Weightings that agree with what the buyer says, at most `most`, from at most `tries` points. */
export function reasonableWeightings({ statements, ranges }: Weighing, most = 4000, tries = 400_000): Sampled {
  const at = (name: RungName) => rungNames.indexOf(name);
  const chains = orderOf(statements);
  const bounds = (Object.entries(ranges) as [RungName, [number, number]][]).map(([name, [low, high]]) => ({
    i: at(name),
    low,
    high,
  }));
  const weightings: Weighting[] = [];
  let agreed = 0;
  let k = 0;
  for (; k < tries && weightings.length < most; k++) {
    const w = weightingAt(k);
    // A full order of some rungs holds for one arrangement of any weights: sorting them is as good as throwing the others away.
    if (chains) {
      const sorted = chains.map((i) => w[i]!).sort((a, b) => b - a);
      chains.forEach((i, rank) => (w[i] = sorted[rank]!));
    } else if (!statements.every((s) => w[at(s.more)]! >= w[at(s.than)]!)) continue;
    agreed++;
    if (bounds.every((b) => w[b.i]! >= b.low && w[b.i]! <= b.high)) weightings.push(w);
  }
  const share = weightings.length / Math.max(1, chains ? agreed : k);
  return { weightings, agreeing: chains ? share / factorial(chains.length) : share };
}

/** The rungs of the statements from the most important down, when these form one chain without gaps; else null. */
function orderOf(statements: Weighing['statements']): number[] | null {
  if (statements.length === 0) return null;
  const above = new Map(statements.map((s) => [s.than, s.more]));
  const below = new Map(statements.map((s) => [s.more, s.than]));
  if (above.size !== statements.length || below.size !== statements.length) return null;
  const tops = statements.filter((s) => !above.has(s.more));
  if (tops.length !== 1) return null;
  const chain = [tops[0]!.more];
  for (let next = below.get(chain[0]!); next && chain.length <= n; next = below.get(next)) chain.push(next);
  return chain.length === statements.length + 1 ? chain.map((name) => rungNames.indexOf(name)) : null;
}

function factorial(m: number): number {
  return m < 2 ? 1 : m * factorial(m - 1);
}
