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
  kind: 'running' | 'peak' | 'resting';
  watts: boolean;
}

/** What comes out of it is not what it draws: a regulator's output, the reach of a sensor, the power that goes on the air. */
const givenOut = /\b(?:bec|outputs?|out|sensor|meter|supplies|delivers|gives|provides)\b(?:[^,;.\n]|\.\d){0,20}$/;
const thenOut = /^ ?(?:(?:max|peak|burst|cont)\w*\.? )?out(?:put)?\b/;
const onAir =
  /\b\d+ ?mw ?[/,|] ?$|\b(?:output|transmit|rf|radiated|tx) (?:power|level)s?\b[^;\n]{0,40}$|\b(?:radio|vtx|video transmitter|transmitter|telemetry)\b[^,;.\n]{0,20}$/;
/** Watts so small go on the air unless they are called a draw. */
const calledDraw = /\b(?:consum\w*|draws?|dissipat\w*|typical power|verbrauch\w*|assorb\w*)\b[^;\n]{0,30}$/;
/** Of such a module the amps are what it gives. */
const gives =
  /^(?:(?!\bwith\b)[^\n.,;:]){0,48}\b(?:regulator|bec|battery eliminator|step-?(?:down|up)|buck|boost|converter)\b(?! ?(?:input|powered|fed))/;
const takesIn = /\b(?:input current|quiescent|draws?|consum\w*)\b[^,;\n]{0,24}$/;
/** It may be fed by USB as well; what a charger or a supply must give is not what it draws. */
const mustGive = /\b(?:usb|recommended|connector|for (?:a|the) fan|fan)\b/;
const asRating = /\b(?:power|input|supply)[ :]{0,3}(?:dc)? ?\d{1,2}(?:[.,]\d)? ?v ?\/ ?$/;
const resting =
  /\b(?:idle|stand-?by|no[- ]load|sleep|quiescent|at rest|leerlauf\w*|ruhestrom|[àa] vide|au repos|en reposo|sin carga|a vuoto|a riposo|em repouso|nullast|bezczynn\w*|tomgång\w*)\b/;
const peak =
  /\b(?:peaks?|max(?:i|imum|imal\w*)?|m[aá]xim\w+|massim\w+|bursts?|in-?rush|start-?up|switch-?on|pull-?in|stall(?:ed|ing)?|(?:b?locked|blockiert)|surge|einschalt\w*|anlauf\w*|spitzen?\w*|en pointe|pico|picco|szczyt\w*|piek\w*|spets\w*)\b/;

const figure = /(?<![\d.,])(\d{1,4}(?:[.,]\d{1,3})?) ?(ma|milliamp(?:ere)?s?|a|mw|w)(?:mps?|mperes?|atts?)?\b(?!h)/g;
const voltsBehind = new RegExp(
  `^ ?(?:\\( ?)?(?:max )?(?:@|at|à|bei|bij|sous|przy|при|vid|ved|con|a|/|x|\\() ?${N} ?${V}\\b(?! ?(?:-|to)\\b)`,
);
const voltsBefore = new RegExp(`(?<![\\d.,]|[-–] ?|\\bto )${N} ?${V}[ ,:/(@]{1,3}$`);
/** "Draw (12 V input): 240 mA", "| Draw at 12 V | 240 mA |": the volts of a whole line, which stand in its label. */
const voltsInLabel = new RegExp(
  `(?:^|\\n)[^\\n:\\d]{0,40}(?<![\\d.,]|[-–] ?|\\bto )${N} ?${V}\\b[^\\n:\\d]{0,20}[:|][^\\n]{0,160}$`,
);
const several = 'leds?|lights?|pixels?|servos?|motors?|channels?';
const howMany = new RegExp(`\\b(\\d{1,3}|${countWords}) ?x? ?(?:rgb |micro |mini |digital )?(?:${several})\\b`);
const eachBehind = new RegExp(`^ ?(?:per|each|/) ?(?:${several})|^ ?each\\b`);
const eachBefore = new RegExp(
  `\\b(?:each|per|every|je|pro|par|por|cada|chaque|ogni) ?(?:${several})(?:[^,;.\\n\\d]{0,16}|(?!.*\\b(?:total|together|all)\\b)(?:[^.;\\n]|\\.\\d){0,40})$`,
);

/** "max. 5 W" is one sentence. */
const shortened = /\b(max|min|typ|avg|approx|ca|cont)\. /g;

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
  const words = /^[^,;\n.\d(/]{0,16}/.exec(after)![0];
  return /^\d{1,4}(?:[.,]\d{1,3})? ?(?:m?a|m?w)\b/.test(after.slice(words.length)) ? '' : words;
}

/** What is said of a figure next to it; where nothing is, what was said of those before it in the sentence: "stall 0.9 A (6 V) / 1.3 A (8.4 V)". */
function kindOf(before: string, after: string): Said['kind'] {
  const pieces = before
    .split(/;|\. |\n/)
    .at(-1)!
    .split(/(?=[,/(])/);
  const own = pieces.at(-1)!;
  if (asRating.test(before)) return 'resting';
  const said = kindIn(own) ?? kindIn(wordsBehind(after.replace(voltsBehind, '')));
  if (said !== null || saysWords.test(own)) return said ?? 'running';
  return kindIn(pieces.findLast((piece) => saysWords.test(piece)) ?? '') ?? 'running';
}

const saysWords = /(?<!\p{L})(?!m?[aw]h?\b|v(?:dc)?\b|dc\b)\p{L}{2}/u;

function kindIn(words: string): Said['kind'] | null {
  if (resting.test(words) || mustGive.test(words)) return 'resting';
  return peak.test(words) ? 'peak' : null;
}

/** What one figure of a page says, with what stands around it; null where it is none that the part draws, or not enough is said. */
function figureSays(found: RegExpExecArray, t: string, least: number | null, only: number | null): Said | null {
  const end = found.index + found[0].length;
  const before = t.slice(Math.max(0, found.index - 48), found.index).replace(shortened, '$1 ');
  const after = t.slice(end, end + 48);
  const unit = found[2]!.replace(/^milliamp.*/, 'ma');
  const watts = unit.endsWith('w');
  if (givenOut.test(before) || thenOut.test(after)) return null;
  if (gives.test(t) && !takesIn.test(before)) return null;
  if (
    watts &&
    (onAir.test(before) ||
      /^ ?(?:peak )?(?:optical|laser|eirp|rf|radiated)\b/.test(after) ||
      /(?:@|\bat) ?$/.test(before))
  )
    return null;
  if (unit === 'mw' && !calledDraw.test(before)) return null;
  const onLine = voltsInLabel.exec(t.slice(Math.max(0, found.index - 240), found.index))?.[1];
  const volts = voltsBehind.exec(after)?.[1] ?? voltsBefore.exec(before)?.[1] ?? onLine;
  const at = volts === undefined ? only : num(volts);
  const value = valueOf(found[1]!, unit) * Number(/(?<![\d.,])(\d{1,3}) ?[x*] ?$/.exec(before)?.[1] ?? 1);
  const each = eachBehind.test(after) || eachBefore.test(before);
  const amps = (watts ? value / (at ?? least ?? Number.NaN) : value) * (each ? countOf(howMany.exec(t)?.[1]) : 1);
  if (!Number.isFinite(amps) || amps === 0) return null;
  return {
    amps: Math.round(amps * 1000) / 1000,
    atVolts: watts ? (at ?? least) : at,
    kind: kindOf(before, after),
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
  const typical = most('running') ?? most('resting');
  return {
    typicalAmps: typical?.amps ?? null,
    peakAmps: most('peak')?.amps ?? null,
    atVolts: typical?.atVolts ?? null,
  };
}
