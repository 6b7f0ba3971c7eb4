import { totalsOf, type Model } from './model';
import { enumerate } from './enumerate';
import { propagate } from './propagate';
import { lowerToReachable } from './reachable';
import { boundOf, copyRelaxation, drop, fixTag, sharesOf, type Bound, type Relaxation } from './relax';

/** A hookup as one option for each part, by number in the model. */
export type Chosen = Int32Array;

const near = 1e-6;
/** A node is tried out by hand, so to say, for so many steps before it is split: about as long as its relaxation took. */
const mostSteps = 5000;

/**
 * The least of one level below `below`, or with `level` -1 any hookup; null where there is none. `unit`: every cost of the level is a multiple of it.
 * Exact: branch and bound over relaxations; what the bound rules out is dropped before a node is split. The relaxation given is solved, not split.
 */
export function searchLevel(start: Relaxation, level: number, below: number, unit: number): { best: Chosen | null; nodes: number; root: Bound | null } {
  const { model } = start;
  let best: Chosen | null = null;
  let bar = below;
  let nodes = 0;
  let first: Bound | null = null;

  visit(start, true);
  return { best, nodes, root: first };

  function visit(node: Relaxation, root: boolean): void {
    nodes++;
    if (!propagate(node)) return;
    lowerToReachable(node, 33);
    const bound = boundOf(node, level, root);
    first ??= bound;
    // What cannot reach below the bar by a whole unit is of no use.
    if (bound.bound > bar - unit + near * unit) return;
    const shares = sharesOf(node);
    const whole = chosenFrom(node, shares);
    if (whole) consider(whole);
    if (done(bound)) return;
    consider(repaired(node, shares, bound));
    if (done(bound)) return;
    const kept = node.alive.slice();
    const open = root ? copyRelaxation(node) : node;
    for (let o = 0; o < kept.length; o++) if (kept[o] && bound.bound + bound.rise[o]! > bar - unit + near * unit) drop(open, o);
    const tried = enumerate(open, level, bar, mostSteps, bound, level < 0 ? near : bar - unit + near * unit);
    consider(tried.best);
    if (tried.ended || (best && level < 0)) return;
    for (const child of split(open, shares)) {
      visit(child, false);
      if (best && level < 0) return;
    }
  }

  function done({ bound }: Bound): boolean {
    return (best !== null && level < 0) || bound > bar - unit + near * unit;
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
function repaired({ model, alive, caps }: Relaxation, shares: Float64Array, { rise }: Bound): Chosen | null {
  const parts = model.first.length - 1;
  const left = caps.slice();
  const tags = new Map<number, number>();
  const chosen = new Int32Array(parts).fill(-1);
  const worth = (o: number) => shares[o]! - 1e-3 * rise[o]!;
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

/** Splits a node on a tag that the relaxed hookup has standing two ways, else on the part that is least settled. */
function split(node: Relaxation, shares: Float64Array): Relaxation[] {
  const tag = openTag(node, shares);
  if (tag) {
    return [...tag.shares.keys()]
      .sort((a, b) => tag.shares.get(b)! - tag.shares.get(a)! || a - b)
      .map((value) => {
        const child = copyRelaxation(node);
        fixTag(child, tag.tag, value);
        return child;
      });
  }
  const part = openPart(node, shares) ?? anyOpenPart(node, shares);
  if (!part) return [];
  return [true, false].map((side) => {
    const child = copyRelaxation(node);
    for (let o = child.model.first[part.part]!; o < child.model.first[part.part + 1]!; o++) if (child.alive[o] && part.first(o) !== side) drop(child, o);
    return child;
  });
}

/** The tag that is least settled, with every value that an option still asks for. */
function openTag({ model, alive, tags }: Relaxation, shares: Float64Array): { tag: number; shares: Map<number, number> } | null {
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
  let best: { tag: number; shares: Map<number, number> } | null = null;
  let least = near;
  for (const [tag, values] of found) {
    const [, second] = [...values.values()].sort((a, b) => b - a);
    if (second !== undefined && second > least) {
      least = second;
      best = { tag, shares: values };
    }
  }
  return best;
}

interface Halves {
  part: number;
  first: (o: number) => boolean;
}

/**
 * The part, and the row, on which the options it takes pieces of differ most: halved between those that take more than the mean of this row and those
 * that take less. Null where every part is whole.
 */
function openPart(node: Relaxation, shares: Float64Array): Halves | null {
  const { model, alive, caps, rowAt } = node;
  let best: Halves | null = null;
  let most = near;
  const mean = new Float64Array(model.rows);
  const apart = new Float64Array(model.rows);
  const without = new Float64Array(model.rows);
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
    for (let r = 0; r < model.rows; r++) {
      if (mean[r] === 0 || rowAt[r]! < 0 || !(caps[r]! > 0)) continue;
      const by = (apart[r]! + without[r]! * mean[r]!) / (Number.isFinite(caps[r]!) ? caps[r]! : 100 * mean[r]!);
      if (by <= most) continue;
      const [row, middle] = [r, mean[r]!];
      const halves: Halves = { part: p, first: (o) => amountOn(model, o, row) > middle };
      if (!parts(node, halves)) continue;
      most = by;
      best = halves;
    }
  }
  return best;
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
function anyOpenPart({ model, alive }: Relaxation, shares: Float64Array): Halves | null {
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
  return best;
}

function amountOn(model: Model, o: number, r: number): number {
  for (let i = model.at[o]!; i < model.at[o + 1]!; i++) if (model.row[i] === r) return model.amount[i]!;
  return 0;
}
