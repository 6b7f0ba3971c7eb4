import same from 'fast-deep-equal';
import { readData } from '../records/file';
import type { Build } from '../records/build';
import { called, type BuildField } from './build-differences';

/** One build of two that were changed apart from each other, and what both changed, each in its own way. */
export interface Merged {
  build: Build;
  /** What both changed, as it is called: there, the first one's stands. Empty: nothing of either is lost. */
  clashes: string[];
  /** False: the two cannot be put together at all, and `build` is the first one's whole. */
  together: boolean;
}

type Item = { id: string; peripheral?: { name: string }; about?: string };

/** One thing each, though they have keys: of a figure, the value of one and the origin of the other would be nobody's. */
const whole: readonly BuildField[] = ['bareMassG', 'capacitor', 'radio'];

/**
 * What two people, or two tabs, made of one build without knowing of each other. What only one of them changed is as they made it: part by part, entry by entry, tick by
 * tick, board by board of locks and fixes, key by key of frame, pack and limits. Where both changed the same thing differently `mine` stands, and the clash is named.
 */
export function mergeBuilds(base: Build, mine: Build, theirs: Build): Merged {
  // An amount means nothing without its currency: what was typed in one must not be read in another.
  const currencies = new Set([base.currency, mine.currency, theirs.currency]);
  if (currencies.size > 1 && !same(base, mine) && !same(base, theirs))
    return { build: mine, clashes: [called.currency], together: false };
  const clashes = new Set<string>();
  const clash = (what: string) => () => void clashes.add(what);
  const sets = (b: Build) => b.sets.map((id) => ({ id }));
  const lists = {
    parts: mergeLists(base.parts, mine.parts, theirs.parts, clash),
    picks: mergeLists(base.picks, mine.picks, theirs.picks, clash),
    log: mergeLists(base.log, mine.log, theirs.log, clash),
    sets: mergeLists(sets(base), sets(mine), sets(theirs), clash).map((s) => s.id),
  };
  const build: Record<string, unknown> = { ...theirs, ...lists };
  for (const field of Object.keys(called) as BuildField[]) {
    if (field in lists) continue;
    const both = whole.includes(field) ? firstOf : mergeKeys;
    put(
      build,
      field,
      chosen(base[field], mine[field], theirs[field], () =>
        both(base[field], mine[field], theirs[field], clash(called[field])),
      ),
    );
  }
  const read = readData(build, 'rung-build');
  // Each alone was sound, and together they are not (more parts than a build takes): that is for people to settle.
  return read.ok
    ? { build: read.value, clashes: [...clashes], together: true }
    : { build: mine, clashes: [...clashes, 'what goes with what'], together: false };
}

/** What stands where at most one of them changed it; else what `both` makes of it. */
function chosen<T>(base: T, mine: T, theirs: T, both: () => T): T {
  if (same(mine, base)) return theirs;
  return same(theirs, base) || same(mine, theirs) ? mine : both();
}

function firstOf<T>(_: T, mine: T, __: T, clash: () => void): T {
  clash();
  return mine;
}

/** Key by key, where all three have keys; else the first one's, and that is a clash. */
function mergeKeys<T>(base: T, mine: T, theirs: T, clash: () => void): T {
  if (!keyed(base) || !keyed(mine) || !keyed(theirs)) return firstOf(base, mine, theirs, clash);
  const out: Record<string, unknown> = {};
  for (const key of new Set([...Object.keys(theirs), ...Object.keys(mine)]))
    put(
      out,
      key,
      chosen(base[key], mine[key], theirs[key], () => {
        clash();
        return mine[key];
      }),
    );
  return out as T;
}

/** What is in lists is told apart by its id. */
function mergeLists<T extends Item>(base: T[], mine: T[], theirs: T[], clash: (what: string) => () => void): T[] {
  const of = (items: T[], id: string) => items.find((x) => x.id === id);
  const ids = mergeOrder(idsOf(base), idsOf(mine), idsOf(theirs), clash('the order of the list'));
  return ids.flatMap((id) => {
    const [was, here, there] = [of(base, id), of(mine, id), of(theirs, id)];
    const item = chosen(was, here, there, () => mergeKeys(was, here, there, clash(nameOf(here ?? there))));
    return item ? [item] : [];
  });
}

/** The ids of both: in the order of whoever changed it, what only the other has behind what it followed there. */
function mergeOrder(base: string[], mine: string[], theirs: string[], clash: () => void): string[] {
  const moved = (ids: string[]) =>
    !same(
      ids.filter((id) => base.includes(id)),
      base.filter((id) => ids.includes(id)),
    );
  const common = (ids: string[], other: string[]) => ids.filter((id) => other.includes(id));
  if (moved(mine) && moved(theirs) && !same(common(mine, theirs), common(theirs, mine))) clash();
  const [first, second] = moved(mine) ? [mine, theirs] : [theirs, mine];
  const order = [...first];
  second.forEach((id, i) => {
    if (order.includes(id)) return;
    const before = second.slice(0, i).findLast((x) => order.includes(x));
    // Where nothing stands before it, it comes first.
    order.splice(order.findIndex((x) => x === before) + 1, 0, id);
  });
  return order;
}

function put(into: Record<string, unknown>, key: string, value: unknown): void {
  if (value === undefined) delete into[key];
  else into[key] = value;
}

function keyed(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

function idsOf(items: Item[]): string[] {
  return items.map((x) => x.id);
}

/** A thing of a list as it is called to people. */
function nameOf(item: Item | undefined): string {
  return item?.peripheral?.name ?? item?.about ?? called.picks;
}
