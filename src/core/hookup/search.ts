import { amountOn, totalsOf } from './model';
import { enumerate } from './enumerate';
import { propagate } from './propagate';
import { lowerToReachable } from './reachable';
import { boundOf, copyRelaxation, drop, fixTag, lookAt, sharesOf, type Bound, type Relaxation } from './relax';

/** A hookup as one option for each part, by number in the model. */
export type Chosen = Int32Array;

const near = 1e-6;
/** For how many steps options are tried out where a relaxation could be spared: about as long as it would take. Changes speed only. */
export interface Tries {
  /** What the levels decided so far leave. */
  betweenLevels: number;
  /** Whether there is any hookup at all. */
  first: number;
  /** What a node leaves, before it is split. */
  beforeSplit: number;
}

export const usualTries: Tries = { betweenLevels: 125, first: 150, beforeSplit: 500 };

/**
 * The least of one level below `below`, or with `level` -1 (and `below` and `unit` 1) any hookup; null where there is none. `unit`: every cost of the level is a
 * multiple of it. Exact: branch and bound over relaxations; what the bound rules out is dropped before a node is split. The relaxation given is solved, not split.
 * `again` is given the best so far and what a relaxed hookup takes of each option, each time before cuts are looked for, and asked for a better hookup.
 */
export function searchLevel(
  start: Relaxation,
  level: number,
  below: number,
  unit: number,
  again: (best: Chosen | null, shares: Float64Array) => Chosen | null = () => null,
  tries = usualTries,
): { best: Chosen | null; nodes: number; root: Bound | null } {
  const { model } = start;
  let best: Chosen | null = null;
  let bar = below;
  let nodes = 0;
  let first: Bound | null = null;

  visit(start, true, tries.beforeSplit);
  return { best, nodes, root: first };

  /** `steps`: for so many its options are tried out. What did not end there seldom ends in a side of it, so the sides get half. */
  function visit(node: Relaxation, root: boolean, steps: number): void {
    nodes++;
    if (!propagate(node)) return;
    if (root && level < 0) {
      const nothing = new Float64Array(node.alive.length);
      const tried = enumerate(node, level, bar, tries.first, { bound: 0, rise: nothing }, nothing, wanted());
      consider(tried.best);
      if (tried.ended || best) return;
    }
    lowerToReachable(node);
    const bound = boundOf(node, level, wanted, (now) => {
      const shares = sharesOf(node);
      consider(repaired(node, shares));
      if (root && now <= wanted()) consider(again(best, shares));
    });
    first ??= bound;
    if (done(bound)) return;
    const shares = sharesOf(node);
    const whole = chosenFrom(node, shares);
    if (whole) consider(whole);
    if (done(bound)) return;
    consider(repaired(node, shares));
    if (done(bound)) return;
    const open = root ? copyRelaxation(node) : node;
    for (let o = 0; o < open.alive.length; o++) if (open.alive[o] && bound.bound + bound.rise[o]! > wanted()) drop(open, o);
    const tried = enumerate(open, level, bar, steps, bound, shares, wanted());
    consider(tried.best);
    if (tried.ended || done(bound)) return;
    for (const child of split(open, shares, level, bound.bound, wanted())) {
      visit(child, false, steps / 2);
      if (best && level < 0) return;
    }
  }

  /** A bound above this leaves nothing that is better by a whole unit. */
  function wanted(): number {
    return bar - unit + near * unit;
  }

  function done({ bound }: Bound): boolean {
    return bound > wanted();
  }

  function consider(pick: Chosen | null): void {
    if (!pick) return;
    const totals = standTogether(start, pick);
    if (!totals) return;
    const value = level < 0 ? 0 : totals[model.sums + level]!;
    if (value < bar - near) {
      best = pick.slice();
      bar = value;
    }
  }
}

/** What the chosen options take of every row, or null where they exceed a cap or disagree about a tag: worked out from the model alone. */
export function standTogether({ model, caps }: Relaxation, pick: Chosen): Float64Array | null {
  const tags = new Map<number, number>();
  for (const o of pick) {
    for (const [t, v] of model.options[o]!.tags) {
      if ((tags.get(t) ?? v) !== v) return null;
      tags.set(t, v);
    }
  }
  const totals = totalsOf(model, pick);
  return totals.every((used, r) => used <= caps[r]! + near) ? totals : null;
}

/** The option that each part takes most of. */
function chosenFrom({ model, alive }: Relaxation, shares: Float64Array): Chosen | null {
  const chosen = new Int32Array(model.first.length - 1).fill(-1);
  for (let p = 0; p < chosen.length; p++) {
    for (let o = model.first[p]!; o < model.first[p + 1]!; o++) if (alive[o] && (chosen[p]! < 0 || shares[o]! > shares[chosen[p]!]!)) chosen[p] = o;
    if (chosen[p]! < 0) return null;
  }
  return chosen;
}

/** A hookup made from the relaxed one: parts that are nearly settled first, each takes what it has most of among the options that still go. */
function repaired({ model, alive, caps }: Relaxation, shares: Float64Array): Chosen | null {
  const parts = model.first.length - 1;
  const left = caps.slice();
  const tags = new Map<number, number>();
  const chosen = new Int32Array(parts).fill(-1);
  const worth = (o: number) => shares[o]!;
  const order = Array.from({ length: parts }, (_, p) => {
    let top = 0;
    for (let o = model.first[p]!; o < model.first[p + 1]!; o++) top = Math.max(top, shares[o]!);
    return { p, top };
  }).sort((a, b) => b.top - a.top || a.p - b.p);
  for (const { p } of order) {
    let at = -1;
    for (let o = model.first[p]!; o < model.first[p + 1]!; o++) if (alive[o] && (at < 0 || worth(o) > worth(at)) && goes(o)) at = o;
    if (at < 0) return null;
    chosen[p] = at;
    for (let i = model.at[at]!; i < model.at[at + 1]!; i++) left[model.row[i]!]! -= model.amount[i]!;
    for (const [t, v] of model.options[at]!.tags) tags.set(t, v);
  }
  return chosen;

  function goes(o: number): boolean {
    for (let i = model.at[o]!; i < model.at[o + 1]!; i++) if (model.amount[i]! > left[model.row[i]!]! + near) return false;
    return model.options[o]!.tags.every(([t, v]) => (tags.get(t) ?? v) === v);
  }
}

/** One side of a split: what is done to a copy of the node. */
type Side = (child: Relaxation) => void;

/** So many tags and so many parts are looked at before a node is split, each with so many exchanges; fewer when the first ones are no worse. */
const mostLookedAt = 4;
const lookPivots = 15;
const mostIdle = 1;

/**
 * Splits a node where that raises the bounds of the sides most (strong branching: D. Applegate and others, Finding Cuts in the TSP, 1995): on a tag that
 * the relaxed hookup has standing two ways, or on a part that is not settled. Sides that cannot reach below the bar are left out; the most promising first.
 */
function split(node: Relaxation, shares: Float64Array, level: number, from: number, wanted: number): Relaxation[] {
  let best: { child: Relaxation; bound: number }[] | null = null;
  let most = -1;
  const candidates = [...openTags(node, shares), ...openParts(node, shares)];
  if (candidates.length === 0) candidates.push(...anyOpenPart(node, shares));
  let idle = 0;
  for (const sides of candidates) {
    if (idle > mostIdle) break;
    const children = sides.flatMap((side) => {
      const child = copyRelaxation(node);
      side(child);
      if (!propagate(child)) return [];
      if (candidates.length === 1) return [{ child, bound: from }];
      const { bound } = lookAt(child, level, lookPivots);
      return bound > wanted ? [] : [{ child, bound }];
    });
    if (children.length < 2) return children.map((c) => c.child);
    const gains = children.map((c) => Math.max(1e-3, c.bound - from));
    const left = Math.max(...children.map((c) => c.child.alive.reduce((x, y) => x + y, 0))) / node.alive.reduce((x, y) => x + y, 0);
    const score = Math.min(...gains) + gains.reduce((x, y) => x + y, 0) / gains.length / 6 + 0.01 * (1 - left);
    if (score <= most) {
      idle++;
      continue;
    }
    idle = 0;
    most = score;
    best = children;
  }
  return (best ?? []).sort((x, y) => x.bound - y.bound).map((c) => c.child);
}

/** The tags that are least settled, each split between the value that has most of it and the rest. */
function openTags({ model, alive, tags }: Relaxation, shares: Float64Array): Side[][] {
  const found = new Map<number, Map<number, number>>();
  model.options.forEach((o, i) => {
    if (!alive[i]) return;
    for (const [t, v] of o.tags) {
      if (tags[t] !== -1) continue;
      const values = found.get(t) ?? new Map<number, number>();
      values.set(v, (values.get(v) ?? 0) + shares[i]!);
      found.set(t, values);
    }
  });
  return [...found]
    .map(([tag, values]) => {
      const sorted = [...values].sort((a, b) => b[1] - a[1] || a[0] - b[0]);
      return { tag, top: sorted[0]![0], second: sorted[1]?.[1] ?? 0 };
    })
    .filter((t) => t.second > near)
    .sort((a, b) => b.second - a.second || a.tag - b.tag)
    .slice(0, mostLookedAt)
    .map(({ tag, top }) => [
      (child) => fixTag(child, tag, top),
      (child) => {
        for (let o = 0; o < model.options.length; o++) if (child.alive[o] && model.options[o]!.tags.some(([t, v]) => t === tag && v === top)) drop(child, o);
      },
    ]);
}

/**
 * The parts, each with the row, on which the options they take pieces of differ most: halved between those that take more than the mean of this row
 * and those that take less.
 */
function openParts(node: Relaxation, shares: Float64Array): Side[][] {
  const { model, alive, caps, rowAt } = node;
  const mean = new Float64Array(model.rows);
  const apart = new Float64Array(model.rows);
  const without = new Float64Array(model.rows);
  const found: { by: number; part: number; first: (o: number) => boolean }[] = [];
  for (let p = 0; p < model.first.length - 1; p++) {
    let top = 0;
    for (let o = model.first[p]!; o < model.first[p + 1]!; o++) top = Math.max(top, shares[o]!);
    if (top > 1 - near) continue;
    mean.fill(0);
    apart.fill(0);
    without.fill(1);
    const each = (take: (r: number, amount: number, share: number) => void) => {
      for (let o = model.first[p]!; o < model.first[p + 1]!; o++) {
        if (!alive[o] || shares[o]! < near) continue;
        for (let i = model.at[o]!; i < model.at[o + 1]!; i++) take(model.row[i]!, model.amount[i]!, shares[o]!);
      }
    };
    each((r, amount, share) => (mean[r]! += amount * share));
    each((r, amount, share) => {
      apart[r]! += share * Math.abs(amount - mean[r]!);
      without[r]! -= share;
    });
    let best: (typeof found)[number] | null = null;
    for (let r = 0; r < model.rows; r++) {
      if (mean[r] === 0 || rowAt[r]! < 0 || !(caps[r]! > 0)) continue;
      const by = (apart[r]! + without[r]! * mean[r]!) / (Number.isFinite(caps[r]!) ? caps[r]! : 100 * mean[r]!);
      if (by <= (best?.by ?? near)) continue;
      const [row, middle] = [r, mean[r]!];
      const halves = { by, part: p, first: (o: number) => amountOn(model, o, row) > middle };
      if (parts(node, halves)) best = halves;
    }
    if (best) found.push(best);
  }
  return found
    .sort((a, b) => b.by - a.by || a.part - b.part)
    .slice(0, mostLookedAt)
    .map(sidesOf);
}

interface Halves {
  part: number;
  first: (o: number) => boolean;
}

function sidesOf({ part, first }: Halves): Side[] {
  return [true, false].map((side) => (child) => {
    for (let o = child.model.first[part]!; o < child.model.first[part + 1]!; o++) if (child.alive[o] && first(o) !== side) drop(child, o);
  });
}

/** Are there open options on both sides? A split that leaves one side empty would be made again and again. */
function parts({ model, alive }: Relaxation, { part, first }: Halves): boolean {
  let inside = false;
  let outside = false;
  for (let o = model.first[part]!; o < model.first[part + 1]!; o++) {
    if (!alive[o]) continue;
    if (first(o)) inside = true;
    else outside = true;
  }
  return inside && outside;
}

/** The least settled part that has more than one option left, halved between what it has most of and the rest. */
function anyOpenPart({ model, alive }: Relaxation, shares: Float64Array): Side[][] {
  let best: Halves | null = null;
  let least = Infinity;
  for (let p = 0; p < model.first.length - 1; p++) {
    let at = -1;
    let count = 0;
    for (let o = model.first[p]!; o < model.first[p + 1]!; o++) {
      if (!alive[o]) continue;
      count++;
      if (at < 0 || shares[o]! > shares[at]!) at = o;
    }
    if (count < 2 || shares[at]! >= least) continue;
    least = shares[at]!;
    best = { part: p, first: (o) => o === at };
  }
  return best ? [sidesOf(best)] : [];
}
