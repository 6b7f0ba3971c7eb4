/** One after the other of them is one thing: a GPS "and compass", a receiver "with telemetry". */
const together: readonly (readonly [string, string])[] = [
  ['positioning', 'compass'],
  ['receiver', 'ground link'],
];
/** Not at a decimal comma. */
const between = /(?:[,;]\s+|\s+(?:\+|&|and|und|et|y|e)\s+)/g;
const ofAnother = /^(?:\S+ )?(?:control|input|output|pads?|supply|cable|mount)$/i;

/**
 * The things that one line asks for: "receiver, camera, VTX and GPS" is four. Only where nearly every piece of it names a kind, each another one; else it is one thing with what is said of it
 * ("Receiver, CRSF, 5 V"). `kindsOf`: the kinds that a piece may mean; null where it names none.
 */
export function thingsOnLine(line: string, kindsOf: (piece: string) => readonly string[] | null): string[] {
  const pieces = line.split(between).map((piece) => piece.trim());
  const kinds = pieces.map((piece) => kindsOf(piece));
  const named = kinds.filter((k) => k !== null);
  if (named.length < 2 || (named.length < pieces.length && named.length < 3)) return [line];
  if (named.some((k, i) => named.some((other, j) => j > i && other.some((one) => k.includes(one))))) return [line];
  const things: { words: string; kinds: readonly string[] }[] = [];
  pieces.forEach((piece, i) => {
    const own = kinds[i]!;
    const last = things.at(-1);
    const partOfLast =
      own === null ||
      ofAnother.test(piece) ||
      together.some(([whole, part]) => last?.kinds.includes(whole) && own.includes(part));
    if (last && partOfLast) last.words += `, ${piece}`;
    else things.push({ words: piece, kinds: own ?? [] });
  });
  return things.map(({ words }) => words);
}
