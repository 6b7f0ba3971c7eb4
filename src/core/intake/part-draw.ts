import { countOf, countWords, N, V } from './part-words';
import { num } from './reader/rules/rule';

/** What a part draws; null where its page does not say it. */
export interface PartDraw {
  typicalAmps: number | null;
  peakAmps: number | null;
  /** Volts at which the typical amps were said; null: not said. */
  atVolts: number | null;
}

interface Said {
  amps: number;
  atVolts: number | null;
  kind: 'running' | 'average' | 'peak' | 'resting';
  watts: boolean;
}

/** What comes out of it is not what it draws: a regulator's output, the reach of a sensor, the power that goes on the air. */
const givenOut =
  /\b(?:bec|contacts?|switch(?:es|ing)|coupe|schaltet|range|limit(?:s|ed)|measur(?:es|ing)|outputs?|out|sensor|meter|supplies|delivers|gives|provides)\b(?:(?:[^,;.\n]|\.\d){0,22}|, ?(?:max\w* )?)$/;
/** "BEC output: 5 V, max 0.8 A". */
const outLabel = /(?:^|\n)[^\n:|]{0,20}\b(?:bec|output)\b[^\n:|]{0,12}[:|][^\n;]{0,40}$/;
const thenOut = /^ ?(?:(?:max|peak|burst|cont)\w*\.? )?out(?:put)?\b/;
const onAir =
  /\b\d+ ?mw ?[/,|] ?$|\b(?:output|transmit|rf|radiated|tx) (?:power|level)s?\b[^;\n]{0,40}$|\b(?:radio|vtx|video transmitter|transmitter|telemetry)\b[^,;.\n]{0,20}$/;
/** Watts so small go on the air unless they are called a draw. */
const calledDraw = /\b(?:consum\w*|draws?|dissipat\w*|typical power|verbrauch\w*|assorb\w*)\b[^;\n]{0,30}$/;
/** Of such a module the amps are what it gives. */
const gives =
  /^(?:(?!\bwith\b)[^\n.,;:]){0,48}\b(?:regulator|bec|esc(?! telemetry)|speed controller|battery eliminator|step-?(?:down|up)|buck|boost|converter)\b(?! ?(?:input|powered|fed))/;
const takesIn = /\b(?:input current|own (?:use|consumption|draw)|quiescent|draws?|consum\w*)\b[^,;\n]{0,24}$/;
const inUse = /\b(?:under load|in (?:use|flight|operation)|running|operating|working|recording|moving|active)\b/;
/** It may be fed by USB as well; what a charger or a supply must give is not what it draws. */
const mustGive =
  /\b(?:usb|recommended|connector|for (?:a|the) fan|fan|(?:regulator|supply|source|bec)s? (?:with|of|for) (?:at least )?|at least)\b/;
/** "For a 5 V 2 A supply". */
const ofSupply = /^ ?(?:\w+ )?(?:power )?(?:supply|source|adapter|charger|bec|regulator)\b/;
const asRating = /\b(?:power|input|supply)[ :]{0,3}(?:dc)? ?\d{1,2}(?:[.,]\d)? ?v ?\/ ?$/;
const resting =
  /\b(?:idle|stand-?by|pit(?: mode)?|no[- ]load|sleep|quiescent|at rest|leerlauf\w*|ruhestrom|[àa] vide|au repos|en reposo|sin carga|a vuoto|a riposo|em repouso|nullast|bezczynn\w*|tomgång\w*)\b/;
const charging = /\bcharg(?:ing|es?)\b/;
const average = /\b(?:average|avg|mean|durchschnitt\w*|moyenne|media)\b/;
const peak =
  /(?<!\p{L})(?:peaks?|(?<!\bat )max(?:i|imum|imal\w*)?|m[aá]xim\w+|maks\w*|massim\w+|bursts?|in-?rush|start-?up|(?:while|when) (?:it )?(?:starts?|starting|booting)|boot(?:ing|s)?|switch-?on|pull-?in|stall(?:ed|ing)?|locked|block(?:ed|ier\w*)|surge|fir(?:ed|ing)|trigger(?:ed|s)?|for (?:half )?an? (?:second|moment)|for \d{1,4} ?m?s(?:ec\w*)?|einschalt\w*|anlauf\w*|spitzen?\w*|en pointe|pico|picco|szczyt\w*|piek\w*|spets\w*)\b/u;

const figure = /(?<![\d.,])(\d{1,4}(?:[.,]\d{1,3})?) ?(ma|milliamp(?:ere)?s?|a|mw|w)(?:mps?|mperes?|atts?)?\b(?!h)/g;
const voltsBehind = new RegExp(
  `^ ?(?:\\( ?)?(?:max )?(?:@|at|à|bei|bij|sous|przy|při|pri|при|vid|ved|con|a|/|x|\\() ?${N} ?${V}\\b(?! ?(?:-|to)\\b)`,
);
const voltsBefore = new RegExp(
  `(?<![\\d.,]|[-–] ?|\\bto )${N} ?${V}[ ,:/(@]{1,3}(?:(?:typ\\w*|about|approx\\w*|max\\w*|only|some)\\.? )?$`,
);
/** "Draw (12 V input): 240 mA", "| Draw at 12 V | 240 mA |": the volts of a whole line, which stand in its label. */
const voltsInLabel = new RegExp(
  `(?:^|\\n|\\. )[^\\n:\\d]{0,40}(?<![\\d.,]|[-–] ?|\\bto )${N} ?${V}\\b[^\\n:\\d]{0,20}[:|][^\\n]{0,160}$`,
);
/** "At 12 V it needs 0.17 A in pit mode and 0.44 A at 600 mW." */
const voltsOfSentence = new RegExp(
  `(?:^|\\n|\\. )(?:at|with|on|bei) ${N} ?${V}\\b,? (?:it|the|we|i|this)\\b(?:[^.;\\n]|\\.\\d){0,160}$`,
);
/** "25 mW 160 mA, 800 mW 450 mA (all @ 12 V)". */
const voltsOfAll = new RegExp(`\\b(?:all|each|measured|currents|figures|values) ?(?:@|at) ?${N} ?${V}\\b`);
const several = 'leds?|lights?|lamps?|pixels?|servos?|motors?|channels?';
/** The number of lights or servos on a page; 1 where it says none. */
export function numberOf(t: string): number {
  return countOf(howMany.exec(t)?.[1] ?? '1');
}

const howMany = new RegExp(`\\b(\\d{1,3}|${countWords}) ?x? ?(?:rgb |micro |mini |digital )?(?:${several})\\b`);
const eachBehind = new RegExp(`^ ?(?:per|each|/) ?(?:${several})|^ ?each\\b`);
const eachBefore = new RegExp(
  `\\b(?:(?:each|per|every|je|pro|par|por|cada|chaque|ogni) ?(?:${several})|(?:${several})[,:(]? ?(?:each|je))\\b(?:[^,;.\\n\\d]{0,16}|(?!.*\\b(?:total|together|all)\\b)(?:[^.;\\n]|\\.\\d){0,40})$`,
);

/** "max. 5 W" is one sentence. */
const shortened = /\b(max|maks|min|typ|avg|approx|ca|cont)\. /g;

/** "1,100 mA" is more than an ampere; "0,3 A" is not. */
function valueOf(figures: string, unit: string): number {
  const milli = unit.startsWith('m');
  const plain = milli && /^[1-9]\d?[.,]\d{3}$/.test(figures) ? figures.replace(/[.,]/, '') : figures;
  return num(plain) / (milli ? 1000 : 1);
}

/** "60 mA (avg)", "450 mA stalled"; words that another figure follows are those of that one: "180 mA, stall 1.1 A", "45 mA (max. 60 mA)". */
function wordsBehind(after: string): string {
  const bracketed = /^ ?\([^)\d]{1,20}\)/.exec(after)?.[0];
  if (bracketed) return bracketed;
  const words = /^[^,;:|\n.\d(/]{0,24}(?:\([^)\d]{1,20}\))?/.exec(after)![0];
  return /^ ?\d{1,4}(?:[.,]\d{1,3})? ?(?:m?a|m?w)\b/.test(after.slice(words.length)) ? '' : words;
}

/** What stands before a figure, without what its label says in brackets: "Max current (while it transmits at 100 mW): ". */
function labelBefore(t: string, at: number): string {
  const label = t.slice(Math.max(0, at - 120), at).replace(/ ?\((?=[^()\n]{12})[^()\n]{0,60}\)(?= ?[:|])/g, '');
  return label.slice(-48).replace(shortened, '$1 ');
}

/** What is said of a figure next to it; where nothing is, what was said of those before it in the sentence: "stall 0.9 A (6 V) / 1.3 A (8.4 V)". */
function kindOf(before: string, after: string): Said['kind'] {
  const pieces = before
    .split(/;|\. |\n/)
    .at(-1)!
    .split(/(?=[,/(])/);
  // Words in brackets behind another figure are of that one.
  const own = pieces.at(-1)!.replace(/^\([^()]*\)/, '');
  if (asRating.test(before) || ofSupply.test(after)) return 'resting';
  const said = kindIn(own) ?? kindIn(wordsBehind(after)) ?? kindIn(wordsBehind(after.replace(voltsBehind, '')));
  if (said !== null || saysWords.test(own) || inUse.test(wordsBehind(after))) return said ?? 'running';
  const carried = pieces.findLast((piece) => saysWords.test(piece) && !ofVolts.test(piece));
  return kindIn(carried ?? '') ?? 'running';
}

/** "12 V (max. 14.8 V), 1.2 A": what is said of volts is not said of amps. */
const ofVolts = /^(?!.*\d ?(?:m?a|m?w)\b).*\d ?v\b/;
const saysWords = /(?<!\p{L})(?!m?[aw]h?\b|v(?:dc)?\b|dc\b)\p{L}{2}/u;

function kindIn(words: string): Said['kind'] | null {
  if (resting.test(words) || mustGive.test(words)) return 'resting';
  if (peak.test(words)) return 'peak';
  if (charging.test(words)) return 'resting';
  return average.test(words) ? 'average' : null;
}

/** What one figure of a page says, with what stands around it; null where it is none that the part draws, or not enough is said. */
function figureSays(found: RegExpExecArray, t: string, least: number | null, only: number | null): Said | null {
  const end = found.index + found[0].length;
  const before = t.slice(Math.max(0, found.index - 48), found.index).replace(shortened, '$1 ');
  const after = t.slice(end, end + 48);
  const unit = found[2]!.replace(/^milliamp.*/, 'ma');
  const watts = unit.endsWith('w');
  if (((givenOut.test(before) || outLabel.test(before)) && !takesIn.test(before)) || thenOut.test(after)) return null;
  if (gives.test(t) && !takesIn.test(before)) return null;
  if (
    watts &&
    (onAir.test(before) ||
      /^ ?(?:peak )?(?:optical|laser|eirp|rf|radiated)\b/.test(after) ||
      /(?:@|\bat) ?$/.test(before))
  )
    return null;
  if (unit === 'mw' && !calledDraw.test(before)) return null;
  const far = t.slice(Math.max(0, found.index - 240), found.index);
  const onLine = (voltsInLabel.exec(far) ?? voltsOfSentence.exec(far))?.[1];
  const volts = voltsBehind.exec(after)?.[1] ?? voltsBefore.exec(before)?.[1] ?? onLine ?? voltsOfAll.exec(t)?.[1];
  const at = volts === undefined ? only : num(volts);
  const value = valueOf(found[1]!, unit) * Number(/(?<![\d.,])(\d{1,3}) ?[x*] ?$/.exec(before)?.[1] ?? 1);
  const each = eachBehind.test(after) || eachBefore.test(before);
  const amps = (watts ? value / (at ?? least ?? Number.NaN) : value) * (each ? countOf(howMany.exec(t)?.[1]) : 1);
  if (!Number.isFinite(amps) || amps === 0) return null;
  return {
    amps: Math.round(amps * 1000) / 1000,
    atVolts: watts ? (at ?? least) : at,
    kind: kindOf(labelBefore(t, found.index), after),
    watts,
  };
}

/**
 * What the figures of a page say that a part draws: of several settings the most ("450 mA at 400 mW, 900 mA at 1 W"), resting ones only where there is no
 * other, lights times their number. Watts are taken at the volts that are said with them, else at the least that it takes, where they are the most amps.
 * `t`: the page small and in English; `least`: the least volts of its supply, `only` its volts where it takes no others.
 */
export function drawOf(t: string, least: number | null, only: number | null): PartDraw {
  const said = [...t.matchAll(figure)].flatMap((found) => figureSays(found, t, least, only) ?? []);
  const most = (kind: Said['kind']) => {
    const of = said.filter((s) => s.kind === kind);
    const inAmps = of.filter((s) => !s.watts);
    return (inAmps.length > 0 ? inAmps : of).reduce<Said | null>((a, b) => (a && a.amps >= b.amps ? a : b), null);
  };
  const [average, running] = [most('average'), most('running')];
  const typical = (average?.watts ? (running ?? average) : (average ?? running)) ?? most('resting');
  // "0.9 A during a flash, average 0.12 A".
  const above = running && typical && running.amps > typical.amps ? running : null;
  return {
    typicalAmps: typical?.amps ?? null,
    peakAmps: (most('peak') ?? above)?.amps ?? null,
    atVolts: typical?.atVolts ?? null,
  };
}
