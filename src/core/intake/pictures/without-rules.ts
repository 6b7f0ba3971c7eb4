import type { Grey } from './grey';

const dark = 190;
/** No stroke of a letter is as long as this share of the picture's longer side and as thin as a rule. */
const leastShare = 1 / 55;
const mostThick = 7;

/** The picture without the rules of tables: long thin dark runs become paper. They make a reader of print lose the cells between them. */
export function withoutRules(picture: Grey): Grey {
  const { width, height, at } = picture;
  const least = Math.max(40, Math.round(Math.max(width, height) * leastShare));
  const isDark = new Uint8Array(at.length);
  for (let i = 0; i < at.length; i++) isDark[i] = at[i]! < dark ? 1 : 0;
  const gone = new Uint8Array(at.length);
  strike(isDark, gone, { length: width, lines: height, along: 1, across: width, least });
  strike(isDark, gone, { length: height, lines: width, along: width, across: 1, least });
  return { width, height, at: at.map((v, i) => (gone[i] ? 255 : v)) };
}

/** Marks what belongs to long thin runs: `along` and `across` are steps from one pixel to the next on a line, and from line to line. */
function strike(
  isDark: Uint8Array,
  gone: Uint8Array,
  {
    length,
    lines,
    along,
    across,
    least,
  }: { length: number; lines: number; along: number; across: number; least: number },
): void {
  for (let line = 0; line < lines; line++) {
    let run = 0;
    for (let k = 0; k <= length; k++) {
      if (k < length && isDark[line * across + k * along]) {
        run++;
        continue;
      }
      if (run >= least && isThin(isDark, { line, lines, from: k - run, to: k, along, across }))
        for (let q = k - run; q < k; q++) strikeAcross(isDark, gone, line, lines, q * along, across);
      run = 0;
    }
  }
}

function strikeAcross(
  isDark: Uint8Array,
  gone: Uint8Array,
  line: number,
  lines: number,
  at: number,
  across: number,
): void {
  for (const step of [-1, 1])
    for (let z = line; z >= 0 && z < lines && Math.abs(z - line) < mostThick && isDark[at + z * across]; z += step)
      gone[at + z * across] = 1;
}

/** Is the run hardly anywhere thicker than a rule? */
function isThin(
  isDark: Uint8Array,
  {
    line,
    lines,
    from,
    to,
    along,
    across,
  }: { line: number; lines: number; from: number; to: number; along: number; across: number },
): boolean {
  let thin = 0;
  let all = 0;
  for (let q = from; q < to; q += 3) {
    let thick = 1;
    for (const step of [-1, 1])
      for (let z = line + step; z >= 0 && z < lines && thick <= mostThick && isDark[q * along + z * across]; z += step)
        thick++;
    all++;
    if (thick <= mostThick) thin++;
  }
  return thin > all * 0.7;
}
