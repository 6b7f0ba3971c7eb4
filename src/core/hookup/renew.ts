import { columnOf, exchange, settle, tiny, type Simplex } from './simplex';

/** After so many exchanges the inverse is worked out afresh, so that rounding does not pile up. */
const freshAfter = 500;
/** Or when something is so many parts of itself off. */
const drift = 1e-7;

/** Has rounding piled up? An entry that is worked out both by its line and by its column shows it. */
export function isWorn(a: Simplex, byLine: number, byColumn: number): boolean {
  return a.age > freshAfter || (a.age > 0 && Math.abs(byLine - byColumn) > drift * Math.abs(byColumn));
}

/** Or do the rows no longer add up to their limits? */
export function isOff({ cols, start, row, value, places, awake, limits, basic, stands, age }: Simplex): boolean {
  if (age === 0) return false;
  const left = limits.slice();
  for (let p = 0; p < places; p++) {
    const col = basic[p]!;
    if (col >= cols) left[col - cols]! -= stands[p]!;
    else for (let k = start[col]!; k < start[col + 1]!; k++) left[row[k]!]! -= value[k]! * stands[p]!;
  }
  for (let p = 0; p < places; p++) {
    const r = awake[p]!;
    if (Math.abs(left[r]!) > drift * Math.max(1, Math.abs(limits[r]!))) return true;
  }
  return false;
}

/**
 * Works the inverse out afresh. The basic columns stay, the largest entries first, though they may change places, and slacks go back to their own. A column that turns out to
 * hang on the others gives way to a slack. False when it is fresh already.
 */
export function renew(a: Simplex): boolean {
  if (a.age === 0) return false;
  const { rows, cols, places, awake, lineOf, numberOf, basic, placeOf, stands, limits } = a;
  const entering = basic.slice(0, places).filter((col) => col < cols);
  const open = new Set<number>();
  for (let p = 0; p < places; p++) if (placeOf[cols + awake[p]!]! < 0) open.add(p);
  for (const col of entering) placeOf[col] = -1;
  a.size = 0;
  for (let p = 0; p < places; p++) {
    lineOf[p] = -1;
    numberOf[awake[p]!] = -1;
    stands[p] = limits[awake[p]!]!;
    settle(a, cols + awake[p]!, p);
  }
  const column = new Float64Array(rows);
  for (const j of entering) {
    columnOf(a, j, column);
    let place = -1;
    for (const p of open) if (place < 0 || Math.abs(column[p]!) > Math.abs(column[place]!)) place = p;
    if (Math.abs(column[place]!) < tiny) continue;
    open.delete(place);
    exchange(a, place, j, column);
  }
  a.age = 0;
  return true;
}
