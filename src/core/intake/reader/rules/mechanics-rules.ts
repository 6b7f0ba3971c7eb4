import { gramsPerOunce, mmPerInch } from '../../../trade/mass';
import { denied, num, one, openness, rule, sane, MM, N, W, type Around, type Found, type Rule } from './rule';

const patterns = [16, 20, 25, 25.5, 30.5];
const inches = /^(?:in|inch|inches|")$/;
const UNIT = '(mm|millimet(?:re|er)s?|cm|in|inch|inches|")';
const mountWords = /(?:mount|hole|screw(?!s? ?[,/|])|pattern|spacing|m[23] at)(?:(?!\. |\bm[23] ?\|)[^\n;]){0,18}$/;
/** "26.5 x 26.5 hole pattern, M2, ", "hole distance 30.5 (M3), ", "holes 30.5 mm, size ": the holes have their figure. */
const itsOwn = new RegExp(
  '\\d ?(?:mm)? (?:hole )?(?:pattern|holes?|mount\\w*|spacing)(?:,? \\(?(?:for |with )?m[23]\\)?(?: screws?)?)?, ?$|' +
    '\\b(?:mount\\w*|holes?|pattern|spacing|distance)[ :]{1,3}\\d\\d(?:[.,]\\d)? ?(?:mm)?(?:,? \\(?(?:screws? )?m[23]\\)?(?: screws?)?)?, ?$|' +
    '\\b(?:size|dimensions?|outline|measures|pcb)[ :]{1,3}$',
);
const holesAhead = (before: string) => mountWords.test(before) && !itsOwn.test(before);
const sizeWords = /\b(?:size|dimensions?|outline|measures|board|pcb|overall|case|square)\b/;

function mm(value: string | undefined, unit: string | undefined): number {
  const n = num(value);
  if (unit && inches.test(unit)) return Math.round(n * mmPerInch * 100) / 100;
  return unit === 'cm' ? Math.round(n * 1000) / 100 : n;
}

/** "1.2 in (30.5 mm)" */
const usual = (p: number, { after }: Around) => (Math.abs(p - 30.48) < 0.01 && /30[.,]5/.test(after) ? 30.5 : p);

/** Holes and screws. */
export const holeRules: Rule[] = [
  rule(`\\b${N}${W}${MM}?${W}(?:x|by)${W}${N} ?${MM}?(?![\\d.,]{0,6}${W}(?:x|by) ?\\d)`, ([a, b], around) => {
    const { before, after } = around;
    const p = num(a);
    // "Not 20x20 but 25.5x25.5"
    if (/\bnot $/.test(before) && /^ ?(?:but|rather)\b/.test(after)) return [];
    if (/\b(?:not compatible|will not fit|does ?n[o']t fit)/.test(before)) return [];
    const mounted =
      holesAhead(before) ||
      /^[ \t]{0,3}[/,(]{0,2}[ \t]{0,3}(?:for )?(?:m[23]\b|mount(?:ing|s)?\b(?! ?:? ?\d)|(?:hole )?(?:pattern|spacing)|(?:the usual |[øφ]?[ \t]?\d(?:[.,]\d)?[ \t]?(?:mm)?[ \t])?(?:holes(?! ?\d)|hole(?=[ \t]*(?:[,;.)\n]|$))))/.test(
        after,
      );
    if (p !== num(b)) return [];
    // Holes 30 mm apart are nobody's: so the usual 30.5 mm are called.
    if (p === 30 && mounted) return one('patternMm', 30.5, '30 mm, taken for the usual 30.5 mm');
    if (!patterns.includes(p) && !(mounted && p >= 10 && p <= 60)) return [];
    const other = /\b(?:adapter|also)\b/.test(before) ? 'with an adapter' : undefined;
    return one(
      'patternMm',
      p,
      openness(around) ??
        other ??
        (mounted ? undefined : 'two equal figures of a usual hole pattern, without a word that says so'),
    );
  }),
  rule(
    `\\b${N} ?(in|inch|inches|")${W}(?:x|by)${W}${N} ?(?:in|inch|inches|")(?!${W}(?:x|by)\\b)`,
    ([a, unit, b], around) =>
      num(a) === num(b) && holesAhead(around.before)
        ? sane('patternMm', usual(mm(a, unit), around), 15, 60, openness(around))
        : [],
  ),
  rule(
    `\\b(?:mount(?:ing)?(?: (?:pattern|holes?|size|distance))?|(?:screw )?holes?|hole (?:spacing|distance|pattern|pitch|cent(?:re|er)s?)|pattern|spacing)${W}[:=]?${W}(?:distance|spacing)?${W}:?${W}(?:(?:are|at|is|of|the usual|apart)${W}){0,4}${N} ?${UNIT}?(?= square| apart|${W}[,/(;]|${W}m[23]|[ .]*(?:$|\\n)|\\.? )(?!${W}(?:x|by|-) ?\\d)`,
    ([v, unit], around) => {
      const p = mm(v, unit);
      return /^(?:screw )?holes? (?:are )?[ø]/.test(around.text)
        ? []
        : sane('patternMm', usual(p, around), 15, 60, openness(around));
    },
  ),
  rule(
    `\\b${N} ?(?:${MM})?${W}(?:frames?\\b|mounting|holes?\\b|hole pattern|pattern|square (?:hole )?pattern|square holes|(?=\\(m[23]\\)|[/,]? ?m[23]\\b))`,
    ([v], around) => (patterns.includes(num(v)) ? one('patternMm', num(v), openness(around)) : []),
  ),
  // Of small boards other distances than the usual ones: "26 mm holes".
  rule(`\\b${N} ?${MM} (?:holes?\\b(?! (?:dia|for))|hole pattern|mounting holes)`, ([v], around) =>
    sane('patternMm', num(v), 24, 29.5, openness(around)),
  ),
  rule(`\\b(30[.,]5|25[.,]5) ?(?:${MM})?\\b(?! ?(?:x|by) )`, ([v]) =>
    one('patternMm', num(v), 'the distance of a usual hole pattern, without a word that says so'),
  ),
  rule('\\bm([23])\\b(?![.,]\\d)(?! ?[:=-] ?m)', ([n], around) =>
    (/\b(?:m1|m4)\b/.test(around.line) && /,/.test(around.line) && !/screw|hole/.test(around.line)) ||
    // "6 M2" alone on its line: a pin of a plug.
    (/^[ \t|]*(?:pin ?)?\d{1,2}[ .):=|-]{1,3}$/.test(around.before) && /^[ \t|]*$/.test(around.after))
      ? []
      : one('screw', `M${n}`, openness(around) ?? oneOfTwo(around)),
  ),
];

/** "M2 or M3 (with grommets)" */
const oneOfTwo = ({ before, after }: Around) =>
  /^ ?(?:or|\/) ?m[23]\b/.test(after) || /\bm[23] ?(?:or|\/) ?$/.test(before) ? 'one of two that are named' : undefined;

/** Length, width and height. */
export const sizeRules: Rule[] = [
  rule(`\\b(?:outline|board|pcb|size)${W}:?${W}${N} ?${MM} square\\b`, ([side]) => [
    ...sane('lengthMm', num(side), 10, 120),
    ...sane('widthMm', num(side), 10, 120),
  ]),
  rule(`\\b${N} ?${MM} square\\b(?! ?(?:holes?|pattern|spacing|mount))`, ([side], around) => {
    const why = openness(around) ?? 'a square, without a word that says of what';
    return [...sane('lengthMm', num(side), 10, 120, why), ...sane('widthMm', num(side), 10, 120, why)];
  }),
  rule(
    `\\b${N} ?${UNIT}?${W}(?:x|by)${W}${N} ?${UNIT}?(?:${W}(?:x|by)${W}${N})?${W}${UNIT}?`,
    ([a, u1, b, u2, c, u3], around) => {
      const { before, line } = around;
      const sized = sizeWords.test(before) || /^ ?(?:board|pcb|square|outline|overall|in size)\b/.test(around.after);
      if (
        /^,? ?(?:mm )?(?:apart|(?:between|from) (?:the )?(?:holes|cent(?:re|er)s?|cent(?:re|er) to))\b/.test(
          around.after,
        )
      )
        return [];
      if (
        (holesAhead(before) || /\b(?:mount\w*|holes?)\b(?:(?!\. )[^\n;|]){0,40}\($/.test(before)) &&
        !sizeWords.test(before.slice(-24))
      )
        return [];
      const unit = u3 ?? u2 ?? u1 ?? (/mm|millimet/.test(line) ? 'mm' : undefined);
      // Three of them are a size, whatever its unit: millimetres, as boards go.
      if (!unit && !sized && c === undefined) return [];
      const [l, w, h] = [mm(a, unit), mm(b, unit), c === undefined ? null : mm(c, unit)];
      if (l < 10 || w < 10 || l > 120 || w > 120) return [];
      const why = openness(around) ?? (sized ? undefined : 'a size by its shape, without a word that says so');
      return [
        ...one('lengthMm', l, why),
        ...one('widthMm', w, why),
        ...(h !== null && h >= (/\bpcb\b/.test(before) ? 2.5 : 1) && h <= 60 ? one('heightMm', h, why) : []),
      ];
    },
  ),
  // "35x35" beside a pattern that says what it is.
  rule(
    `(?:^|(?<=[\\n,;|/] ?| {2}))(\\d{2}(?:[.,]\\d)?) ?x ?(\\d{2}(?:[.,]\\d)?)(?=[ \\t]*(?:$|\\n|[,;|/]))`,
    ([a, b], { before, after }) =>
      num(a) === 30 ||
      patterns.includes(num(a)) ||
      num(a) < 22 ||
      num(a) > 60 ||
      Math.abs(num(a) - num(b)) > 15 ||
      holesAhead(before) ||
      /^[ \t]*[/,]? ?(?:m[23]\b|holes?\b(?! ?:? ?\d)|pattern)/.test(after)
        ? []
        : [
            ...sane('lengthMm', num(a), 22, 60, 'a size by its shape, without a unit'),
            ...sane('widthMm', num(b), 22, 60, 'a size by its shape, without a unit'),
          ],
  ),
  rule(
    `\\b([lw]):? ?${N} ?(?:mm)?[, x]{1,3}[lw]:? ?${N} ?(?:mm)?(?:[, x]{1,3}h:? ?${N} ?(?:mm)?)?`,
    ([first, a, b, h]) => [
      ...sane('lengthMm', num(first === 'l' ? a : b), 10, 120),
      ...sane('widthMm', num(first === 'l' ? b : a), 10, 120),
      ...(h ? sane('heightMm', num(h), 1, 60) : []),
    ],
  ),
  rule(`\\b(?:height|thickness)${W}:?${W}${N} ?(?:in|inch|")${W}\\(${N} ?mm\\)`, ([, h]) =>
    sane('heightMm', num(h), 2, 60),
  ),
  // The key to a drawing: "A 37.0 board length".
  rule(
    `(?:^|(?<=\\n))[ \\t]{0,4}[a-z]\\d?[ :.)]{1,4}${N} ?(?:mm)?[ \\t]{1,6}(?:board |overall |pcb |total )?(length|width|height|thickness)\\b`,
    ([v, side]) => {
      if (side === 'length' || side === 'width') return sane(`${side}Mm`, num(v), 10, 120);
      return sane('heightMm', num(v), 2, 60);
    },
  ),
  rule(`\\b${N} ?mm long\\b|\\blength:? ?${N} ?mm\\b`, ([a, b]) => sane('lengthMm', num(a ?? b), 10, 120)),
  rule(`\\b${N} ?mm wide\\b|\\bwidth:? ?${N} ?mm\\b`, ([a, b]) => sane('widthMm', num(a ?? b), 10, 120)),
  rule(
    `\\b(?:(?:stack |overall |total )?height(?: of the (?:stack|board|whole)| over (?:parts|all|components)|,? incl(?:uding|\\.)? (?:the )?[a-z]{3,12})?|thickness(?: over (?:parts|all|components))?|thick|builds)${W}:?${W}${N} ?mm\\b`,
    ([h]) => sane('heightMm', num(h), 2, 60),
  ),
  rule(`\\b(?:parts up to|tallest part)${W}:?${W}${N} ?mm\\b`, ([h]) =>
    sane('heightMm', num(h), 2, 60, 'the height of its parts, perhaps without the board'),
  ),
  rule(`\\b(?:total|overall)(?: height)?(?: with [a-z]{3,12})? ${N} ?mm\\b(?! ?x)`, ([h]) =>
    sane('heightMm', num(h), 2, 60),
  ),
  rule(`\\b${N} (?:mm )?(?:tall|high)(?= (?:with|over|to)\\b)|\\b${N} ?mm (?:high|tall|thick)\\b`, ([a, b]) =>
    sane('heightMm', num(a ?? b), 2, 60),
  ),
];

const massWord = '(?:net weight|weight|weighs?|mass|wt|n\\.w\\.?)';
const GRAMS = '(grams?|gr?|kg|mg|oz|ounces?)';
/** What is said to be included stands behind the figure, or in brackets before it; what is weighed alone is not the whole board. */
const OF_WORDS = '(?:with(?:out)?|incl(?:\\.|udes|uding|usive)?|excl(?:\\.|udes?|uding)?|w/o?|not including|bare)';
const MASS_OF = `(?:${W}[,-]?${W}\\(([^)\\n]{3,40})\\)|(?: (?:for )?both(?: boards)?| together)?${W}[,-]?${W}(${OF_WORDS} (?!(?:baro|osd|flash|blackbox))(?:(?!\\d{1,3}(?:[.,]\\d)? ?g\\b)[^\\n,.;()|?]){3,40}|(?:wires?|cables?|leads?|harness) (?:not included|excluded)|(?:(?:flight )?controller|fc|esc|board) only))?`;
const another =
  /\b(?:(?:fc|esc|flight controller|controller)(?: board)? (?:weight|weighs|mass)|(?:fc|esc|controller) only)\b/;

function grams(value: string | undefined, unit: string | undefined): number {
  const n = num(value);
  if (unit === 'kg') return Math.round(n * 1e6) / 1000;
  if (unit === 'mg') return n / 1000;
  return unit && /^(?:oz|ounce)/.test(unit) ? Math.round(n * gramsPerOunce * 100) / 100 : n;
}

function mass(
  value: string | undefined,
  unit: string | undefined,
  of: string | undefined,
  around: Around,
  why?: string,
): Found[] {
  const found = sane('massG', grams(value, unit), 0.5, 500);
  if (found.length === 0) return [];
  const part = of && / only$/.test(of) ? `the text says "${of}"` : undefined;
  const twice = /^ \d{1,3}(?:[.,]\d{1,2})? ?g\b/.test(around.after) ? 'two figures stand beside each other' : undefined;
  const doubt = part ?? openness(around) ?? twice ?? why;
  // "21 g, with heat sink 36 g": they belong to the next figure.
  const ofNext = /^[ \t:]{0,3}\d{1,3}(?:[.,]\d{1,2})? ?g\b/.test(around.after);
  const included = of && isOf(of) && !ofNext ? of.trim() : undefined;
  return [
    ...found.map((f) => (doubt ? { ...f, why: doubt } : f)),
    ...(included
      ? [{ field: 'massIncludes' as const, value: included, words: included, ...(doubt ? { why: doubt } : {}) }]
      : []),
  ];
}

/** Do the words say what was weighed along? Not another figure, nor a remark. */
const isOf = (of: string) =>
  /\b(?:with|without|w\/o?|incl|excl|not|only|bare|each|and)|(?:ohne|sans|hors|sin|sem|senza|zonder|utan|bez) |\b(?:esclus|exclui|inclus|inkl|einschl|wliczon|single board)|ケーブル|线/.test(
    of,
  ) && !/\d ?(?:oz|g|mm|s|v|a)\b|\b(?:baro(?:m\w+)?|osd|flash|blackbox)\b/.test(of);

export const massRules: Rule[] = [
  // "on the scale it's 9.6"
  rule(
    `\\bon (?:the|my|a)(?: kitchen)? scales?(?: and)?,? (?:it'?s|it is|it says|it reads|it weighs|it shows)[ :]{1,2}${N}(?![\\d.,]*\\d| ?(?:x|by|${GRAMS}))`,
    ([v]) => sane('massG', num(v), 1, 300, 'a mass without its unit, taken for grams'),
  ),
  // Scales of the trade show grams.
  rule(
    `(?:^|(?<=\\n|[;|] ?))[ \\t]{0,4}(?:net )?(?:weight|mass|wt)${W}[:=]${W}${N}(?=[ \\t]{0,4}(?:$|\\n|[;|]))`,
    ([v]) => sane('massG', num(v), 1, 300, 'a mass without its unit, taken for grams'),
  ),
  rule(
    `\\b${massWord}${W}\\(((?:with|without|incl|excl|w/o)[^)\\n]{2,40})\\)${W}[:|]?${W}${N} ?${GRAMS}\\b`,
    ([of, v, unit], around) => mass(v, unit, of, around),
  ),
  rule(
    `\\b${massWord} (w/o [a-z]{3,20}|without [a-z]{3,20}|with [a-z]{3,20})${W}:?${W}${N} ?${GRAMS}\\b`,
    ([of, v, unit], around) => mass(v, unit, of, around),
  ),
  rule(
    `\\b${massWord}${W}[:=|]?${W}(?:${N} ?oz[ ,]{0,2}\\((?=\\d[^)\\n]{0,8} ?g\\b))?(?:(?:is|of|approx\\.?|approximately|about|ca\\.?|just|only|around|to)${W}){0,2}${N} ?${GRAMS}\\b${MASS_OF}`,
    ([, v, unit, a, b], around) =>
      mass(
        v,
        unit,
        a ?? b,
        around,
        another.exec(around.before.slice(-28) + around.text)?.[0] &&
          `one board of the stack: "${another.exec(around.before.slice(-28) + around.text)![0]}"`,
      ),
  ),
  rule(`\\b${N} ?${GRAMS}\\b${MASS_OF}`, ([v, unit, a, b], around) => {
    const { before, after, line } = around;
    if (denied({ before, after: '' }) || /^ ?(?:force|accel|shock|of thrust)/.test(after)) return [];
    if (unit === 'kg' || unit === 'mg') return [];
    // "Weight 9 g controller only, stack 24 g": the second one is a mass as well.
    const named = /weight|weighs|mass\b|scale|light|heavy/.test(line);
    if (
      named &&
      !/\b(?:stack|total|together|set|esc|fc|controller|board|is|mine|it|not light:?|light:?|heavy\\??|with [a-z]{3,12})[ \t:,?]{0,3}$/.test(
        before,
      ) &&
      !/^[ \t]*$/.test(before)
    ) {
      return mass(v, unit, a ?? b, around, 'a second figure in grams');
    }
    return mass(v, unit, a ?? b, around, named ? undefined : 'grams without a word that says of what');
  }),
];
