import { N, V } from './part-words';
import { num } from './reader/rules/rule';
import { replaced, type Script } from './reader/script';

/** Volts that a part takes; null where its page does not say an end. */
export interface PartSupply {
  minVolts: number | null;
  maxVolts: number | null;
  /** Cells of which the page says the most in place of volts: plain ones for certain, high-voltage ones perhaps. */
  mostCells?: number;
}

const T = `(?:${V}(?: ?dc)?)`;
/** "to" between two figures, in the languages of the pages. */
const to = '(?:-|(?:up )?to|\\.{2,3}|…|à|tot|do|til|till)';
const start = '(?<![\\d.,]|[\\d.] ?[-x])';

/** Volts of something else: what comes out of it, the level of a signal, the cell of a clock, the volts that a torque or a draw is said at. */
const ofAnother =
  /\b(?:(?:outputs?|out|supplies|delivers|gives|provides|charg(?:e|es|ing))\b(?:[^,;.\n\d]|\.\d){0,16}|(?:logic|signals?|levels?|lvttl|ttl|cmos|uart|pwm|backup|clock|own|trigger|control|enable)(?: (?:input|levels?|voltages?|battery|cell))?[ :(]{0,3}|(?:kg|torque|(?<!\bair[- ]?)speed(?! sensor)|sec)(?:[^,;.\n]|\.\d){0,36})$/;
const another =
  /^ ?(?:out\b|outputs?\b|logic\b|levels?\b|signals?\b|uart\b|ttl\b|peak[- ]to|pp\b|p-p\b|for (?:the )?camera|kg|(?:on|of) (?:the|its) chip|(?:cell|battery|lipo) (?:inside|built|of its own)|(?:built-in|internal) (?:cell|battery))/;
/** At which a draw is said: "@ 5 V", "0.2 A at 12 V", "180 mA (5 V)". */
const saidAt =
  /@ ?$|\d ?(?:m?a|m?w) ?\($|(?:\d ?(?:m?a|m?w)\b[^;\n\d]{0,10}|\b(?:current|consumption|draws?|drawn)\b[^;\n\d]{0,12})(?:\bat|\(at|\ba) ?$/;
const labelled =
  /\b(?:inputs?|supply|supplied|supplies|power(?:ed)?|operat(?:es|ing)|working|works|voltages?|volts|vin|vcc|vdd|vbat|needs|takes|accepts|runs|alimenta\w*|dc|in)\b[^;\n\d]{0,30}$/;

interface Ends extends PartSupply {
  at: number;
  labelled: boolean;
}

/** Where a pattern of volts stands as those of the supply; groups: the lower end and the higher one. */
function* endsIn(t: string, pattern: string, read: (groups: string[]) => PartSupply): Generator<Ends> {
  for (const found of t.matchAll(new RegExp(pattern, 'g'))) {
    const before = t.slice(Math.max(0, found.index - 48), found.index);
    const clause = before.slice(Math.max(...[';', '. ', '\n'].map((e) => before.lastIndexOf(e))) + 1);
    const after = t.slice(found.index + found[0].length).slice(0, 20);
    const isLabelled = labelled.test(clause) || /\b(?:input|supply|voltage)\b/.test(found[0]);
    // "12 V out, in 14-60 V".
    const own = isLabelled ? clause.slice(clause.lastIndexOf(',') + 1) : clause;
    if (ofAnother.test(own) || another.test(after) || saidAt.test(clause)) continue;
    const ends = read(found.slice(1) as string[]);
    if (ends.minVolts !== null && ends.maxVolts !== null && ends.minVolts > ends.maxVolts) continue;
    yield { ...ends, at: found.index, labelled: isLabelled };
  }
}

const ofIt = '(?: (?:input|supply|operating|working))?(?: voltage)? ?:? ?';
const least = `min(?:imum|\\.)?${ofIt}`;
const most = `max(?:imum|\\.)?${ofIt}`;

const both = ([low, high]: string[]): PartSupply => ({ minVolts: num(low), maxVolts: num(high) });
/** A lithium cell from its least to its most: 3.0 to 4.2 V, common practice. */
const ofCells = ([low, high]: string[]): PartSupply => ({
  minVolts: Math.round(num(low) * 30) / 10,
  maxVolts: Math.round(num(high ?? low) * 42) / 10,
  mostCells: num(high ?? low),
});

/** One way of writing a supply, the surest first. */
const inVolts: [pattern: string, read: (groups: string[]) => PartSupply][] = [
  [`${start}${N} ?${T} ?\\(?min(?:imum|\\b)[^\\n\\d]{1,8}${N} ?${T} ?\\(?max`, both],
  [`\\b${least}${N} ?${T}[^\\n\\d]{1,16}(?:\\d(?:[.,]\\d)? ?${T}[^\\n\\d]{1,8})?\\b${most}${N} ?${T}`, both],
  [`\\b${most}${N} ?${T}[^\\n\\d]{1,16}\\b${least}${N} ?${T}`, ([high, low]) => both([low!, high!])],
  [`${start}${N} ?${T}? ?(?:≤|<=?) ?v[a-z]{0,5} ?(?:≤|<=?) ?${N} ?${T}`, both],
  [`${start}${N} ?${T}? ?${to} ?\\+?${N} ?${T}\\b`, both],
  [`${start}${N} ?${T} a ${N} ?${T}\\b`, both],
  [
    `\\b(?:less|lower|below|under)(?: than)? ${N} ?${T}? (?:or|nor|and) (?:more|higher|above|over)(?: than)? ${N}(?: ?${T})?\\b`,
    both,
  ],
  [
    `\\b(?:above|over|at least) ${N} ?${T}[^\\d]{1,40}\\b(?:upper limit|top|maximum|max|at most)(?: is| of)?:? ?${N} ?${T}\\b`,
    both,
  ],
  [`\\bbetween ${N} ?${T}? and ${N} ?${T}\\b`, both],
  [`${start}${N} ?${T} ?\\(${N} ?${T}? ?${to} ?${N} ?${T}?\\)`, ([, low, high]) => both([low!, high!])],
  [`${start}${N} ?${T} ?\\(${N} ?${T} ?(?:at least|min(?:imum)?\\b)`, ([at, low]) => both([low!, at!])],
  // What it does at one and at the other: "4.8 V: 0.12 s, 2.8 kg; 6 V: 0.10 s, 3.4 kg".
  [`(?:^|\\n)[ \\t]{0,4}(?:[-*•] )?${N} ?${T} ?:[^;\\n]{4,60}; ?${N} ?${T} ?:`, both],
  // The columns of a table of its draw.
  [`${start}${N} ?${T} ?(?:\\| ?\\d{1,2}(?:[.,]\\d)? ?${T} ?){1,6}\\| ?${N} ?${T}`, both],
  // Two that it takes are what lies between where they are near each other: "5 V/6 V".
  [
    `${start}${N} ?${T} ?(?:/|or) ?${N} ?${T}\\b`,
    ([low, high]) => (num(high) <= 1.35 * num(low) ? both([low!, high!]) : both([low!, low!])),
  ],
];
/** "7.4 V (2S)" is what such a pack is called: it takes one that is full as well. */
const inCells: typeof inVolts = [
  [`${start}(\\d{1,2}) ?s? ?(?:${to}|a|até|hasta|až|/ ?\\.{2,3} ?/) ?(\\d{1,2}) ?(?:s\\b(?!ec)|cells?\\b)`, ofCells],
  [`${start}(?:3[.,][67]|7[.,][24]|11[.,]1|14[.,]8|18[.,]5|22[.,]2) ?${T}[ ,(/]{1,3}(\\d) ?s\\b(?!ec)`, ofCells],
  [`\\b(\\d) ?s\\b[ ,(/]{1,3}(?:3[.,][67]|7[.,][24]|11[.,]1|14[.,]8|18[.,]5|22[.,]2) ?${T}\\b`, ofCells],
];
const lessSure: typeof inVolts = [
  [
    `(?:\\b(?:up to|${most}|below|under|less than|(?:not?|never) (?:to )?(?:exceed(?:ing)?|more than|above|over))|≤|<=) ?:? ?${N} ?${T}\\b`,
    ([high]) => ({ minVolts: null, maxVolts: num(high) }),
  ],
  [`(?:\\b(?:${least}|at least)|≥|>=) ?:? ?${N} ?${T}\\b`, ([low]) => ({ minVolts: num(low), maxVolts: null })],
  [`\\b(?:up to|${most}) ?(\\d{1,2}) ?s\\b(?!ec)`, ([cells]) => ({ ...ofCells([cells!]), minVolts: null })],
  [`${start}${N} ?${T}\\b`, ([at]) => both([at!, at!])],
  [`${start}(\\d{1,2}) ?s\\b(?!ec)`, ofCells],
];

/** "5 V ± 0.5 V" and "5 V ± 10 %" as the range that they are. */
export function tolerancesAsRanges(script: Script): Script {
  return replaced(script, tolerance, ([at, by, unit]) => {
    const off = unit === '%' ? (num(at) * num(by)) / 100 : num(by);
    const round = (v: number) => Math.round(v * 1000) / 1000;
    return `${round(num(at) - off)} - ${round(num(at) + off)} v`;
  });
}

const tolerance = new RegExp(`${N} ?${T} ?(?:±|\\+ ?/ ?-|\\+-) ?${N} ?(${T}|%)`, 'g');

/** "5 V. Do not exceed 5.5 V": from the one to the other, where they are near each other. */
function withMost(ends: Ends, found: Ends[]): PartSupply {
  const isOne = (f: Ends) => f.minVolts !== null && f.minVolts === f.maxVolts;
  const one = ends.minVolts === null ? found.find(isOne) : ends;
  if (one && isOne(one)) {
    const low = one.minVolts!;
    const most = found.find((f) => f.minVolts === null && f.maxVolts! > low && f.maxVolts! <= 1.35 * low);
    if (most) return { minVolts: low, maxVolts: most.maxVolts };
  }
  const { at: _, labelled: __, ...supply } = ends;
  return supply;
}

/** What a page says of the volts that a part takes. `t`: the page small and in English. */
export function supplyOf(t: string): PartSupply {
  for (const some of [inVolts, inCells, lessSure]) {
    const found = some.flatMap(([pattern, read]) => [...endsIn(t, pattern, read)]);
    // Of ways that are as sure as each other the first that stands there.
    if (some === lessSure) found.sort((a, b) => a.at - b.at);
    const ends = found.find((f) => f.labelled) ?? found[0];
    if (ends) return withMost(ends, found);
  }
  return { minVolts: null, maxVolts: null };
}
