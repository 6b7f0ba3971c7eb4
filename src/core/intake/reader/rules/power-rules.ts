import { airOver } from '../air-over';
import { AMP, denied, num, one, openness, rule, sane, N, W, type Around, type Found, type Rule } from './rule';

const airBehind = new RegExp(`^,? ?\\(?${airOver.source}`);

const RANGE = '(?:-{1,3}|\\.{2,3}|to|up to|through|and|à|a)';

const cells = (a: number, b: number, around: Around): Found[] =>
  a < b && b <= 14 && a >= 1 && !denied(around)
    ? [...one('cellsMin', a, openness(around)), ...one('cellsMax', b, openness(around))]
    : [];

/** "5 V BEC: 3 A, input 7-30 V": what a regulator takes in need not be what the board stands. */
const ofARegulator = (before: string) =>
  /\b(?:bec|regulators?|ldo|buck|boost)\b(?:[^.;|\n]|\.\d)*$/.test(before)
    ? 'it may be the input of the regulator that is named before'
    : undefined;

/** What the pack may be: cells in series and volts. */
export const packRules: Rule[] = [
  rule('\\b(\\d)[ -]?cells? (?:to|-) (\\d)[ -]?cells?\\b', ([a, b], around) => cells(num(a), num(b), around)),
  rule('\\b(?:a single|single|one)[ -](?:lithium |lipo )?cells?\\b(?! (?:or|to)\\b)', (_, around) =>
    denied(around) || /\\b(?:or|to|per|than) $/.test(around.before)
      ? []
      : [...one('cellsMin', 1, openness(around)), ...one('cellsMax', 1, openness(around))],
  ),
  rule(`\\b(\\d) or (\\d)(?: lithium| lipo)? cells?\\b`, ([a, b], around) =>
    num(b) === num(a) + 1 ? cells(num(a), num(b), around) : [],
  ),
  // "4S, 5S and 6S"
  rule(
    `\\b(\\d{1,2}) ?s(?:, ?\\d{1,2} ?s){0,6},? ?(?:and|or|&|,) ?(\\d{1,2}) ?s\\b(?! (?:packs? )?(?:not|is not))`,
    ([a, b], around) => (denied(around) ? [] : cells(num(a), num(b), around)),
  ),
  rule(`\\b(\\d{1,2})${W}s?${W}${RANGE}${W}(\\d{1,2}) ?s\\b(?!ec)(?:${W}(?:lipo|lihv|li-ion))?`, ([a, b], around) =>
    cells(num(a), num(b), around),
  ),
  // "2S (7.4 V) to 6S (22.2 V)"
  rule(`\\b(\\d{1,2}) ?s ?\\(${N} ?v\\) ?(?:-|to|up to) ?(\\d{1,2}) ?s\\b`, ([a, , b], around) =>
    cells(num(a), num(b), around),
  ),
  rule(
    `\\b(\\d{1,2})(?: ?s)?${W}(?:-|to|up to|a|à)${W}(\\d{1,2})[ -]?(?:lithium |lipo |li-?ion )?cells?\\b`,
    ([a, b], around) => cells(num(a), num(b), around),
  ),
  rule(
    `\\bcells?(?: (?:count|in series|supported))?(?: number)?${W}[:=?]?${W}(\\d{1,2})${W}s?${W}${RANGE}${W}(\\d{1,2})${W}s?\\b`,
    ([a, b], around) => cells(num(a), num(b), around),
  ),
  rule(
    `\\b(?:input|supply|pack|battery|lipo|voltage|power)${W}:${W}(\\d{1,2})${W}-${W}(\\d{1,2})(?=[ \\t]*(?:$|\\n|[,;|]))`,
    ([a, b], around) =>
      num(b) <= 14
        ? cells(num(a), num(b), around).map((f) => ({ ...f, why: f.why ?? 'two counts without a unit' }))
        : [],
  ),
  rule(
    `\\b(?:between )(\\d{1,2}|two|three|four|five|six) and (\\d{1,2}|two|three|four|five|six|eight) (?:lithium |lipo |li-?ion )?cells\\b`,
    ([a, b], around) => cells(count(a), count(b), around),
  ),
  rule(`\\b(?:vin|input|supply|battery|lipo|pack|voltage)[ ,]{1,2}min(?:imum)?${W}[:=]${W}(\\d{1,2}) ?s\\b`, ([n]) =>
    sane('cellsMin', num(n), 1, 14),
  ),
  rule(`\\b(?:vin|input|supply|battery|lipo|pack|voltage)[ ,]{1,2}max(?:imum)?${W}[:=]${W}(\\d{1,2}) ?s\\b`, ([n]) =>
    sane('cellsMax', num(n), 1, 14),
  ),
  // "cells: [3, 6]"
  rule(`(?<![a-z])cells?${W}[:=]${W}\\[?(\\d{1,2}), (\\d{1,2})(?=[ \\]]*(?:\\n|$))`, ([a, b], around) =>
    cells(num(a), num(b), around),
  ),
  rule(
    `\\b(?:cells? min(?:imum)?|min(?:imum)?\\.? cells?)${W}[:=]${W}(\\d{1,2})\\b|\\b(\\d{1,2}) ?s${W}min(?:imum)?\\b|\\bmin(?:imum)?\\.?${W}(\\d{1,2}) ?s\\b`,
    ([a, b, c]) => sane('cellsMin', num(a ?? b ?? c), 1, 14),
  ),
  rule(
    `\\b(?:cells? max(?:imum)?|max(?:imum)?\\.? cells?)${W}[:=]${W}(\\d{1,2})\\b|\\bmax(?:imum|\\.)?${W}(\\d{1,2}) ?s\\b(?!ec)|\\b(\\d{1,2}) ?s${W}max(?:imum)?\\b`,
    // "60 A (max 10 s)": seconds.
    ([a, b, c], { before }) =>
      /\d ?a(?:mps?)? ?[(,/]? ?$/.test(before) ? [] : sane('cellsMax', num(a ?? b ?? c), 1, 14),
  ),
  rule(
    `\\b(?:never|not|no)(?: (?:connect|use|feed|fit|fly|plug in|like|take|want|accept|stand))?(?: it (?:to|on|with))? (?:more than|above|over|beyond) (\\d{1,2}) ?s\\b(?!ec)(?: ?\\(${N} ?v\\))?`,
    ([n, v]) => [...sane('cellsMax', num(n), 1, 14), ...(v ? sane('packMaxVolts', num(v), 3.9, 70) : [])],
  ),
  rule("\\b(?:below|under) (\\d{1,2}) ?s\\b,? (?:it|the board) (?:will not|does not|won't|doesn't|refuses)", ([n]) =>
    sane('cellsMin', num(n), 1, 14),
  ),
  rule(
    '\\b(?:starts?|works?|runs?) (?:at|from|on) (\\d{1,2}) ?s\\b(?!ec)(?= ?(?:$|\\n|[.,;)]|upwards|up\\b|on\\b))',
    ([n]) => sane('cellsMin', num(n), 1, 14),
  ),
  rule('\\bsurvives (?:on )?(\\d{1,2}) ?s\\b(?!ec| ?-)', ([n], around) =>
    denied(around) ? [] : sane('cellsMax', num(n), 1, 14, openness(around)),
  ),
  rule('\\b(\\d{1,2}) ?s(?: lipo)? (?:capable|ready|rated)\\b', ([n], around) =>
    denied(around) ? [] : sane('cellsMax', num(n), 1, 14, openness(around)),
  ),
  // "up to 42 V (10S"
  rule(`\\b(?:max\\.?|up to) ${N} ?v \\((\\d{1,2}) ?s\\b`, ([v, n], around) => [
    ...sane('packMaxVolts', num(v), 3.9, 70, openness(around)),
    ...sane('cellsMax', num(n), 1, 14, openness(around)),
  ]),

  rule(`\\bonly (?:for|on) (\\d{1,2}) ?s\\b(?!${W}(?:-|to|or|and))`, ([n]) => [
    ...sane('cellsMin', num(n), 1, 14),
    ...sane('cellsMax', num(n), 1, 14),
  ]),
  rule(`\\b(\\d{1,2}) ?s${W}max(?:imum)?${W}\\(${N} ?v\\)`, ([n, v]) => [
    ...sane('cellsMax', num(n), 1, 14),
    ...sane('packMaxVolts', num(v), 3.9, 70),
  ]),
  rule(`\\bup to (\\d{1,2}) ?s\\b(?!ec)`, ([n], around) =>
    /\d ?a(?:mps?)? ?\(?(?:for )?$/.test(around.before) || denied(around)
      ? []
      : sane('cellsMax', num(n), 1, 14, openness(around)),
  ),
  rule(`\\b(\\d{1,2}|two|three|four)(?: cells?)? at least\\b`, ([n], { line }) =>
    /cells?\b|\ds\b/.test(line) ? sane('cellsMin', count(n), 1, 14) : [],
  ),
  rule(`\\b(\\d{1,2}|two|three|four|six|eight)(?: cells?)? at most\\b`, ([n], { line }) =>
    /cells?\b|\ds\b/.test(line) ? sane('cellsMax', count(n), 1, 14) : [],
  ),
  rule(
    '\\b(?:runs?|works?|flies|flown|powered) (?:only )?(?:on|from|by) (?:a )?(1) ?s\\b(?! ?(?:-|to|or|and|up to) ?\\d)',
    ([n], around) =>
      denied(around)
        ? []
        : [...one('cellsMin', num(n), openness(around)), ...one('cellsMax', num(n), openness(around))],
  ),
  rule('\\b(\\d{1,2}) ?s (?:hv |lipo )?only\\b', ([n]) => [...one('cellsMin', num(n)), ...one('cellsMax', num(n))]),
  rule(
    `(?:^|(?<=\\n|[;,|/] ?)|\\b(?:battery|pack|input|supply|cells)${W}:${W})(1) ?s\\b(?= (?:\\d|lipo|lihv|battery|[a-z]{0,6} only)|${W}[,(/;])(?!${W}-)`,
    ([n], around) =>
      denied(around)
        ? []
        : [...one('cellsMin', num(n), openness(around)), ...one('cellsMax', num(n), openness(around))],
  ),

  rule(`\\b(\\d{1,2}) ?s (?:is )?the (?:least|minimum)\\b`, ([n]) => sane('cellsMin', num(n), 1, 14)),
  rule(`\\b(\\d{1,2}) ?s (?:is the (?:limit|most|maximum)|at (?:the )?most)\\b`, ([n], { before }) =>
    // "100 A burst, 3 s at most": seconds.
    /\d ?a(?:mps?)?(?: (?:burst|peak))?,? $/.test(before) ? [] : sane('cellsMax', num(n), 1, 14),
  ),
  rule(`\\bfrom (\\d{1,2}) ?s (?:on|up|upwards)\\b(?! to)`, ([n], { before }) =>
    /\d ?v\b/.test(before) ? [] : sane('cellsMin', num(n), 1, 14),
  ),
  rule(`\\b${N} ?v(?:olts?)? (?:never to|must (?:not|never)|not to) be exceeded`, ([v]) =>
    sane('packMaxVolts', num(v), 3.5, 70),
  ),
  rule(
    `\\b(?:do not|don't|never) (?:connect|feed|use|plug in|attach)\\b[^.;\\n]{0,48} (?:more than|above|over|beyond) ${N} ?v\\b`,
    ([v]) => sane('packMaxVolts', num(v), 3.5, 70),
  ),
  rule(`(?<=\\d ?s(?: lipo| lihv)? )\\(${N} ?v\\)`, ([v]) => sane('packMaxVolts', num(v), 3.9, 70)),
  rule(`(?<=\\d ?s(?:,| or| \\(?)? {1,4})(?:up to|max(?:im(?:um|al))?\\.?|at most) ${N} ?v\\b`, ([v]) =>
    sane('packMaxVolts', num(v), 3.9, 70),
  ),
  rule(`(?:^|(?<=\\n|[;,|] ?))[ \\t]{0,4}max(?:imum)?\\.?${W}${N} ?v(?=[ \\t]*(?:$|\\n|[,;|.](?!\\d)))`, ([v]) =>
    sane('packMaxVolts', num(v), 3.9, 70),
  ),
  rule(`\\b(\\d{1,2}) ?s${W}${N} ?v${W}max\\b`, ([n, v]) => [
    ...one('cellsMax', num(n)),
    ...one('packMaxVolts', num(v)),
  ]),
  rule(
    `\\b(?:abs(?:olute)?(?:\\.|ly)? max(?:imum|\\.)?(?: ratings?)?(?: (?:at|on) (?:the )?(?:pads?|input|board))?(?: is| of)?|never (?:exceed|beyond|above|over)|(?:do )?not exceed|(?:do )?not feed more than|(?:no|not|never)(?: (?:see|get|be given|be fed|take|carry))? more than|under no circumstances more than|not above|damaged? above|dies above|exceeding)${W}:?${W}${N} ?v(?:olts?)?\\b`,
    ([v], { after }) => (/^,? ?\d{1,2}(?:\.\d)? ?m?a\b/.test(after) ? [] : sane('packMaxVolts', num(v), 3.5, 70)),
  ),
  rule(
    `\\b(?:max(?:imum)?\\.? (?:input|supply|pack)(?: voltage)?(?: is)?|(?:input|supply|vbat|battery)(?: voltage)?:? up to|(?:input|supply|voltage)(?: voltage)?,? max(?:imum)?\\.?)${W}:?${W}${N} ?v\\b`,
    ([v]) => sane('packMaxVolts', num(v), 3.5, 70),
  ),
  rule(
    `\\b${N}${W}(?:v(?:olts?)?${W})?(?:-{1,3}|\\.{2,3}|to|à)${W}${N} ?v(?:olts?|dc)?\\b(?:${W}dc)?`,
    ([a, v], { before, after }) =>
      num(a) < num(v) &&
      num(v) >= 3.9 &&
      (/\b(?:input|supply|voltage|pack|battery|dc|vin|power(?: in)?|cells?|works|working|operating|lipo|lihv|vcc|vbat)\b|\d ?s\b|(?:^|[ ,;|])in[ :]{0,3}$/.test(
        before,
      ) ||
        /^ ?[,(/]? ?(?:\d{1,2} ?s?[ -]|lipo|dc|input)/.test(after))
        ? sane('packMaxVolts', num(v), 3.9, 70, ofARegulator(before))
        : [],
  ),
  rule(
    `\\(${W}(?:max\\.?|up to)${W}${N} ?v${W}\\)|\\b${N} ?v(?:olts?)?${W}(?:(?:abs(?:olute)? )?max(?:imum)?\\b\\.?|at (?:the )?most)`,
    ([a, b], { before, line }) =>
      /input|supply|lipo|pack|battery|power|\ds\b|cells/.test(before) || !/bec|regulator|output|out\b/.test(line)
        ? sane('packMaxVolts', num(a ?? b), 3.9, 70)
        : [],
  ),
];

const counts: Record<string, number> = { two: 2, three: 3, four: 4, five: 5, six: 6, eight: 8 };
const count = (s: string | undefined) => counts[s ?? ''] ?? num(s);

const SECONDS = '(\\d{1,3}) ?s(?:ec(?:onds?)?)?\\b(?! ?-)';
const CONT = '(?:cont(?:inuous)?\\b\\.?|constant|sustained|steady)';
const PEAK = '(?:bursts?|peaks?|max\\.? burst|surge|short[ -](?:time|term))';
/** Amps of a regulator or a rail are no motor's. */
const ofARail = (amps: number, around: Around) =>
  amps <= 12 &&
  (/\b(?:bec|regulators?|rail|servos?|ldo|buck|sensor)\b(?:[^.;\n]|\.\d)*$/.test(around.before) ||
    /\d ?v[^.;|\n]{0,24}$/.test(around.before) ||
    /^ ?(?:@|at|bec)/.test(around.after));
const fewAmps = (amps: number) => (amps < 4 ? 'so few amps may be those of a regulator' : undefined);

const burst = (a: string | undefined, s: string | undefined, around: Around): Found[] =>
  ofARail(num(a), around)
    ? []
    : [
        ...sane('burstAmps', num(a), 2, 400, openness(around) ?? fewAmps(num(a))),
        ...(s ? sane('burstSeconds', num(s), 1, 120) : []),
      ];
const continuous = (a: string | undefined, around: Around): Found[] =>
  ofARail(num(a), around) ||
  /^ ?(?:per|a|each) (?:motor )?pad\b/.test(around.after) ||
  (/per motor$/.test(around.text) && /^ pads?\b/.test(around.after))
    ? []
    : sane('continuousAmps', num(a), 2, 300, openness(around) ?? fewAmps(num(a)));

/** Amps that the current sensor reads to. Before regulators and motors: its figure stands among theirs. */
export const sensorRules: Rule[] = [
  // What it reads without end, and at its peak: it reads to the peak.
  rule(
    `\\bcurrent (?:sens(?:ing|or|e)|meter|measur(?:ement|ing))${W}[:.]{0,3}${W}${N} ?${AMP} (?:${CONT})[,; ]{1,3}(?:and )?${N} ?${AMP} (?:peak|max|burst|full scale)`,
    ([, a]) => sane('sensorAmps', num(a), 5, 1000),
  ),
  rule(
    `\\b(?:meter|sensor|current)\\b[^\\n\\d]{0,10}0${W}(?:-|to|\\.{2,3})${W}${N} ?${AMP}(?:[,; ]{1,3}${N} ?${AMP} (?:${CONT}))?`,
    ([a]) => sane('sensorAmps', num(a), 5, 1000),
  ),
  rule(
    `\\b${N} ?a (?:current|hall) (?:sensor|meter) ${CONT}[,; ]{1,3}(?:and )?${N} ?${AMP} (?:peak|max|burst)`,
    ([, a]) => sane('sensorAmps', num(a), 5, 1000),
  ),
  rule(`\\b${N} ?a (?:(?:current|hall) )?(?:sensor|meter)\\b(?:${W}\\(${W}${N} ?a peak\\))?`, ([a]) =>
    sane('sensorAmps', num(a), 5, 1000),
  ),
  rule(
    `\\b(?:(?:current|hall) (?:sensor|meter)|ammeter|current sens(?:ing|e)|sensor(?=[: ]{1,3}(?:(?:up )?to )?(?:0 ?- ?)?\\d)|current (?:is )?measured (?:up )?to)\\b(?:(?!(?<!max)\\. )[^\\n;]){0,48}?(?:0${W}-${W})?\\b${N} ?${AMP}(?:${W}\\(${W}${N} ?${AMP} (?:peak|burst)[^)\\n]{0,14}\\))?`,
    ([a], around) => (denied({ before: around.before, after: '' }) ? [] : sane('sensorAmps', num(a), 5, 1000)),
  ),
  rule(
    `\\b3[.,]3 ?v${W}=${W}${N} ?${AMP}|\\b(?:shunt|sensor|meter) reads (?:up )?to ${N} ?${AMP}|\\bfull scale${W}:?(?: at| of| is)?${W}${N} ?${AMP}|\\b${N} ?${AMP}${W}full scale\\b|\\b0 (?:to|-) 3[.,]3 ?v (?:for|=) 0 (?:to|-) ${N} ?${AMP}|\\bv (?:per|\\/) a, (?:up )?to ${N} ?${AMP}`,
    ([a, b, c, d, e, f]) => sane('sensorAmps', num(a ?? b ?? c ?? d ?? e ?? f), 5, 1000),
  ),
];

/** Amps of the motors. */
export const currentRules: Rule[] = [
  rule(
    `\\b${N}(?: ?${AMP})? ?/ ?${N} ?${AMP} ?\\(?(?:${CONT}|rated|nominal)(?: ?/ ?| and )(?:${PEAK}|max)`,
    ([a, b], around) => [...continuous(a, around), ...burst(b, undefined, around)],
  ),
  // "220 A total burst (4 x 55 A)": the one of each channel stands in brackets.
  rule(`\\b(?:${PEAK})[ ,]{0,2}\\(4${W}x${W}${N} ?${AMP}\\)`, ([a], around) => burst(a, undefined, around)),
  rule(
    `\\b${PEAK}(?: current)?(?: (?:per|a|each) (?:channel|motor|arm))?${W}[,(]?${W}${SECONDS}\\)?${W}[:=|]?${W}(?:4${W}x${W})?${N} ?${AMP}`,
    ([s, a], around) => burst(a, s, around),
  ),
  rule(
    `\\b(?:esc )?${PEAK}(?: current)?${W}[:=]?${W}(?:(?:of|up to|to)${W}){0,2}(?:4${W}x${W})?${N} ?${AMP}(?:${W}x${W}4)?(?: each| per (?:motor|channel|esc))?(?:${W}[/,(@]?${W}(?:for |at most |up to |for (?:at most|up to|no more than) |no more than |max\\.? )?${SECONDS}\\)?)?`,
    ([a, s], around) => burst(a, s, around),
  ),
  rule(`\\b(?:4${W}x${W})?${N} ?${AMP}(?:${W}x${W}4)?${W}\\(${W}(?:burst|peak)?${W}${SECONDS}\\)`, ([a, s], around) =>
    burst(a, s, around),
  ),
  rule(
    `\\b(?:4${W}x${W})?${N} ?${AMP}(?:${W}x${W}4)?${W}[/,(]?${W}\\(?(?:d[ei] )?${PEAK}\\b(?: current)?(?:${W}[(,/]?${W}(?:for )?(?:at most |up to |max\\.? )?${SECONDS}(?: (?:at most|max(?:imum)?))?\\)?)?`,
    ([a, s], around) => burst(a, s, around),
  ),
  rule(
    `\\b(?:4${W}x${W})?${N}(?: ?${AMP})? (?:in bursts (?:of )?(?:up to )?|up to (?=\\d{1,3} ?s)|for (?:up to )?)${SECONDS}`,
    ([a, s], around) => burst(a, s, around),
  ),
  rule(`\\b${N} ?${AMP} for (?:a (?:few|couple of)|several|some|a) (?:secs?|seconds?|moments?)\\b`, ([a], around) =>
    burst(a, undefined, around),
  ),
  rule(`\\b${N} (?:bursts?|peak)\\b`, ([a], around) =>
    /\d ?a(?:mps?)?\b[^\n.]{0,20}$/.test(around.before) && !/\d ?v\b|bec|sensor/.test(around.before)
      ? sane('burstAmps', num(a), 4, 400, 'amps without their unit')
      : [],
  ),
  rule(`\\b${N} ?a ${SECONDS}(?=[ ,;.)]|$|\\n)`, ([a, s], around) => burst(a, s, around)),
  rule(`\\(${N} ?a(?:,? | ?/ ?)${SECONDS}\\)`, ([a, s], around) => burst(a, s, around)),
  rule(
    `\\b${N} ?${AMP} (?:per|a|each) (?:motor|channel|output),? (?:for (?:up to |at most )?|up to |at most )${SECONDS}(?![ ,:]{1,3}\\d{1,3} ?a\\b)`,
    ([a, s], around) => burst(a, s, around),
  ),
  rule(`\\bfor (?:up to )?${SECONDS}[ ,:]{1,3}${N} ?${AMP}`, ([t, a], around) => burst(a, t, around)),
  rule(`\\bchannels? (?:carries|carry|gives?|delivers?|takes?|is good for|are good for) ${N} ?${AMP}`, ([a], around) =>
    continuous(a, around),
  ),
  rule(`\\b${N} ?${AMP} (?:with|without) (?:a |the )?(?:fan|airflow|cooling|heat sink)\\b`, ([a], around) =>
    continuous(a, around).map((f) =>
      /without/.test(around.text) ? { ...f, why: 'said of the board without cooling' } : f,
    ),
  ),
  rule(`\\besc(?: [a-z]{2,14}(?: \\d{1,3})?:|: [a-z]{2,14}) ${N} ?${AMP}`, ([a], around) => continuous(a, around)),
  rule(`(?:^|(?<=\\n))(?:(?:burst|peak) )?(?:time|duration): ${N} ?s\\b`, ([s]) =>
    sane('burstSeconds', num(s), 1, 120),
  ),

  rule(`\\b(?:4${W}x${W})${N} ?${AMP}(?:${W}${CONT})?`, ([a], around) =>
    /\b(?:peak|burst|max)[^,;|\n]{0,16}$/.test(around.before) ? [] : continuous(a, around),
  ),
  rule(`\\b${N} ?${AMP}${W}x${W}4\\b`, ([a], around) =>
    /\b(?:peak|burst|max)[^,;|\n]{0,16}$/.test(around.before) ? [] : continuous(a, around),
  ),
  rule(`\\b${N} ?${AMP}${W}\\(?(?:${CONT}|(?:per|a) (?:channel|motor|arm|esc)|each\\b|4 ?in ?1)`, ([a], around) =>
    /\b(?:peak|burst)[^,;|\n]{0,10}$|\b(?:pads?|pairs?)[^.;\n]{0,12}$|\b(?:which|that) (?:pull|draw)s?\b[^.;\n]{0,12}$|\b(?:logs?|logged|i (?:saw|pulled|measured|drew))\b[^.;\n]{0,24}$/.test(
      around.before,
    )
      ? []
      : continuous(a, around),
  ),
  rule(`\\besc\\b[a-z ]{0,24} (?:is|does|gives|has) ${N} ?${AMP}(?! ?(?:burst|peak))`, ([a], around) =>
    continuous(a, around),
  ),
  rule(`[(,] ?${N} ?${AMP}(?=, ?\\d{1,3} ?a(?:mps?)? (?:burst|peak))`, ([a], around) =>
    /\b(?:esc|4in1|aio)\b/.test(around.line) ? continuous(a, around) : [],
  ),
  rule(
    `\\b(?:sold|advertised|marketed|specified|specced) (?:as|at|for) (?:an? )?${N} ?${AMP}(?! (?:bec|peak|burst))`,
    ([a], around) => continuous(a, around),
  ),
  rule(`\\b(?:4|four) escs? (?:of|with|at) ${N} ?${AMP}`, ([a], around) => continuous(a, around)),
  rule(`\\b(?:4|four) ${N} ?${AMP} (?:speed controllers?|escs?|channels?)`, ([a], around) => continuous(a, around)),
  rule(`\\b(?:(?:\\d|four) channels? of) ${N} ?${AMP}`, ([a], around) => continuous(a, around)),
  rule(`\\bamps${W}:?${W}${N} ?a(?=${W}/${W}\\d{1,3} ?a${W}(?:burst|peak))`, ([a], around) => continuous(a, around)),
  rule(`\\bmax(?:imum)?\\.? current${W}:?${W}${N} ?${AMP}`, ([a], around) =>
    /burst|peak/.test(around.line) ? continuous(a, around) : [],
  ),
  rule(
    `\\b(?:${CONT}(?: (?:current|rating|amps))?(?: ?/ ?channel| per (?:motor|channel))?|rated(?: current| at)?|nominal current|esc rat(?:ing|ed)|esc (?:cont\\.?|constant|current)|4in1(?: esc)?(?: is)?,?|(?:each )?esc(?: channels?)?(?: is)?|per (?:motor|channel))${W}[:=]?${W}(?:4${W}x${W})?${N} ?${AMP}`,
    ([a], around) => continuous(a, around),
  ),
  rule(`\\b${N} ?${AMP} (?:4in1|aio|escs?|stack)\\b`, ([a], around) =>
    /with our|use our/.test(around.before) ? [] : continuous(a, around),
  ),
  rule(
    `(?<=\\b(?:aio|stack)\\b[^\\n,;:|]{0,36} )${N} ?a(?=[ \\t]*(?:$|\\n|[,;|])| \\d{1,2} ?-? ?\\d?s\\b)`,
    ([a], around) =>
      continuous(a, around).map((f) => ({
        ...f,
        why: f.why ?? 'amps in the name, without a word that says for how long',
      })),
  ),
  rule(`\\b(?:aio|stack|esc)(?: \\d{1,2})?${W}[/,-]${W}${N} ?${AMP}`, ([a], around) => continuous(a, around)),
  rule(`(?<=[,;:/] )${N} ?${AMP}(?= ?[,;/])`, ([a], around) =>
    /\b(?:esc|stack|aio|4in1)\b/.test(around.line) && num(a) >= 12
      ? continuous(a, around).map((f) => ({ ...f, why: f.why ?? 'amps without a word that says of what' }))
      : [],
  ),
];

const regulator = (v: number, a: number, why?: string): Found[] =>
  v >= 3 && v <= 14 && a >= 0.1 && a <= 12 ? one('regulators', `${v}@${a}`, why) : [];
const milli = (a: string | undefined, unit: string | undefined) => num(a) / (unit === 'ma' ? 1000 : 1);
const V = 'v(?:olts?)?';
const A = '(ma|amp(?:ere)?s?|a)\\b';
const NAMED =
  '(?:(?:(?:boost|buck|linear|switching|step-?(?:up|down)) (?=regulator|converter))?(?:bec|ldo|rail|output|out|regulator|supply|boost(?:er)?|buck|converter|pads?|reg|one)(?:[ \\t]{0,2}\\([a-z0-9 ]{1,20}\\)[ \\t]{0,2}[:=]?)?)';
/** Behind the amps of a regulator: what it gives for moments, which is no motor's. */
const MOMENTS = `(?:${W}(?:max\\.? )?(?:${CONT}))?(?: at \\d{1,3} ?°? ?c)?(?:${W}[,;/(]${W}${N} ?a(?:mps?)? (?:(?:peak|max|burst|for moments)\\)?(?:${W}\\(?(?:for )?${SECONDS}\\)?)?|for ${SECONDS}))?`;

/** "3 A @ " before volts: they have their amps. */
const ofItsAmps = /\d ?(?:ma|a(?:mps?)?) ?(?:@|\bat\b|\bon\b|\bfrom\b) ?(?:the )?$/;
const voltsOfAmps =
  /\d ?(?:ma|a(?:mps?)?) ?(?:@|\bat\b|\bon\b|\bfrom\b) ?(?:the )?\d{1,2}(?:[.,]\d)? ?v(?:olts?)? ?[^\w\s,;|/]?[ \t]?$/;

/** What the board's own regulators give. */
export const regulatorRules: Rule[] = [
  // "BEC: 2 A / 5 V, 3 A / 9 V": the first pair says which stands before the other.
  rule(
    `\\b${NAMED}s?${W}:?${W}${N} ?${A}${W}[/ ]${W}${N} ?${V}${W}[,;/|+&]${W}${N} ?${A}${W}[/ ]${W}${N} ?${V}(?!${W}[/@,]?${W}\\d{1,2}(?:[.,]\\d)? ?a\\b)`,
    ([a, unit, v, b, other, w]) => [...regulator(num(v), milli(a, unit)), ...regulator(num(w), milli(b, other))],
  ),
  // "5/6/7.2 V, 8 A peak, 5 A continuous": the first of its volts, and what it gives without end.
  rule(
    `\\b${N}(?: ?v)?(?: ?/ ?${N}(?: ?v)?){0,2} ?v,?${W}${N} ?${AMP} (?:peak|burst|max)[,;/ ]{1,3}${N} ?${AMP} (?:${CONT})`,
    ([v, , , a]) => regulator(num(v), num(a)),
  ),
  rule(
    `\\bv(?:olts?)?: ?${N}(?: v)?[ \\t]{0,3}\\n(?:[a-z0-9 ]{1,16}: ?[^\\n]{0,20}\\n)?[ \\t]{0,6}a(?:mps?)?: ?${N}(?: a)?(?=[ \\t]*(?:\\n|$))`,
    ([v, a]) => regulator(num(v), num(a)),
  ),
  rule(
    `\\b${N} ?${V}${W}(?:and|&|/|,|\\+)${W}${N} ?${V}${W}(?:${NAMED}s?${W})?[,@:(]?${W}(?:at )?${N} ?${A} each\\b`,
    ([v, w, a, unit]) => [...regulator(num(v), milli(a, unit)), ...regulator(num(w), milli(a, unit))],
  ),
  // "9/12 V 1.8 A (9 V as delivered)": one whose volts are chosen, or one for each of them.
  rule(
    `\\b${N}(?: ?${V})? ?/ ?${N}(?: ?${V})?(?: ?/ ?${N})? ?${V},?${W}(?:${NAMED}${W})?[:@]?${W}${N} ?${A}(?! ?/)(?: ?\\((?:${N} ?v )?[^)\\n]{0,40}\\))?`,
    ([v, w, x, a, unit, asDelivered]) =>
      (asDelivered ? [asDelivered] : [v, w, x]).flatMap((volts) =>
        volts ? regulator(num(volts), milli(a, unit), 'its volts are chosen, or there is one for each: look') : [],
      ),
  ),
  // "5 V, 6 V or 7.4 V 6 A": delivered at one of them.
  rule(
    `\\b${N} ?${V}(?:, ${N} ?${V}){0,2} or ${N} ?${V}(?: ?\\((?:[^)\\n]{0,20}, )?(?:${N} ?v )?[^)\\n]{0,24}\\))?,?${W}${N} ?${A}`,
    ([v, , , asDelivered, a, unit]) =>
      regulator(num(asDelivered ?? v), milli(a, unit), 'its volts may be chosen: look how it is delivered'),
  ),
  rule(
    `\\bregulators? ?\\(?${N}(?: ?${V})? and ${N} ?${V}\\)? (?:give|carry|deliver|make) (?:up to )?${N} ?${A}`,
    ([v, w, a, unit]) => [...regulator(num(v), milli(a, unit)), ...regulator(num(w), milli(a, unit))],
  ),
  rule(
    `\\b(?:bec|regulators?|another|otro|un autre|un altro|outro) (?:of|de|di|da|von|with) ${N} ?${V} and ${N} ?${A}`,
    ([v, a, unit]) => regulator(num(v), milli(a, unit)),
  ),
  rule(
    `\\b(?:not|never) [a-z ]{2,24} more than ${N} ?${AMP} (?:from|of|on) (?:the )?${N} ?${V} (?:pads?|rail|output)s?\\b`,
    ([a, v]) => regulator(num(v), num(a), 'said as a warning'),
  ),
  rule(
    `\\b${N} ?${V} ?(?:regulator|rail|output|bec|supply|one)?(?: (?:carry|give|supply|deliver|do|make|put out|handle|stand|rated(?: for| at)?))?\\? ?(?:(?:it |that )?(?:is |gives |does |carries |delivers |makes )|up to |rated (?:for |at )?)?${N} ?${A}${MOMENTS}`,
    ([v, a, unit]) => regulator(num(v), milli(a, unit)),
  ),
  // "5V rail 5.05 V, drops out at 3.4 A (rated 3 A)"
  rule(
    `\\b${N} ?${V} (?:rail|output|bec|regulator)\\b[^\\n;|]{0,60}\\((?:rated|specified|nominal)(?: at| for)? ${N} ?${A}\\)`,
    ([v, a, unit]) => regulator(num(v), milli(a, unit)),
  ),
  // "the 9 V rail, which the manual rates at 2 A"
  rule(
    `\\b${N} ?${V} (?:rail|output|bec|regulator|one)\\b,? (?:which |that )?(?:the (?:manual|maker|seller|page|sheet) )?(?:rates?|gives?|specifies|puts?|says?)(?: it)?(?: (?:at|as|for|with|is))? ${N} ?${A}`,
    ([v, a, unit]) => regulator(num(v), milli(a, unit)),
  ),
  // "9 V (12 V by jumper) for video: 2 A"
  rule(
    `\\b${N} ?${V} ?\\((?:or |also )?${N} ?${V}(?: ?/ ?${N} ?${V})? (?:by|with|via) [a-z ]{3,20}\\)(?: for [a-z ,]{2,24})?${W}[:,]?${W}${N} ?${A}`,
    ([v, , , a, unit]) => regulator(num(v), milli(a, unit), 'its volts may be chosen: look how it is delivered'),
  ),
  // Two cells of a table that is written cell by cell.
  rule(`\\bbec ${N} ?${V}[ \\t]{0,3}\\n[ \\t]{0,3}${N} ?${A}(?=[ \\t]*(?:\\n|$))`, ([v, a, unit]) =>
    regulator(num(v), milli(a, unit)),
  ),
  // "5 V output (A): 2"
  rule(`\\b${N} ?${V} (?:output|rail|bec|regulator|pads?) ?\\(a(?:mps?)?\\)${W}[:=]${W}${N}\\b`, ([v, a]) =>
    regulator(num(v), num(a)),
  ),
  // "5V2A5"
  rule(`\\b${N} ?v ?(\\d)a(\\d)\\b`, ([v, a, tenth]) => regulator(num(v), Number(`${a}.${tenth}`))),
  rule(`\\b(?:2|two|dual) ?x?${W}${N} ?${V}${W}[/@,]?${W}${N} ?${A}`, ([v, a, unit], around) =>
    regulator(num(v), milli(a, unit), openness(around)),
  ),
  rule(
    `\\b${N} ?${V}(?:${W}${N} ?v)?(?:${W}|-)(?:${NAMED}(?: (?:output )?(?:current|rating|capacity))?)?(?: of the [^\\n,.;]{1,24}? (?=gives)| too,| as well,| up from [\\d.]{1,4} ?a to)?${W}[@/:,=-]?${W}(?:(?:now |only |stays at |gives |with |which is |which |that |\\. it |about |around |roughly )?(?:claimed|rated|about|of|for|\\d{1,3} ?w,?|now|only|another|gives?|delivers?|suppl(?:y|ies)|carr(?:y|ies)|makes|may carry|can carry|together(?: may| can)? (?:carry|give)|at|with|up to|max\\.?|(?:is |are )?(?:good|rated) for|raised to|can do|does|always|said to (?:be|give|carry)|that is|the original|may (?:be loaded with|carry|give|draw)|(?:is|are) supplied|at most|is|\\() ?){0,3}${N} ?${A}(?! ?/ ?a\\b)${MOMENTS}`,
    ([v, , a, unit], around) => {
      if (denied({ before: around.before, after: '' }) || /^ ?✗/.test(around.after)) return [];
      // "3 A on 5 V, 2 A on 9 V": the amps are those of the next one.
      if (/^ ?(?:on|of|from) (?:the )?\d{1,2}(?:\.\d)? ?v\b/.test(around.after)) return [];
      if (ofItsAmps.test(around.before)) return [];
      // What the socket of a computer gives.
      if (
        /\busb(?:[ -]?c)?(?: port| socket| plug)? (?:supplies|gives|feeds|delivers|provides|powers|at|is|only)[^.;\d\n]{0,24}$/.test(
          around.before,
        )
      )
        return [];
      if (/^(?: max\.?)? (?:per|each|a) pad\b/.test(around.after))
        return regulator(num(v), milli(a, unit), 'of one pad: all may carry more together, or less each');
      if (/^ ?\(?(?:for )?\d{1,3} ?s(?:ec\w*)?\b/.test(around.after))
        return regulator(num(v), milli(a, unit), 'for moments only');
      if (
        /\b(?:example|load|draws?|needs?|consum\w+|takes|sagg?\w*|dropp?ed|fell|dipp?ed)\b(?:[^.;\d\n]|\.\d){0,40}$/.test(
          around.before,
        )
      )
        return [];
      if (airBehind.test(around.after)) return regulator(num(v), milli(a, unit), 'with air over it only');
      if (/\d ?(?:-|to) ?$/.test(around.before))
        return regulator(num(v), milli(a, unit), 'the end of a range of volts');
      const measured = /\b(?:pulled|pulls|measured|held|was fine with)\b/.test(around.before.slice(-24))
        ? 'a measurement under load, not a rating'
        : undefined;
      return regulator(
        num(v),
        milli(a, unit),
        openness(around) ??
          measured ??
          (/\b(?:pulled|folded back|got hot|failed)\b/.test(around.after)
            ? 'the text measured something else'
            : undefined),
      );
    },
  ),
  rule(
    `\\b${N} ?${A}${W}(?:@|at|/|on|from)?${W}(?:the )?${N} ?${V}(?:${W}(?:${NAMED}))?(?!\\d|[.,]\\d)`,
    ([a, unit, v], around) =>
      denied(around) ||
      // Volts stand before these amps already, and no amps before those.
      (/\d ?v ?[^\w\s,;|/]?[ \t]?$/.test(around.before) && !voltsOfAmps.test(around.before)) ||
      /\b(?:load|draws?|needs?|consum\w+|takes|pulled|sagg?\w*|dropp?ed|fell|dipp?ed)\b[^.;\n]{0,12}$/.test(
        around.before,
      )
        ? []
        : regulator(num(v), milli(a, unit), openness(around)),
  ),
  rule(`\\b${N} ?${V}(?: one| regulator)? (?:for|at|gives) ${N}(?=[ \\t]*(?:$|\\n|[.,;](?!\\d)))`, ([v, a], around) =>
    /regulator|bec|good for/.test(around.before) ? regulator(num(v), num(a), 'amps without their unit') : [],
  ),
];
