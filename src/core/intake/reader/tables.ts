import { edited, sourceOf, type Edit, type Piece, type Script } from './script';
import { isLabel } from './field-labels';

interface Cell {
  start: number;
  end: number;
  text: string;
}
type Row = Cell[];

export interface Version {
  name: string;
  from: number;
  to: number;
}

/** What a page sells in one column or row beside others. */
export interface Laid {
  script: Script;
  /** Cells, by their places in the original, that are of one of several versions that are all on sale: not known which. */
  versions: Version[];
}

/** The cells of a line: parted by bars, tabs, semicolons or at least two spaces; null where it is no row. */
function row(text: string, start: number, end: number, by: RegExp): Row | null {
  const line = text.slice(start, end);
  if (line.length > 600 || !by.test(line)) return null;
  const cells: Row = [];
  let at = 0;
  for (const piece of line.split(by)) {
    // "Weight  :  8.6 g": the colon stands between the cells.
    const lead = piece.length - piece.replace(cells.length === 0 ? /^\s+/ : /^[\s:]+/, '').length;
    const from = line.indexOf(piece, at);
    cells.push({
      start: start + from + lead,
      end: start + from + piece.trimEnd().length,
      text: piece.slice(lead).trim(),
    });
    at = from + piece.length;
    if (/^\s*:\s*$/.test(piece)) cells.pop();
  }
  // Bars at both ends of a line make no cells, nor does an indent; a tab in front leaves a cell out.
  if (cells[0]?.text === '' && !by.source.includes('t')) cells.shift();
  if (cells.at(-1)?.text === '') cells.pop();
  return cells.length >= 2 ? cells : null;
}

const spaces = / {2,}/;
const separators = [/ ?\| ?/, /\t/, / ?; ?/, spaces, / ?, ?/];
const limit = /^(min|typ|max|unit)\.?(?:imum|ical)?s?$/;
const rule = (r: Row) => r.every((c) => /^:?-{2,}:?$/.test(c.text));
const value = (c: Cell) => /\d|^(?:yes|no|none|✓|✗|-|x|fitted|c|micro)$/.test(c.text);

/** The tables of a text as lines of "label: value": two columns, a head above rows, or versions side by side. */
export function inLines(script: Script): Laid {
  const versions: Version[] = [];
  const laid = tablesAs(script, (rows) => {
    const made = laidOut(rows, script.text);
    for (const { name, cell } of made?.versions ?? []) {
      const [from, to] = sourceOf(script, cell.start, cell.end);
      versions.push({ name, from, to });
    }
    return made?.pieces ?? null;
  });
  return { script: laid, versions };
}

/** The tables of a datasheet alone, a line for a row, the most that it says behind what is typical. */
export function limitsInLines(script: Script): Script {
  return tablesAs(script, (rows) => {
    const columns = limitColumns(rows[0]!);
    return columns && rows.slice(1).flatMap((r) => limited(r, columns, true));
  });
}

/** Each table of a text as it is laid out; those that are not stay as they are. */
function tablesAs(script: Script, laid: (rows: Row[]) => Piece[] | null): Script {
  const edits: Edit[] = [];
  const lines: { start: number; end: number }[] = [];
  let at = 0;
  for (const line of script.text.split('\n')) {
    lines.push({ start: at, end: at + line.length });
    at += line.length + 1;
  }
  for (let i = 0; i < lines.length;) {
    const table = tableAt(script.text, lines, i);
    const pieces = table && laid(table.rows);
    if (table && pieces) edits.push({ start: lines[i]!.start, end: lines[table.next - 1]!.end, text: pieces });
    i = table ? table.next : i + 1;
  }
  return edited(script, edits);
}

function tableAt(text: string, lines: { start: number; end: number }[], from: number) {
  const first = lines[from]!;
  for (const by of separators) {
    const head = row(text, first.start, first.end, by);
    if (!head) continue;
    const rows: Row[] = [head];
    const leavesOut = by === spaces && head.filter((c) => limit.test(c.text)).length >= 2;
    let next = from + 1;
    for (; next < lines.length && rows.length < 200; next++) {
      const { start, end } = lines[next]!;
      const found = row(text, start, end, by);
      const cells =
        found && leavesOut && found.length < head.length ? underHead(found, start, head, first.start) : found;
      // A head without a cell over the labels is one short.
      const longer =
        rows.length === 1
          ? cells?.length === head.length + 1 && head.length > 1 && !isLabel(head[0]!.text)
          : cells?.length === rows[1]!.length;
      if (!cells || (cells.length !== head.length && !longer && !(cells.length + 1 === head.length && head.length > 2)))
        break;
      rows.push(cells);
    }
    if (rows.length >= 2 && Math.max(head.length, rows[1]!.length) >= 3)
      return { rows: rows.filter((r) => !rule(r)), next };
    if ((rows.length >= 2 || by === separators[0]) && head.length === 2 && rows.some((r) => isLabel(r[0]!.text)))
      return { rows: rows.filter((r) => !rule(r)), next };
  }
  return null;
}

/** A row whose cells stand below their heads, some of them empty: of a datasheet that gives a least or a most only. null where two would stand below one. */
function underHead([label, ...cells]: Row, start: number, head: Row, headStart: number): Row | null {
  const middle = (c: Cell, from: number) => (c.start + c.end) / 2 - from;
  const placed: Row = head.map(() => ({ start: label!.end, end: label!.end, text: '' }));
  placed[0] = label!;
  for (const c of cells) {
    const far = head.map((h, i) => (i === 0 ? Infinity : Math.abs(middle(h, headStart) - middle(c, start))));
    const at = far.indexOf(Math.min(...far));
    if (placed[at]!.text !== '') return null;
    placed[at] = c;
  }
  return placed;
}

interface LaidOut {
  pieces: Piece[];
  versions: { name: string; cell: Cell }[];
}

/** A column of remarks. */
export const remarks = /^(?:notes?|remarks?|comments?|conditions?|bemerkung(?:en)?|remarques?|notas?|uwagi)$/;

/** What is remarked of a figure is about another board or another moment as often as about this one: it stands on a line of its own, and takes the place of a value only where there is none. */
function laidOut(rows: Row[], text: string): LaidOut | null {
  const at = rows[0]!.findIndex((c) => remarks.test(c.text));
  if (at < 2) return table(rows, text);
  const hasValue = (r: Row) => r.some((c, i) => i > 0 && i !== at && c.text !== '');
  const made = table(
    rows.map((r) => (hasValue(r) ? r.filter((_, i) => i !== at) : r.filter((c, i) => i === 0 || c.text !== ''))),
    text,
  );
  const notes = rows.slice(1).flatMap((r): Piece[] => {
    const note = r[at];
    // "3 A for 5 s" without its label would be any amps.
    return note && note.text !== '' && hasValue(r) && !/^\d{1,3}(?:[.,]\d)? ?m?a\b/.test(note.text)
      ? [{ start: note.start, end: note.end }, '\n']
      : [];
  });
  return made && { ...made, pieces: [...made.pieces, ...notes] };
}

function table(rows: Row[], text: string): LaidOut | null {
  // The key to a drawing: "A  Length  37 mm".
  const lettered =
    rows.length > 2 &&
    new Set(rows.map((r) => r[0]!.text)).size === rows.length &&
    rows.every((r) => r.length > 2 && /^[a-z\d]{1,2}[.)]?$/.test(r[0]!.text));
  if (lettered && rows.filter((r) => isLabel(r[1]!.text)).length >= 2)
    return table(
      rows.map((r) => r.slice(1)),
      text,
    );
  const head = rows[0]!;
  if (head.length === 2 && rows.every((r) => r.length === 2))
    return { pieces: rows.flatMap((r) => statement(r[0]!, r[1]!)), versions: [] };
  // Label and value, twice or more in one line.
  if (
    head.length % 2 === 0 &&
    rows.every(
      (r) =>
        r.length === head.length &&
        r.every((c, i) => i % 2 === 1 || isLabel(c.text)) &&
        !r.every((c) => isLabel(c.text)),
    )
  )
    return {
      pieces: rows.flatMap((r) => r.flatMap((c, i) => (i % 2 === 0 ? statement(c, r[i + 1]!) : []))),
      versions: [],
    };
  const units = head.findIndex((c) => /^units?$/.test(c.text));
  if (units === head.length - 1 && head.length === 3) return { pieces: rows.slice(1).flatMap(withUnit), versions: [] };
  const limits = limitColumns(head);
  if (limits) return { pieces: rows.slice(1).flatMap((r) => limited(r, limits, false)), versions: [] };
  const rails = railColumns(head);
  if (rails) return { pieces: rows.slice(1).flatMap((r) => rail(r, rails)), versions: [] };
  const named = head.filter((c) => /^[va]$/.test(c.text) || isLabel(bareLabel(c.text)));
  const figures = head.some((c, i) => i > 0 && value(c) && !named.includes(c));
  // One column with a name of its own, "Flash 16MB?", makes no figures of the others.
  if (named.length >= (figures ? Math.max(3, head.length * 0.6) : Math.max(2, head.length / 3)))
    return records(head, rows.slice(1), text);
  if (rows.slice(1).filter((r) => isLabel(r[0]!.text)).length >= 2) return sideBySide(head, rows.slice(1), text);
  return null;
}

/** "label: value", with the unit that the label puts on it. */
const statement = (label: Cell, value: Cell): Piece[] => [
  { start: label.start, end: label.start + bareLabel(label.text).length },
  ': ',
  ...valued(value, hasUnit(value.text) ? '' : unitOf(label.text)),
  '\n',
];
const hasUnit = (value: string) => !/\d/.test(value) || /\d ?[a-z"]/.test(value.replace(/\d ?[x*] ?\d/g, ''));

interface LimitColumns {
  /** By their places: `min`, `typ`, `max`, `unit`. */
  limits: (string | undefined)[];
  label: number;
}

/** A datasheet's table of least, typical and most. */
function limitColumns(head: Row): LimitColumns | null {
  const limits = head.map((c) => limit.exec(c.text)?.[1]);
  if (limits.filter(Boolean).length < 2) return null;
  // A symbol before its name says nothing.
  const label = head.findIndex((c) => /^(?:parameter|description|characteristic)s?$/.test(c.text));
  return { limits, label: Math.max(0, label) };
}

/** What a thing is fed with is a range, whatever is typical. */
const isFed = /\b(?:input|supply|operating|vin|vcc|vdd|vbat|battery)\b/;

/** A row of a datasheet with its limits: a range where it has both ends and is of what feeds it, or says nothing typical; else the one figure, `andMost` with the most behind it. */
function limited(cells: Row, { limits, label }: LimitColumns, andMost: boolean): Piece[] {
  // A row without its last cells is short at the end.
  const at = (name: string) => {
    const c = cells[limits.indexOf(name)];
    return c && limits.includes(name) && /\d/.test(c.text) ? c : undefined;
  };
  const unit = limits.includes('unit') ? cells[limits.indexOf('unit')]?.text.replace(/^-$/, '') : '';
  const [min, typ, max] = [at('min'), at('typ'), at('max')];
  const { start, end, text } = cells[label] ?? cells[0]!;
  const piece = (c: Cell): Piece => ({ start: c.start, end: c.end });
  const line = (...said: Piece[]): Piece[] => [{ start, end }, ': ', ...said, '\n'];
  const isRange = min && max && (!typ || (unit === 'v' && isFed.test(text)));
  if (isRange) return line(piece(min), ' - ', piece(max), ` ${unit}`);
  if (typ && max && andMost) return line(piece(typ), ` ${unit} typ, max `, piece(max), ` ${unit}`);
  const only = typ ?? min ?? max;
  return only ? line(piece(only), ` ${unit}`) : [];
}

interface RailColumns {
  volts: number;
  amps: number;
}

/** A table of regulators: what each is called, its volts and its amps. */
function railColumns(head: Row): RailColumns | null {
  const beside = head.findIndex(
    (c, i) => i > 0 && /^(?:volts?|voltage|v|output(?: voltage)?|nominal(?: volt(?:s|age))?)(?: ?\(v\))?$/.test(c.text),
  );
  const amps = head.findIndex((c) =>
    /^(?:amps?|a|current|load|(?:cont|continuous|constant|steady|rated|max)\.?(?: continuous)?(?: (?:current|amps|load))?)(?: ?\(a\))?$/.test(
      c.text,
    ),
  );
  const named = /^(?:rails?|becs?|regulators?|supply|supplies|outputs?|power rails?)$/.test(head[0]!.text);
  // Without a column of volts the rail's own name says them.
  return named && amps > 0 ? { volts: Math.max(0, beside), amps } : null;
}

/** Of several volts that a jumper chooses the first, in which it is delivered. */
function rail(cells: Row, { volts, amps }: RailColumns): Piece[] {
  const [v, a] = [cells[volts], cells[amps]];
  const first = v && /\d{1,2}(?:[.,]\d{1,2})?/.exec(v.text);
  const most = a && /\d{1,2}(?:[.,]\d{1,2})?/.exec(a.text);
  if (!v || !a || !first || !most) return [];
  const [from, to] = [v.start + first.index, a.start + most.index];
  return [
    'bec ',
    { start: from, end: from + first[0].length },
    ' v ',
    { start: to, end: to + most[0].length },
    /\d ?ma\b/.test(a.text) ? ' ma' : ' a',
    '\n',
  ];
}

/** "Mass | 7.7 | g" */
function withUnit([label, value, unit]: Row): Piece[] {
  // A dash for a value and one for its unit: nobody says.
  if (!label || !value || (/^[-–—]+$/.test(value.text) && /^[-–—]*$/.test(unit?.text ?? ''))) return [];
  return [{ start: label.start, end: label.end }, ': ', ...valued(value, unit?.text ?? ''), '\n'];
}

/** A cell with the unit of its column; of "5.0 / 3.0" in "V / A" each figure gets its own. */
function valued(cell: Cell, unit: string): Piece[] {
  const [figures, units] = [cell.text.split('/'), unit.split('/').map((u) => u.trim())];
  if (figures.length !== 2 || units.length !== 2)
    return [{ start: cell.start, end: cell.end }, unit === '' ? '' : ` ${units[0]}`];
  const middle = cell.start + figures[0]!.length;
  return [{ start: cell.start, end: middle }, ` ${units[0]}`, { start: middle, end: cell.end }, ` ${units[1]}`];
}

/** The unit that a head puts on its column: "Size (mm)", "weight_g". */
function unitOf(label: string): string {
  if (regulatorsAmps.test(label)) return 'a';
  if (label === 'g') return 'g';
  const [, inBrackets, behind] = /\((mm|g|a|v|s|mb|in|sec|v ?\/ ?a)\)$|(?<!\d)[_ ](mm|g|a|v|mb)$/.exec(label) ?? [];
  if (inBrackets === 's' && /time|sec|burst time|duration/.test(label)) return 's';
  return inBrackets ?? behind ?? '';
}

/** "bec5_a": the amps of the regulator of so many volts. */
const regulatorsAmps = /^bec[_ ]?(\d{1,2})(?:v|_)?[_ ]a$/;

const bareLabel = (label: string) =>
  label
    .replace(regulatorsAmps, 'bec $1 v')
    .replace(/[_ ]?\((?:mm|g|a|v|s|mb|in|sec|v ?\/ ?a)\)$|(?<!\d)[_ ](?:mm|g|a|v|mb)$/, '')
    .replace(/[ :]+$/, '')
    .replaceAll('_', ' ')
    .replace(/^[lwhg]$/, (letter) => ({ l: 'length', w: 'width', h: 'height', g: 'weight' })[letter]!);

/** A head of labels over a row for each product: one row is the product; of several only what the page says is meant. */
function records(head: Row, rows: Row[], text: string): LaidOut | null {
  const whole = rows.filter((r) => r.length === head.length);
  if (whole.length === 0) return null;
  const meant =
    whole.length === 1
      ? 0
      : theMeant(
          whole.map((r) => r[0]!.text),
          text,
        );
  const used = meant >= 0 ? [whole[meant]!] : whole;
  const pieces = used.flatMap((r) =>
    r.flatMap((cell, i): Piece[] => {
      const label = head[i]!;
      const unit = unitOf(label.text);
      const bare = bareLabel(label.text);
      // A column that was struck out is of the parcel or the shop.
      if (/\u0001/.test(label.text)) return [];
      return [`${bare}: `, ...valued(cell, hasUnit(cell.text) ? '' : unit), '\n'];
    }),
  );
  const versions = used.length > 1 ? used.flatMap((r) => r.map((cell) => ({ name: r[0]!.text, cell }))) : [];
  return { pieces, versions };
}

/** Columns of versions or products beside each other, a label in front of each row. */
function sideBySide(head: Row, rows: Row[], text: string): LaidOut {
  const columns = Math.max(...rows.map((r) => r.length)) - 1;
  // A head without a cell over the labels is one short.
  const names = head.length > columns ? head.slice(1) : head;
  const meant = names.findIndex((c) => /\bthis (?:page|one|board|product)\b|selected/.test(c.text));
  const title = theMeant(
    names.map((c) => c.text),
    text,
  );
  const chosen = meant >= 0 ? meant : title;
  // Of a controller beside its ESC a dash is no "no": it is nothing that such a board has.
  const ofAStack = [/\besc\b/, /\bcontroller\b|\bfc\b/].every((one) => names.some((c) => one.test(c.text)));
  const pieces = rows.flatMap((r) => {
    if (chosen >= 0) return r[chosen + 1] ? statement(r[0]!, r[chosen + 1]!) : [];
    return r.slice(1).flatMap((c) => (ofAStack && /^[-–—]$/.test(c.text) ? [] : statement(r[0]!, c)));
  });
  const versions =
    chosen < 0
      ? rows.flatMap((r) => r.slice(1).map((cell, i) => ({ name: names[i]?.text ?? String(i + 1), cell })))
      : [];
  return { pieces, versions };
}

/** The one of several products that the page is about, -1 where it does not say; of "F7" and "F7 Pro" the longer name, where the page says that. */
function theMeant(names: string[], text: string): number {
  const meant = names.flatMap((name, i) => (isMeant(name, text) ? [i] : []));
  const longest = meant.reduce((a, i) => (a < 0 || names[i]!.length > names[a]!.length ? i : a), -1);
  return meant.every((i) => names[longest]!.startsWith(names[i]!)) ? longest : -1;
}

/** Does the page say that it is about the one of this name: in its first line, or as "this page: NAME", "selected: NAME"? */
function isMeant(name: string, text: string): boolean {
  if (name.length < 2) return false;
  const first = text.slice(0, text.indexOf('\n') < 0 ? 80 : text.indexOf('\n')).trim();
  // The head of a table is no title.
  const title = /[|\t]| {3,}/.test(first) ? '' : first;
  const said = [
    ...text.matchAll(/\b(?:this page|selected|you are looking at|this listing)[ :]{1,3}([^\n.]{2,40})/g),
  ].map((m) => m[1]!.trim());
  return [title, ...said].some(
    (t) => t === name || t.startsWith(`${name} `) || t.endsWith(` ${name}`) || t.startsWith(`${name},`),
  );
}
