import { replaced, type Script } from './script';

const small =
  'zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen'.split(
    ' ',
  );
const tens = 'twenty thirty forty fifty sixty seventy eighty ninety'.split(' ');
/** One to ninety as they are written. */
export const numberWords: ReadonlyMap<string, number> = new Map([
  ...small.map((w, i) => [w, i] as const),
  ...tens.map((w, i) => [w, (i + 2) * 10] as const),
]);
/** Two to eight in other languages: so many serial ports. */
const elsewhere = new Map<string, number>(
  [
    'zwei drei vier fünf sechs sieben acht',
    'deux trois quatre cinq six sept huit',
    'dos tres cuatro cinco seis siete ocho',
    'due tre quattro cinque sei sette otto',
    'twee drie vier vijf zes zeven acht',
    'dwa trzy cztery pięć sześć siedem osiem',
    'två tre fyra fem sex sju åtta',
    'dois três quatro cinco seis sete oito',
  ].flatMap((words) => words.split(' ').map((w, i) => [w, i + 2] as const)),
);
const word = [...small, ...tens].join('|');
const units =
  'volts?|(?:milli)?amps?|(?:milli)?amperes?|grams?|mb|megs?|milli ?met(?:re|er)s?|megabytes?|cells?|seconds?|mm|uarts?|(?:serial|hardware) ?(?:uarts?|ports?)|ports?|bursts?|s';
const written = new RegExp(
  `\\b(?!one (?:uart|port)\\b)(${word})(?:[ -](${small.slice(1, 10).join('|')}))?( hundred)?( and a half)?\\b(?=(?: (?:free|spare|hardware|usable|real|full|true|lithium(?: polymer| ion)?))?(?:[ -](?:x )?(?:${units})\\b|(?: (?:to|up to|or|by) (?:${word})(?:[ -](?:${small.slice(1, 10).join('|')}))?(?: and a half)?[ -](?:lithium )?(?:${units})\\b)|(?: to \\d{1,2} ?s\\b)|(?: for (?:${word}|\\d{1,3}) s)))`,
  'g',
);
const labelled = new RegExp(
  `\\b((?:uarts?(?: ports?)?|serial ports?|cells)[ \\t]{0,3}[:?-][ \\t]{0,3})(${small.slice(1, 13).join('|')})\\b`,
  'g',
);
const cellsAsked = new RegExp(`\\b(cells[ ?:]{1,3})(${word}) to (${word})\\b`, 'g');
const decimals = new RegExp(`\\b(${word}) point (${small.slice(0, 10).join('|')})\\b`, 'g');
/** "twenty by twenty holes" */
const sides = new RegExp(`\\b(${word}) by \\1(?= (?:holes|pattern|mount|on m[23]|millimet|mm))`, 'g');
/** "How many serial ports? A: Six." */
const answered = new RegExp(
  `(?<=\\b(?:uarts?|ports?)\\?[ \\t\\n]{1,4}(?:[a-z]\\d?[:.] )?)(${small.slice(1, 13).join('|')})(?=[.,;]|[ \\t]*(?:$|\\n))`,
  'g',
);
const foreignPorts = new RegExp(`(?<!\\p{L})(${[...elsewhere.keys()].join('|')})(?= uarts?\\b)`, 'gu');

/** "five volts at one and a half amps" in digits, where a unit of the trade follows: "one of them" stays as it is. */
export function inDigits(script: Script): Script {
  let s = replaced(script, /\bhalf an? (?=(?:amp|volt|gram|milli|watt))/g, () => '0.5 ');
  s = replaced(s, decimals, ([whole, tenth]) => `${numberWords.get(whole!)}.${numberWords.get(tenth!)}`);
  s = replaced(s, foreignPorts, ([n]) => String(elsewhere.get(n!)));
  s = replaced(s, cellsAsked, ([label, a, b]) => `${label}${numberWords.get(a!)} to ${numberWords.get(b!)}`);
  s = replaced(s, labelled, ([label, n]) => `${label}${numberWords.get(n!)}`);
  s = replaced(s, answered, ([n]) => String(numberWords.get(n!)));
  s = replaced(s, sides, ([n]) => `${numberWords.get(n!)} x ${numberWords.get(n!)}`);
  return replaced(s, written, ([first, second, hundred, half]) => {
    const n =
      (numberWords.get(first!)! + (second ? numberWords.get(second)! : 0)) * (hundred ? 100 : 1) + (half ? 0.5 : 0);
    return String(n);
  });
}
