import { gramsPerOunce, mmPerInch } from '../trade/mass';
import { numberOf, plain } from './plain';
import type { Reading } from './reading';
import type { SpecField } from '../figures/spec-field';

type Found = { field: SpecField; value: Reading['value']; doubt?: 'likely'; why?: string };

/** One way of the trade to write something. `read` may refuse by returning nothing; the groups of the match come with it. */
interface Rule {
  at: RegExp;
  read: (groups: (string | undefined)[], around: Around) => Found[];
}

/** The text before and after a figure on its own line, and the piece of the line with both. */
interface Around {
  readonly before: string;
  readonly after: string;
  readonly line: string;
}

// Every repeat is bounded, so that no text can make a rule run longer than its length.
const W = '[ \\t]{0,6}';
const N = '(\\d{1,5}(?:[.,]\\d{1,3})?)';
const MM = '(?:mm|millimet(?:re|er)s?)';
const rule = (pattern: string, read: Rule['read']): Rule => ({ at: new RegExp(pattern, 'g'), read });
const num = (s: string | undefined) => numberOf(s ?? '');
const one = (field: SpecField, value: Reading['value'], likely?: string): Found[] => [
  { field, value, ...(likely ? { doubt: 'likely' as const, why: likely } : {}) },
];

const counts: Record<string, number> = { two: 2, three: 3, four: 4, five: 5, six: 6, seven: 7, eight: 8, ten: 10 };
const count = (s: string | undefined) => counts[s ?? ''] ?? num(s);
const COUNT = '(\\d{1,2}|two|three|four|five|six|seven|eight)';
const patterns = [16, 20, 25, 25.5, 30.5];
const mountWords = /(?:mount|hole|loch|fixa|montaj|montag|bohr|screw|schraub|pattern|spacing)[^\n]{0,18}$/;
const massWord = '(?:weights?|gewicht|masse?|peso|poids|重量|weighs)';
const inches = /^(?:in|inch|inches)$/;
const named = /weights?|gewicht|masse?|peso|poids|重量|weighs/;

/** Does the text say that what it names is not there? */
function denied({ before, after }: Around): boolean {
  return (
    /\b(?:no|not|without|lacks?|ohne|kein|sans)[ \t]{1,3}(?:an? |the |any |analog(?:ue)? |onboard )?$/.test(before) ||
    /^[ \t]{0,6}[:=-]?[ \t]{0,6}(?:(?:no|none|nein|without|ohne|missing|n\/a|not (?:there|fitted|included|supported|available|on ?board))\b|[✗✘❌])/.test(
      after,
    )
  );
}

/** Words by which a text leaves open whether this very board has what it names. */
const leavesOpen =
  /\b(?:optional(?:ly)?|options?|some (?:versions?|boards|batches)|depend(?:s|ing) on|external|separate|upgrade|add-on|(?:pro|plus|max) (?:version|only|model))\b/;

/** Whether something is there; in doubt where the text leaves it open. */
function present(field: SpecField, words: Around): Found[] {
  if (denied(words)) return one(field, false);
  const open = leavesOpen.exec(words.line)?.[0];
  return one(field, true, open && `the text says "${open}": ask whether this very board has it`);
}

function grams(value: string | undefined, unit: string | undefined): number {
  const n = num(value);
  return unit && /^(?:oz|unze|ounce)/.test(unit) ? Math.round(n * gramsPerOunce * 100) / 100 : n;
}

/** What is said to be included stands behind the figure; what is weighed alone is not the whole board. */
const MASS_OF = `(?:${W}\\(([^)\\n]{3,40})\\)|${W}((?:with|without|ohne|mit) [a-zäöü ]{3,40}|(?:(?:flight )?controller|fc|esc|board) only))?`;

function mass(value: string | undefined, unit: string | undefined, of: string | undefined, likely?: string): Found[] {
  const found = sane('massG', grams(value, unit), 0.5, 500);
  const why = of && / only$/.test(of) ? `the text says "${of}"` : likely;
  return found.length === 0
    ? []
    : [
        ...found.map((f) => (why ? { ...f, doubt: 'likely' as const, why } : f)),
        ...(of ? one('massIncludes', of.trim()) : []),
      ];
}

function mm(value: string | undefined, unit: string | undefined): number {
  const n = num(value);
  return unit && inches.test(unit) ? Math.round(n * mmPerInch * 100) / 100 : n;
}

const sane = (field: SpecField, n: number, low: number, high: number): Found[] =>
  n >= low && n <= high ? one(field, n) : [];

/** In the order in which they take their piece of the text; what one has taken the next ones do not see. */
const rules: Rule[] = [
  rule('\\b(?:stm32 ?)?(f1|f3|f4|f7|h7|g4)(?:\\d{2}[a-z]{0,3}\\d?)?\\b', ([family]) =>
    one('processor', family!.toUpperCase()),
  ),

  rule(
    `\\buart ?(\\d)\\)? ?(?:is )?(?:for|used (?:by|for)|taken by|occupied by|reserved for|(?:wired|connected|goes|tied) to)\\b`,
    ([n]) => one('takenPort', num(n)),
  ),
  rule(`\\b(?:takes|taken by[^\\n(]{1,40}\\()${W}uart ?(\\d)`, ([n]) => one('takenPort', num(n))),
  rule(`\\buart(\\d)${W}-${W}uart(\\d)\\b`, ([a, b]) => one('claimedPorts', num(b) - num(a) + 1)),
  rule(`\\b(?:uarts${W}[:x]?|uart${W}(?:x|:|count:?)|serial ports?${W}[:x]|串口${W}:)${W}(\\d{1,2})\\b`, ([n]) =>
    sane('claimedPorts', num(n), 1, 16),
  ),
  rule(`\\b串口${W}:${W}(\\d{1,2})|串口:(\\d{1,2})`, ([a, b]) => sane('claimedPorts', num(a ?? b), 1, 16)),
  // A table's cells stand apart; and "serial: 5 ports".
  rule(`\\b(?:uarts|serial ports?)[ \\t]{2,6}(\\d{1,2})\\b(?!${W}[-.,])`, ([n]) => sane('claimedPorts', num(n), 1, 16)),
  rule(`\\bserial${W}:${W}${COUNT} ports?\\b`, ([n]) => sane('claimedPorts', count(n), 1, 16)),
  rule(`\\buart${W}(\\d{1,2}) ?(?:pcs|pieces|stk)\\b`, ([n]) => sane('claimedPorts', num(n), 1, 16)),
  rule(
    `\\b${COUNT}${W}(?:x${W})?(?:hardware )?(?:uarts?\\b|serial ports?\\b|serielle schnittstellen|个${W}uart)`,
    ([n]) => sane('claimedPorts', count(n), 1, 16),
  ),

  rule(
    `\\b(\\d{1,2}) ?s?${W}-${W}(\\d{1,2}) ?s\\b(?:${W}(?:lipo|lihv|li-ion))?(?:${W}\\(${N}${W}-${W}${N} ?v\\))?`,
    ([a, b, , v]) =>
      num(a) < num(b) && num(b) <= 14
        ? [...one('cellsMin', num(a)), ...one('cellsMax', num(b)), ...(v ? one('packMaxVolts', num(v)) : [])]
        : [],
  ),
  rule(`\\b(\\d{1,2})s? (?:a|to|bis|à) (\\d{1,2}) ?(?:s\\b|cells?\\b|zellen\\b)`, ([a, b]) =>
    num(a) < num(b) ? [...one('cellsMin', num(a)), ...one('cellsMax', num(b))] : [],
  ),
  rule(`\\bmax(?:imum)?${W}(\\d{1,2})s\\b|\\b(\\d{1,2})s${W}max(?:imum)?\\b`, ([a, b]) =>
    sane('cellsMax', num(a ?? b), 1, 14),
  ),
  rule(`\\b(\\d{1,2})s${W}min(?:imum)?\\b`, ([n]) => sane('cellsMin', num(n), 1, 14)),
  rule(`\\b${COUNT}(?: cells?)? at least\\b`, ([n], { line }) =>
    /cells?\b|\ds\b/.test(line) ? sane('cellsMin', count(n), 1, 14) : [],
  ),
  rule(`\\b${COUNT}(?: cells?)? at most\\b`, ([n], { line }) =>
    /cells?\b|\ds\b/.test(line) ? sane('cellsMax', count(n), 1, 14) : [],
  ),
  rule('\\b(\\d{1,2})s (?:hv )?only\\b', ([n]) => [...one('cellsMin', num(n)), ...one('cellsMax', num(n))]),
  rule(`\\b(\\d{1,2})s${W}${N} ?v${W}max\\b`, ([n, v]) => [...one('cellsMax', num(n)), ...one('packMaxVolts', num(v))]),
  rule(`\\b(?:max(?:imum)? input|input max(?:imum)?)${W}:?${W}${N} ?v\\b`, ([v]) => one('packMaxVolts', num(v))),
  rule(
    `\\b(?:(?:input|supply)(?: voltage)?|power in|vin|eingang)${W}:?${W}${N}${W}(?:v${W})?(?:-|to|bis)${W}${N} ?v\\b`,
    ([, v]) => one('packMaxVolts', num(v)),
  ),
  rule(`\\(${W}max\\.?${W}${N} ?v${W}\\)`, ([v], { before }) =>
    /input|supply|lipo|pack|battery|\ds\b/.test(before) ? one('packMaxVolts', num(v)) : [],
  ),

  rule(
    `\\b(?:(?:current|hall) (?:sensor|meter)|stromsensor)${W}:?${W}(?:yes,?${W})?(?:reads )?(?:(?:(?:up )?to|bis) )?${N} ?a\\b`,
    ([a]) => one('sensorAmps', num(a)),
  ),
  rule(`\\b${N} ?a (?:current|hall) (?:sensor|meter)\\b(?:${W}\\(${W}${N} ?a peak\\))?`, ([a]) =>
    one('sensorAmps', num(a)),
  ),
  rule(
    `\\b(?:burst|peak|spitze)(?: current)?${W}:?${W}${N} ?a\\b(?:${W}[/,(]?${W}(?:for )?(\\d{1,3}) ?s(?:ec(?:onds?)?)?\\b\\)?)?`,
    ([a, s]) => [...one('burstAmps', num(a)), ...(s ? one('burstSeconds', num(s)) : [])],
  ),
  rule(`\\b${N} ?a${W}\\(${W}(?:burst|peak)?${W}(\\d{1,3}) ?s(?:ec(?:onds?)?)?\\)`, ([a, s]) => [
    ...one('burstAmps', num(a)),
    ...one('burstSeconds', num(s)),
  ]),
  rule(
    `\\b${N} ?a${W}\\(?(?:burst|peak)\\b(?:${W}[(,/]?${W}(?:for )?(\\d{1,3}) ?s(?:ec(?:onds?)?)?\\b\\)?)?`,
    ([a, s]) => [...one('burstAmps', num(a)), ...(s ? one('burstSeconds', num(s)) : [])],
  ),
  rule(`\\b${N} ?a${W}\\(?(?:cont(?:inuous)?\\b\\.?|per channel|per motor|4in1)`, ([a]) =>
    one('continuousAmps', num(a)),
  ),
  rule(`\\b${N} ?a (?:in bursts of (?:up to )?|for )(\\d{1,3}) ?s(?:ec(?:onds?)?)?\\b`, ([a, s]) => [
    ...one('burstAmps', num(a)),
    ...one('burstSeconds', num(s)),
  ]),
  rule(`\\b${COUNT} channels? of ${N} ?a\\b`, ([, a]) => one('continuousAmps', num(a))),
  rule(`\\bamps${W}:${W}${N} ?a(?=${W}/${W}\\d{1,3} ?a${W}(?:burst|peak))`, ([a]) => one('continuousAmps', num(a))),
  rule(`\\bmax(?:imum)?\\.? current${W}:?${W}${N} ?a\\b`, ([a], { line }) =>
    /burst|peak/.test(line) ? one('continuousAmps', num(a)) : [],
  ),
  rule(
    `\\b(?:cont(?:inuous)?\\.?(?: current)?|esc rat(?:ing|ed)|nennstrom|4in1 esc|esc${W}:?${W}4${W}x)${W}:?${W}${N} ?a\\b`,
    ([a]) => one('continuousAmps', num(a)),
  ),

  rule(
    `\\b${N} ?v(?:olts?)?(?:${W}${N} ?v)?${W}(?:bec|ldo|rail|output|regulator)?${W}[@/:,]?${W}(?:(?:gives|at|with|up to|max\\.?|(?:is )?(?:good|rated) for) ){0,2}${N} ?(ma|amps?|a)\\b`,
    ([v, , a, unit]) => {
      const [volts, amps] = [num(v), num(a) / (unit === 'ma' ? 1000 : 1)];
      return volts >= 3 && volts <= 14 && amps > 0 && amps <= 12 ? one('regulators', `${volts}@${amps}`) : [];
    },
  ),

  rule(`\\b${N}${W}${MM}?${W}x${W}${N} ?${MM}?(?![\\d.,]{0,6}${W}x)`, ([a, b], { before, after }) => {
    const p = num(a);
    if (p !== num(b)) return [];
    const mounted =
      mountWords.test(before) ||
      /^[ \t]{0,3}[/,(]?[ \t]{0,3}(?:m[23]\b|mounting|(?:[øφ]?[ \t]?\d(?:[.,]\d)?[ \t]?(?:mm)?[ \t])?holes)/.test(
        after,
      );
    if (!patterns.includes(p) && !(mounted && p >= 10 && p <= 60)) return [];
    return one(
      'patternMm',
      p,
      mounted ? undefined : 'two equal figures of a usual hole pattern, without a word that says so',
    );
  }),
  rule(
    `\\b(?:mount(?:ing)?(?: pattern)?|holes?|hole spacing|lochbild|lochabstand)${W}:?${W}${N} ?(mm|in|inch|inches)\\b`,
    ([v, unit]) => sane('patternMm', mm(v, unit), 10, 60),
  ),
  rule(`\\b${N} ?mm (?:mounting|holes?)\\b`, ([v]) => sane('patternMm', num(v), 10, 60)),
  rule('\\bm([23])\\b', ([n]) => one('screw', `M${n}`)),

  rule(
    `\\b${N} ?(?:${MM}|in|inch|inches)?${W}(?:x|by)${W}${N} ?(?:${MM})?(?:${W}x${W}${N})?${W}(mm|millimet(?:re|er)s?|in|inch|inches)?`,
    ([a, b, c, unit], { before, line }) => {
      const sized = /(?:size|dimension|abmess|maße|masse|outline|measures|tama|board)/.test(line);
      const inUnit = unit ?? (/mm|millimet/.test(line.slice(before.length)) ? 'mm' : undefined);
      if (!inUnit && !sized) return [];
      const [l, w, h] = [mm(a, unit), mm(b, unit), c === undefined ? null : mm(c, unit)];
      if (l < 10 || w < 10 || l > 120 || w > 120) return [];
      const likely = sized ? undefined : 'a size by its shape, without a word that says so';
      return [
        ...one('lengthMm', l, likely),
        ...one('widthMm', w, likely),
        ...(h !== null && h >= 1 && h <= 60 ? one('heightMm', h, likely) : []),
      ];
    },
  ),
  rule(`\\b${N} ?mm long\\b`, ([l]) => sane('lengthMm', num(l), 10, 120)),
  rule(`\\b${N} ?mm wide\\b`, ([w]) => sane('widthMm', num(w), 10, 120)),
  rule(`\\b(?:(?:stack )?height|thickness|builds)${W}:?${W}${N} ?mm\\b`, ([h]) => sane('heightMm', num(h), 1, 60)),
  rule(`\\b${N} ?mm (?:high|tall|thick)\\b`, ([h]) => sane('heightMm', num(h), 1, 60)),

  rule(
    `(?:${massWord})${W}[:\\t]?${W}(?:approx\\.?|about|ca\\.?|just|only)?${W}${N} ?(grams?|grammes|gramm|g|oz|ounces?|unzen)\\b${MASS_OF}`,
    ([v, unit, a, b]) => mass(v, unit, a ?? b),
  ),
  rule(`\\b${N} ?(grams?|g|oz)\\b${MASS_OF}`, ([v, unit, a, b], { before, line }) => {
    // "Weight 9 g controller only, stack 24 g": the second one is a mass as well.
    const another = named.test(line);
    if (another && !/\b(?:stack|total|together|set|esc|fc|controller|board)[ \t:,]{0,3}$/.test(before)) return [];
    return mass(v, unit, a ?? b, another ? undefined : 'grams without a word that says of what');
  }),

  rule('\\bbaro(?:meter)?\\b', (_, words) => present('barometer', words)),
  rule('\\bosd\\b', (_, words) => present('overlayChip', words)),
  rule('\\boverlay\\b', (_, words) => (denied(words) ? one('overlayChip', false) : [])),
  rule('\\b(?:blackbox|flash)\\b', (_, words) =>
    denied(words)
      ? one('storageMb', 0, /\bsd\b|microsd|card/.test(words.line) ? 'the text speaks of a card as well' : undefined)
      : [],
  ),
  rule(`\\b${N} ?(mb|mbyte|mbit|gb)\\b`, ([v, unit]) => {
    let said: number;
    if (unit === 'mbit') said = num(v) / 8;
    else if (unit === 'gb') said = num(v) * 1024;
    else said = num(v);
    return one('storageMb', said);
  }),
  rule('\\b(?:usb-?c|usb c|(?:usb )?type[ -]?c)\\b', () => one('usbPlug', 'C')),
  rule('\\b(?:micro[ -]?usb|usb: ?micro)\\b', () => one('usbPlug', 'micro')),
];

/** No sheet of one board holds nearly so many figures: what stands behind them is left unread. */
const mostReadings = 2000;
const pieceChars = 20_000;

/**
 * Marks every figure of a spec sheet that it understands, in the order in which they stand. Deterministic, no services; a figure it is not sure of says
 * so, and where the text says two things of one field both are kept and marked. Time grows with the length of the text; it ends after 2,000 figures.
 */
export function readSpec(text: string): Reading[] {
  const readings: Reading[] = [];
  for (let from = 0; from < text.length && readings.length < mostReadings;) {
    const to = pieceEnd(text, from);
    readings.push(...readPiece(text.slice(from, to), from));
    from = to;
  }
  return contradicted(readings).sort((a, b) => a.start - b.start || a.end - b.end);
}

/** No figure reaches over the end of a line; a line without end is cut at a space. */
function pieceEnd(text: string, from: number): number {
  if (text.length - from <= pieceChars) return text.length;
  const line = text.lastIndexOf('\n', from + pieceChars);
  if (line > from) return line + 1;
  const space = text.lastIndexOf(' ', from + pieceChars);
  return space > from ? space + 1 : from + pieceChars;
}

function readPiece(text: string, offset: number): Reading[] {
  const n = plain(text);
  const taken = new Uint8Array(n.length + 1);
  const readings: Reading[] = [];
  for (const { at, read } of rules) {
    for (const match of n.matchAll(at)) {
      const start = match.index;
      const end = start + match[0].length;
      if (isTaken(taken, start, end)) continue;
      const [, ...groups] = match;
      const found = read(groups, around(n, start, end));
      if (found.length === 0) continue;
      taken.fill(1, start, end);
      for (const f of found)
        readings.push({
          field: f.field,
          value: f.value,
          start: offset + start,
          end: offset + end,
          quote: text.slice(start, end).trim(),
          doubt: f.doubt ?? 'sure',
          ...(f.why ? { why: f.why } : {}),
        });
    }
  }
  return readings;
}

function isTaken(taken: Uint8Array, start: number, end: number): boolean {
  for (let i = start; i < end; i++) if (taken[i]) return true;
  return false;
}

/** So many characters around a figure are looked at for words: never to the end of the line, which may be the whole text. */
const reach = 60;

/** Worked out only by the few rules that look around. */
function around(n: string, start: number, end: number): Around {
  return {
    get before() {
      return sameLine(n, start - reach, start, 'before');
    },
    get after() {
      return sameLine(n, end, end + reach, 'after');
    },
    get line() {
      return `${this.before}${n.slice(start, end)}${this.after}`;
    },
  };
}

/** What lies before or after a figure on its own line. */
function sameLine(n: string, from: number, to: number, side: 'before' | 'after'): string {
  const piece = n.slice(Math.max(0, from), to);
  if (side === 'before') return piece.slice(piece.lastIndexOf('\n') + 1);
  const end = piece.indexOf('\n');
  return end < 0 ? piece : piece.slice(0, end);
}

/** A field that has one value but is given two is marked on both; a regulator is one of several unless its volts come twice. */
function contradicted(readings: Reading[]): Reading[] {
  const said = new Map<string, Set<Reading['value']>>();
  const key = (r: Reading) => (r.field === 'regulators' ? `regulators ${String(r.value).split('@')[0]}` : r.field);
  for (const r of readings) said.set(key(r), (said.get(key(r)) ?? new Set()).add(r.value));
  return readings.map((r) => {
    const all = said.get(key(r))!;
    return all.size > 1
      ? { ...r, doubt: 'contradicted', why: `the text says ${[...all].slice(0, 3).join(' and ')}` }
      : r;
  });
}
