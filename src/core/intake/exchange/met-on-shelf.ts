import type { Board } from '../../records/board';
import { slips } from '../../trade/slips';

/** A board of a file and the one on the shelf that it is, or may be. */
export interface Met {
  theirs: Board;
  own: Board;
  /** `same`: maker, name and revision; `other revision`; `near`: written a little differently, to be asked. */
  how: 'same' | 'other revision' | 'near';
}

const worded = (s: string) =>
  s
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();
/** A typing slip, or a blank more or less. */
const mostSlips = 2;

/** Which boards of a file are on the shelf already, and which are new. Same makers are compared; a maker that is written a little differently is found by the same name. */
export function metOnShelf(incoming: readonly Board[], shelf: readonly Board[]): { fresh: Board[]; met: Met[] } {
  const byMaker = groups(shelf, (b) => worded(b.maker));
  const byName = groups(shelf, (b) => worded(b.name));
  const fresh: Board[] = [];
  const met: Met[] = [];
  for (const theirs of incoming) {
    const found =
      ofMaker(theirs, byMaker.get(worded(theirs.maker)) ?? []) ??
      ofOtherMaker(theirs, byName.get(worded(theirs.name)) ?? []);
    if (found) met.push(found);
    else fresh.push(theirs);
  }
  return { fresh, met };
}

function groups(boards: readonly Board[], key: (b: Board) => string): Map<string, Board[]> {
  const found = new Map<string, Board[]>();
  for (const b of boards) found.set(key(b), [...(found.get(key(b)) ?? []), b]);
  return found;
}

function ofMaker(theirs: Board, shelf: readonly Board[]): Met | null {
  const name = worded(theirs.name);
  const named = shelf.filter((b) => worded(b.name) === name);
  const same = named.find((b) => worded(b.revision) === worded(theirs.revision));
  if (same) return { theirs, own: same, how: 'same' };
  if (named[0]) return { theirs, own: named[0], how: 'other revision' };
  const near = shelf.find((b) => isNear(worded(b.name), name));
  return near ? { theirs, own: near, how: 'near' } : null;
}

function ofOtherMaker(theirs: Board, named: readonly Board[]): Met | null {
  const near = named.find((b) => isNear(worded(b.maker), worded(theirs.maker)));
  return near ? { theirs, own: near, how: 'near' } : null;
}

/** The same without blanks, one within the other by whole words, or a slip or two apart; numbers must be the same. */
function isNear(a: string, b: string): boolean {
  if ((a.match(/\d+/g) ?? []).join() !== (b.match(/\d+/g) ?? []).join()) return false;
  const [x, y] = [a.replaceAll(' ', ''), b.replaceAll(' ', '')];
  if (x === y) return true;
  return Math.min(x.length, y.length) > 4 && slips(x, y, mostSlips) <= mostSlips;
}
