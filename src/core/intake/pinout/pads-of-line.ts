import type { Pad } from '../../records/board';
import { padPrint, padWords, printBeside, type PadUse } from './pad-print';

export const edges: Record<string, Pad['edge']> = {
  left: 'left',
  right: 'right',
  front: 'front',
  rear: 'rear',
  back: 'rear',
  behind: 'rear',
  top: 'front',
  bottom: 'rear',
  inner: 'inner',
  inside: 'inner',
  middle: 'inner',
  links: 'left',
  rechts: 'right',
  vorne: 'front',
  hinten: 'rear',
  gauche: 'left',
  droite: 'right',
  avant: 'front',
  izquierda: 'left',
  derecha: 'right',
  sinistra: 'left',
  destra: 'right',
};
export const edgeWord = new RegExp(`\\b(${Object.keys(edges).join('|')})\\b`);

export interface PadSaid {
  label: string;
  use: PadUse;
  /** What is said beside it: where it lies, what it stands. */
  words: string;
  /** Where its print begins in the line. */
  from: number;
}

export interface Cell {
  text: string;
  from: number;
}

export const cut = (line: Cell, between: RegExp): Cell[] => {
  const cells: Cell[] = [];
  let from = 0;
  const take = (end: number) => {
    const piece = line.text.slice(from, end);
    const text = piece.trim();
    if (text !== '') cells.push({ text, from: line.from + from + piece.search(/\S/) });
  };
  for (const m of line.text.matchAll(between)) {
    take(m.index);
    from = m.index + m[0].length;
  }
  take(line.text.length);
  return cells;
};

/** "1. GND", "Pin 3 = TX1", "| 4 | T1 | ...", "1 red VBAT": its number and the colour of its wire are none of its print. */
export function withoutNumber(line: string): string {
  return line.replace(
    /^[ \t|]{0,6}(?:pin ?)?#?\d{1,2} ?(?:[.):=|-](?!\d)|(?= ))[ \t]{0,8}(?:(?:red|black|yellow|white|blue|green|orange|gr[ae]y|brown|purple|violet|pink)[ \t|]{1,8})?/,
    (n) => ' '.repeat(n.length),
  );
}

/** The pads that one line of a page lists, the line small and plain. */
export function padsOfLine(line: string): PadSaid[] {
  const numbered = withoutNumber(line);
  const whole = { text: numbered, from: 0 };
  const isRow = /[|\t]| {3,}\S/.test(numbered.trim());
  const pieces = isRow ? [whole] : cut(whole, /\. (?=\S)|; /g);
  return pieces.flatMap((piece) => listed(piece) ?? row(piece) ?? (numbered === line ? [] : alone(piece)));
}

/** "Left: 5V G T1 R1 | T2 R2", "UART2: T2, R2 (right)": a name, and behind it nothing but prints. */
function listed({ text, from }: Cell): PadSaid[] | null {
  const [, head, rest] = /^[ \t*]{0,6}([a-z0-9 (),./-]{2,60}?)[ \t]{0,3}[:=][ \t]{0,3}(.+)$/.exec(text) ?? [];
  if (!head || !rest) return null;
  const aside = /(?<!\b(?:vcc|v\+|pwr|power) ?)\(([^)]{1,40})\)[ \t]*$/.exec(rest);
  const prints = aside ? rest.slice(0, aside.index) : rest;
  const offset = from + text.length - rest.length;
  // "VCC (5V)" is one pad.
  const told = new Map<number, PadUse>();
  const single = prints.replace(
    /(vcc|v\+|pwr|power) ?\(([^)]{1,12})\)/g,
    (all, print: string, words: string, at: number) => {
      const use = printBeside(print, words);
      if (!use) return all;
      told.set(offset + at, use);
      return print + ' '.repeat(all.length - print.length);
    },
  );
  const tokens = cut({ text: single, from: offset }, /[\s,|/;()]+/g).filter(({ text: t }) => t !== '-' && t !== 'and');
  const known = tokens.flatMap((t) => {
    const use = told.get(t.from) ?? padPrint(t.text);
    return use ? [{ label: t.text, use, words: `${head} ${aside?.[1] ?? ''}`, from: t.from }] : [];
  });
  return known.length < 2 || known.length < tokens.length * 0.7 ? null : known;
}

/** "T1" and "R1" of a port; a cell that says "uart1 tx" says what another is for. */
const endOfPort = /^[tr]x? ?\d{1,2}$/;
/** A port, and no print of a pad. */
const ofPort = /^(?:us?art|serial|port|soft) ?\d{1,2}$/;

/** A row of a table: the print first, then words; "T1 - UART1 TX", "UART1_TX -> T1", "T1/R1: UART1", "T1 (UART1 TX)". */
function row(piece: Cell): PadSaid[] | null {
  const line = { ...piece, text: piece.text.replace(/[ \t|]+$/, '') };
  const cells = cut(line, /[ \t]*(?:[|\t;]|->|=>|→)[ \t]*| {3,}| [-=] |: | (?=\([^)]{2,40}\)$)/g);
  const [first, ...rest] = cells;
  if (!first || rest.length === 0) return null;
  const pad = (cell: Cell, use: PadUse): PadSaid => ({
    label: cell.text,
    use,
    words: cells.flatMap((c) => (c === cell ? [] : c.text)).join(' | '),
    from: cell.from,
  });
  const prints = (cell: Cell) =>
    cut(cell, / ?[/,] ?/g).flatMap((c) => (endOfPort.test(c.text) ? [pad(c, padPrint(c.text)!)] : []));
  const arrow = /->|=>|→/.test(line.text);
  const inRow = (arrow ? [] : besideEachOther(cells)).map(({ cell, use }) => pad(cell, use));
  if (inRow.length > 0) return inRow;
  const ends = cells.map(prints);
  // Both ends of a port in one cell, or in two of them.
  if (ends.flat().length >= 2 && ends.flat().length <= 4) return ends.flat();
  if (rest.length === 1 && !endOfPort.test(first.text) && endOfPort.test(rest[0]!.text))
    return endNamed(pad(rest[0]!, padPrint(rest[0]!.text)!), first, pad);
  // "Camera -> CAM": what a wire comes from, and the print of the pad.
  const behind = rest.length === 1 && arrow ? padPrint(rest[0]!.text) : null;
  if (behind && padPrint(first.text)?.kind === behind.kind) return [pad(rest[0]!, behind)];
  if (first.text.length > 12) return null;
  const said = rest.map((c) => c.text).join(' | ');
  const use = first.text === '-' ? null : padPrint(first.text);
  // "A1 | GND | ...": the name of its pin is none of its print either.
  if (!use && /^[a-z]\d{1,2}$/.test(first.text) && padPrint(rest[0]!.text))
    return row({ text: line.text.slice(rest[0]!.from - line.from), from: rest[0]!.from });
  if (!use && ofPort.test(first.text)) return null;
  // The words tell, where they do: "S5" may be a motor's line. A print alone must have a side or a word of its kind beside it.
  const meant =
    printBeside(first.text, said) ??
    (use?.kind === 'buzzer plus' ? use : null) ??
    padWords(said) ??
    (use && (edgeWord.test(said) || padPrint(rest[0]!.text) || /pad|pin|hole|out|in\b|power|supply|free|v\b/.test(said))
      ? use
      : null);
  return meant && (use || /^[a-z0-9+./ -]{1,8}$/.test(first.text)) ? [pad(first, meant)] : null;
}

/** "T1 | M1", "5V | GND | VTX": prints in each cell, and no two that say the same ("GND | ground"). None where that is not so. */
function besideEachOther(cells: readonly Cell[]): { cell: Cell; use: PadUse }[] {
  const all = cells.flatMap((cell) => {
    const use = /^(?:-|[a-z]{5,})$/.test(cell.text) ? null : padPrint(cell.text);
    return use ? [{ cell, use }] : [];
  });
  const kinds = new Set(all.map(({ use }) => use.kind));
  return cells.length < 2 || all.length < cells.length || kinds.size < cells.length ? [] : all;
}

/** "UART1_TX -> T1": a print with what it is for before it; "5V | T1": two pads in a row. What says the other way than the print is a wire to something else. */
function endNamed(end: PadSaid, first: Cell, pad: (cell: Cell, use: PadUse) => PadSaid): PadSaid[] {
  const named = padPrint(first.text) ?? padWords(first.text);
  if (!named) return [end];
  if (named.kind !== 'talks' && named.kind !== 'hears') return [pad(first, named), end];
  return named.kind === end.use.kind ? [{ ...end, use: named }] : [];
}

/** A numbered line that is nothing but a print. */
function alone({ text, from }: Cell): PadSaid[] {
  const use = padPrint(text);
  return use ? [{ label: text.trim(), use, words: '', from: from + text.search(/\S/) }] : [];
}
