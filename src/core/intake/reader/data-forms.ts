import { replaced, type Script } from './script';
import { isLabel } from './field-labels';
import { remarks } from './tables';

/** Lines like `"UARTs": 6` or `mass_g: 4.6`: at least three of them make a data file of a text. */
const keyed = /(?:^|[\n,{;|])[ \t]{0,12}"?[a-z][a-z0-9_ ]{0,24}"?[ \t]{0,3}[:=]/g;

const unitCodes: Record<string, string> = { grm: 'g', kgm: 'kg', onz: 'oz', mmt: 'mm', cmt: 'cm', vlt: 'v', amp: 'a' };

/** A text that is JSON, YAML or key=value as lines of "label: value". */
export function asLabels(file: Script): Script {
  const script = replaced(
    file,
    /"(?:related|similar|recommended|accessories|also|upsell|others)[a-z_ ]{0,16}"[ \t]{0,3}:[ \t\n]{0,3}\[[^\]]{0,4000}\]/g,
    () => ' ',
  );
  const keys = script.text.match(keyed)?.length ?? 0;
  const data = /[{}]/.test(script.text)
    ? keys >= 3
    : /\b[a-z]+_(?:mm|g|count|mb|used|min|max)\b|^[a-z0-9]+=[^\n]*;/m.test(script.text);
  const equals = script.text.match(/(?:^|[\n,;|])[ \t]{0,6}[a-z][a-z0-9 _]{1,20} ?= ?[^\n=|]{1,40}/g)?.length ?? 0;
  if (!data && equals < 4) return script;
  // "size_mm: [29, 29, 7]"
  let s = replaced(
    script,
    /\b(size|dimensions|outline)(?:_mm)?"?[ \t]{0,3}[:=][ \t]{0,3}\[ ?([\d.]{1,6}), ?([\d.]{1,6})(?:, ?([\d.]{1,6}))?\]/g,
    ([name, a, b, c]) => `${name}: ${a} x ${b}${c ? ` x ${c}` : ''} mm`,
  );
  s = replaced(
    s,
    /\b(?:uarts?|ports?|serial)[_ ](?:used|taken|in[_ ]use)"?[ \t]{0,3}[:=][ \t]{0,3}\[ ?(\d)((?:, ?\d){0,6})\]/g,
    ([first, rest]) => [first, ...(rest?.match(/\d/g) ?? [])].map((n) => `uart${n} taken by`).join('; '),
  );
  // {"name": "UARTs", "value": "5"}
  s = replaced(
    s,
    /"(?:label|name|key|title|property|attribute)"[ \t]{0,3}:[ \t]{0,3}"([^"\n]{1,40})"[ \t]{0,3},[ \t\n]{0,12}(?:"[a-z@]{1,20}"[ \t]{0,3}:[ \t]{0,3}"[^"\n]{0,40}"[ \t]{0,3},[ \t\n]{0,12})?"(?:value|text|content)"[ \t]{0,3}:[ \t]{0,3}"?([^"\n}]{1,60})"?/g,
    ([name, v]) => `"${name}": "${v}"`,
  );
  // {"value": 7.5, "unitCode": "GRM"}: units by their codes of trade (UN/CEFACT Recommendation 20, from memory).
  s = replaced(
    s,
    /\{[ \t\n]{0,12}(?:"@?type"[ \t]{0,3}:[ \t]{0,3}"[a-z]{1,24}"[ \t]{0,3},[ \t\n]{0,12})?"value"[ \t]{0,3}:[ \t]{0,3}"?([\d.]{1,8})"?[ \t]{0,3},[ \t\n]{0,12}"unit(?:code|text)"[ \t]{0,3}:[ \t]{0,3}"([a-z]{1,4})"[ \t\n]{0,12}\}/g,
    ([value, unit]) => `"${value} ${unitCodes[unit!] ?? unit}"`,
  );
  // "{volts: 5, amps: 2}"
  s = replaced(
    s,
    /"?volts?"?[ \t]{0,3}[:=][ \t]{0,3}([\d.]{1,5}),[ \t]{0,3}"?amps?"?[ \t]{0,3}[:=][ \t]{0,3}([\d.]{1,5})/g,
    ([v, a]) => `${v} v ${a} a`,
  );
  // "volts: {min: 4.5, max: 5.5}", "amps: {typical: 0.2, peak: 0.6}"
  s = replaced(
    s,
    /\b(volts?|voltage)"?[ \t]{0,3}[:=][ \t]{0,3}\{[ \t]{0,3}"?min"?[ \t]{0,3}[:=][ \t]{0,3}([\d.]{1,5}),[ \t]{0,3}"?max"?[ \t]{0,3}[:=][ \t]{0,3}([\d.]{1,5})[ \t]{0,3}\}/g,
    ([name, low, high]) => `${name}: ${low}-${high} v`,
  );
  s = replaced(
    s,
    /\b(amps?|current)"?[ \t]{0,3}[:=][ \t]{0,3}\{[ \t]{0,3}"?typ(?:ical)?"?[ \t]{0,3}[:=][ \t]{0,3}([\d.]{1,5}),[ \t]{0,3}"?(?:peak|max)"?[ \t]{0,3}[:=][ \t]{0,3}([\d.]{1,5})[ \t]{0,3}\}/g,
    ([name, typical, peak]) => `${name}: ${typical} a typical, ${peak} a peak`,
  );
  s = replaced(
    s,
    /(?<![a-z])cells"?[ \t]{0,3}[:=][ \t]{0,3}\{?[ \t]{0,3}"?min"?[ \t]{0,3}[:=][ \t]{0,3}(\d{1,2}),[ \t]{0,3}"?max"?[ \t]{0,3}[:=][ \t]{0,3}(\d{1,2})/g,
    ([a, b]) => `cells: ${a}s-${b}s`,
  );
  s = replaced(
    s,
    /\bburst[_ ](?:s|secs?|seconds?)"?[ \t]{0,3}[:=][ \t]{0,3}"?(\d{1,3})"?(?=[\s,;}]|$)/g,
    ([n]) => `\nburst time: ${n} s\n`,
  );
  s = replaced(
    s,
    /"?\b([a-z][a-z0-9_ ]{0,24}?)(?:[_ ](mm|g|a|v|mb))"?[ \t]{0,3}[:=][ \t]{0,3}"?([\d.,]{0,6}\d)"?(?=[\s,;}]|$)/g,
    ([name, unit, v]) => `${name!.replaceAll('_', ' ')}: ${v} ${unit}`,
  );
  s = replaced(
    s,
    /"?\bbec[_ ]?(\d{1,2})v?"?[ \t]{0,3}[:=][ \t]{0,3}"?([\d.]{1,5}) ?a\b/g,
    ([v, a]) => `bec ${v}v ${a}a`,
  );
  s = replaced(s, /(?<=[a-z0-9])_(?=[a-z])/g, () => ' ');
  s = replaced(s, /[ \t]{0,3}=[ \t]{0,3}|"[ \t]{0,2}:[ \t]{0,2}"?/g, () => ': ');
  s = replaced(s, /["{}[\]]/g, () => ' ');
  s = replaced(
    s,
    /\b(baro(?:meter)?|osd|overlay|blackbox)[ ]{0,3}:[ ]{0,3}(0|1|true|false)\b/g,
    ([name, said]) => `${name}: ${said === '1' || said === 'true' ? 'yes' : 'no'}`,
  );
  return replaced(s, /[,;](?=[ \t]{0,12}[a-z][a-z0-9 ]{0,24}[ \t]{0,3}:)/g, () => '\n');
}

const yesOrNo =
  /^[ \t]{0,4}(?:yes|no|none|not? [a-z]{4,12}|✓|✗|-|fitted)[ \t]{0,3}(?:\([^)\n]{0,30}\))?[ \t]{0,3}(?:\n|$)/;

/** A sheet with a column of remarks, of which many a row has none: it is read as a table. */
const remarked = new RegExp(
  `(?<=^|\\n)[^\\t\\n]{1,30}\\t[^\\t\\n]{1,30}\\t${remarks.source.slice(1, -1)}(?:\\n[^\\t\\n]{1,60}\\t[^\\n]{0,200}){1,60}`,
  'g',
);

/** "- UARTs – 6", "UARTs<tab>six": a line that begins with the name of a figure, as "uarts: 6". */
export function listed(script: Script): Script {
  const s = replaced(script, /(?<=^|\n)[ \t]{0,8}[-+*>][ \t]{1,4}(?=[a-z0-9])/g, () => '');
  const sheets = [...s.text.matchAll(remarked)].map((m) => ({ from: m.index, to: m.index + m[0].length }));
  return replaced(
    s,
    /(?<=^|\n)[ \t]{0,8}([a-z][a-z0-9 ()/]{1,28}?)(?:[ \t]{1,3}-[ \t]{1,3}(?=[^\s-])|(?:\t| {3})[ \t]{0,30}(?=[^\s|:](?:(?!\t| {3}|\|)[^\n])*(?:\n|$)))/g,
    ([name], { end }) =>
      isLabel(name!) && !sheets.some(({ from, to }) => from < end && end < to) ? `${name}: ` : undefined,
  );
}

const oneBoard = /^(?:esc|fc|flight controller|stack|aio) ?:$/;

/** "Processor" on one line and "F722" on the next, as pages come when they are copied: put together. Further values that stand below follow on lines of their own. */
export function labelsJoined(script: Script): Script {
  const lines = script.text.matchAll(/(?<=^|\n)([^a-z0-9\n|]{0,6})([a-z0-9][^\n]{1,30})\n(?=[^\n]{1,200}(?:\n|$))/g);
  const named = [...lines]
    .map((m) => ({ words: m[2]!.trimEnd(), end: m.index + m[0].length }))
    .filter(({ words }) => isLabel(words) || oneBoard.test(words));
  // With a colon behind it it is a label for certain.
  const bare = named.filter(({ words }) => !words.endsWith(':') && !/\d/.test(words));
  // One such line may be a heading; three are a form. What is answered on the next line by a mere yes or no is no heading.
  const joined = bare.length < 3 ? bare.filter(({ end }) => yesOrNo.test(script.text.slice(end, end + 40))) : bare;
  const ends = new Set([...joined, ...named.filter(({ words }) => words.endsWith(':'))].map(({ end }) => end));
  return replaced(script, /[ \t]{0,8}:?[ \t]{0,8}\n/g, (_, { end }) => (ends.has(end) ? ': ' : undefined));
}

/** "Processor ........ F722" and "Barometer | yes" as "label: value". */
export function leadersShort(script: Script): Script {
  const units = replaced(
    script,
    /(?<=^|\n|[;,] ?)([a-z][a-z /]{1,24}?) ?[[(](s|mm|g|a|v|mb|-)[\])](?:[ \t]{0,16}[:|][ \t]{0,16}|[ \t]{1,24}(?=\d))([^\n;]{1,40}?)(?=[;\n]|$)/g,
    ([name, unit, value]) => `${name}: ${value}${unit === '-' ? '' : ` ${unit}`}`,
  );
  const rails = replaced(
    units,
    /(?<=^|\n)[a-z][a-z0-9 ]{1,20} ?\(v ?\/ ?a\)[ \t]{0,16}[:|\t ][ \t]{0,16}(\d{1,2}(?:[.,]\d)?) ?\/ ?(\d{1,2}(?:[.,]\d)?)(?=[ \t]*(?:\n|$))/g,
    ([volts, amps]) => `bec ${volts} v ${amps} a`,
  );
  const short = replaced(rails, /(?<=[a-z]{3})\.{3}(?=[a-z\d])/g, () => ': ');
  return replaced(short, /[ \t]?(?:\.{4,80}|_{4,80}|(?<![|:-][ \t]?)-{4,80}(?![ \t]?[|:-]))[ \t]?(?=\S)/g, () => ': ');
}

const figure = '(\\d[\\d.,]{0,5}(?: ?x ?\\d[\\d.,]{0,5})?)(?: ?mm)?';
const oneOrOther = new RegExp(`\\b${figure} or ${figure} ?\\?(?=[^\\n?]{0,16}\\b(?:\\1|\\2)(?!\\d))`, 'g');

/** "Q: Is it 20x20 or 25x25?" and behind it or on the next line "A: 25x25": asked and answered on one line; of what is asked only the answer counts. */
export function answersJoined(script: Script): Script {
  const s = replaced(script, /\?[ \t]{0,3}[\n ][ \t>]{0,3}a(?:ns(?:wer)?)?\d{0,2}[:.)][ \t]{0,3}/g, () => '? ');
  return replaced(s, oneOrOther, () => '? ');
}

/** "UART/I2C/SPI: 7 / 1 / 1", "5V/9V BEC: 3A / 2A": as many names as values, each with its own. */
export function labelsPaired(script: Script): Script {
  // "Input voltage (min / typ / max): 9 / 14.8 / 26 V"
  const ends = replaced(
    script,
    /(?<=^|\n)([a-z][a-z ]{2,20}?) ?\(min ?\/ ?(?:(?:typ|nom)\.? ?\/ ?)?max\)[ \t]{0,4}:[ \t]{0,4}([\d.,]{1,5}) ?(?:v|s)? ?\/ ?(?:[\d.,]{1,5} ?(?:v|s)? ?\/ ?)?([\d.,]{1,5})(?= ?[vs]?\b)/g,
    ([name, low, high]) => `${name}: ${low} - ${high}`,
  );
  return replaced(
    ends,
    /(?<=^|\n)([a-z0-9][a-z0-9 ]{0,16}(?: ?\/ ?[a-z0-9][a-z0-9 ]{0,16}){1,3})[ \t]{0,4}:[ \t]{0,4}([^\n:/]{1,24}(?: ?\/ ?[^\n:/]{1,24}){1,3})(?=\n|$)/g,
    ([labels, figures]) => {
      const [names, values] = [labels!, figures!].map((s) => s.split('/').map((part) => part.trim()));
      if (names!.length !== values!.length) return undefined;
      if (/^cells? min$/.test(names![0]!)) return `cells: ${values![0]}-${values![1]}s`;
      const volts = names!.map((name) => /^(\d{1,2}(?:\.\d)?) ?v\b/.exec(name)?.[1]);
      const unit = /[a-z]+$/.exec(values!.at(-1)!)?.[0] ?? '';
      if (volts.every(Boolean))
        return volts
          .map((v, i) => `bec ${v} v ${values![i]}${/[a-z]$/.test(values![i]!) ? '' : ` ${unit}`}`)
          .join('\n');
      return names!.some(isLabel) ? names!.map((name, i) => `${name}: ${values![i]}`).join('\n') : undefined;
    },
  );
}

/** "( ) add  (x) none": what is ticked is what the page says, the rest is a choice. */
export function tickedOnly(script: Script): Script {
  const s = replaced(script, /\( \)[^(\n]{0,60}/g, () => ' ');
  return replaced(s, /\(x\)[ \t]{0,4}/g, () => 'option ');
}

/** "5 V rail current: 2.0 A" as what a regulator gives. */
export function railsSaid(script: Script): Script {
  return replaced(
    script,
    /(?<=^|\n|[;,] ?)(\d{1,2}(?:\.\d{1,2})?) ?v (?:rail |output |bec )?(?:output )?(?:current|load) ?: ?(\d{1,2}(?:[.,]\d{1,2})?) ?a\b/g,
    ([volts, amps]) => `bec ${volts} v ${amps} a`,
  );
}
