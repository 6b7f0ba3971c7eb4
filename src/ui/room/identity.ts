const known = new WeakMap<object, number>();
let last = 0;

/** A number for an object that stays the same as long as the object does: for keys of what hangs on it. */
export function identityOf(thing: object): number {
  const before = known.get(thing);
  if (before !== undefined) return before;
  last += 1;
  known.set(thing, last);
  return last;
}
