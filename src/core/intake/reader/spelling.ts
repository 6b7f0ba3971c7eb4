import { slips } from '../../trade/slips';
import { plain } from './plain';
import { num } from './rules/rule';
import { replaced, type Script } from './script';

const typos: Record<string, string> = {
  mouting: 'mounting',
  mountng: 'mounting',
  weigth: 'weight',
  wieght: 'weight',
  curent: 'current',
  recieve: 'receive',
  recieve_list: 'receive list',
  lnput: 'input',
  vlotage: 'voltage',
  voltge: 'voltage',
  sceen: 'screen',
  heigth: 'height',
  lenght: 'length',
  widht: 'width',
  memmory: 'memory',
  controler: 'controller',
};
const misspelt = new RegExp(`\\b(?:${Object.keys(typos).join('|')})\\b`, 'g');

/** Words of the trade that no other English word is like, and how many letters may be wrong in them. */
const unmistakable = Object.entries({
  barometer: 2,
  continuous: 1,
  dimensions: 1,
  processor: 1,
  regulator: 1,
  blackbox: 1,
});
/** "baromter", "continous": the word that is meant; undefined where it is none of those, or one of them as it stands. */
function meantBy(word: string): string | undefined {
  const known = unmistakable.some(([right]) => word === right || word === `${right}s`);
  return known
    ? undefined
    : unmistakable.find(([right, most]) => word[0] === right[0] && slips(word, right, most) <= most)?.[0];
}

/** The sign that a page writes by its number: "&#10003;" is a tick. */
function byNumber(name: string): string {
  if (!name.startsWith('#')) return ' ';
  const sign = plain(String.fromCharCode(name[1] === 'x' ? parseInt(name.slice(2), 16) : Number(name.slice(1))));
  return /[\x20-\x7e✓✗]/.test(sign) ? sign : ' ';
}

/** `<bec volts="5" amps="3"/>`: what stands in a tag's attributes. */
function attributesSaid(script: Script): Script {
  return replaced(
    script,
    /<([a-z][a-z0-9_]{1,20})((?: [a-z_]{1,16}="[^"<>\n]{0,30}"){1,6}) ?\/>/g,
    ([tag, attributes]) => {
      const said = new Map([...attributes!.matchAll(/ ([a-z_]+)="([^"]*)"/g)].map((m) => [m[1]!, m[2]!]));
      const [min, max, volts, amps] = ['min', 'max', 'volts', 'amps'].map((name) => said.get(name));
      if (tag === 'cells' && min && max) return `\ncells: ${min}-${max}s\n`;
      if (volts && amps) return `\nbec: ${volts} v ${amps} a\n`;
      const named = (name: string) => (/^(?:pitch|pattern|spacing)$/.test(name) ? 'hole pattern' : `${tag} ${name}`);
      return [...said].map(([name, value]) => `\n${name === 'screw' ? name : named(name)}: ${value}\n`).join('');
    },
  );
}

const fromWord = '\\b(?:d[ae]|desde|entre|od|v[oa]n|från|fra) ';
const supplyWord =
  '\\b(?:aliment|tensi|tens[ãa]o|volta[jg])\\p{L}*[^\\n\\d]{0,24}|\\b(?:entrada|ingresso)[^\\n\\d]{0,24}';
const betweenVolts = new RegExp(
  `(?:${fromWord})?(?<![\\d.,] ?)(\\d{1,2}(?:[.,]\\d{1,2})?)( ?v)? (?:à|tot|do|až|til|till|hasta|até|fino a|jusqu'à|(?<=(?:${fromWord}|${supplyWord})\\d{1,2}(?:[.,]\\d{1,2})?(?: ?v)? )a) (\\d{1,2}(?:[.,]\\d{1,2})?)(?= ?v(?:olts?|dc)?(?![\\p{L}\\d]))`,
  'gu',
);

/** Words run together with figures, known misspellings, marks of pages and of forums: what an eye reads over. */
export function asMeant(script: Script): Script {
  let s = replaced(script, /\p{L}\p{M}+/gu, ([], { text }) => text.normalize('NFC'));
  // What ends every line of a page says nothing: spaces, a full stop behind a figure.
  s = replaced(s, /(?<=[a-z0-9)])[.;]?[ \t]{1,200}(?=\n|$)|(?<=[a-z0-9)])[.;](?=\n|$)/g, () => '');
  s = replaced(
    s,
    /&(nbsp|amp|times|deg|plusmn|ndash|mdash|quot|lt|gt|check|cross|#\d{1,5}|#x[\da-f]{1,4});/g,
    ([name]) =>
      ({ amp: '&', times: 'x', ndash: '-', mdash: '-', quot: '"', lt: '<', gt: '>', check: '✓', cross: '✗' })[name!] ??
      byNumber(name!),
  );
  s = replaced(s, /<\/t[dh]>[ \t]{0,8}<t[dh]\b[^>\n]{0,200}>/g, () => ' | ');
  s = replaced(
    s,
    /(?:<(?:br|\/?(?:li|p|tr|div|h\d|ul|ol|dl|table|td|th|dd|dt))\b[^>\n]{0,200}>[ \t]{0,8}){1,12}/g,
    () => '\n',
  );
  // "[x] F722  [ ] F405"; "( ) with barometer  (x) without".
  s = replaced(s, /\[( |x)\](?=[ \t])/g, ([tick]) => `(${tick})`);
  s = replaced(
    s,
    /\( \)[ \t]{0,3}with(?: an?)? ([a-z]{3,12})[ \t]{1,6}\(x\)[ \t]{0,3}without\b/g,
    ([name]) => `${name}: no`,
  );
  s = replaced(s, /\[\/?(?:b|i|u|list|\*|size|color|url|img|h\d|table|tr|td)(?:=[^\]\n]{0,80})?\]/g, ([], { text }) =>
    /^\[\/?(?:b|i|u|color|size)/.test(text) ? ' ' : '\n',
  );
  // "baro?" and on the next line "bo: nope".
  s = replaced(
    s,
    /\?[ \t]{0,3}\n[ \t>]{0,3}(?:[a-z][a-z0-9_]{0,14}: ?)?(?=(?:no|nope|nah|yes|yep|yeah|sorry|unfortunately|sadly|nein|nej|nee|nei|non|ja|oui|si|leider)\b)/g,
    () => '? ',
  );
  // "[Overlay] none"
  s = replaced(s, /(?<=^|\n)\[([a-z][a-z ]{2,18})\][ \t]{1,8}(?=\S)/g, ([name]) => `${name}: `);
  s = replaced(s, /\busart(?= ?\d)/g, () => 'uart');
  // "Uart 4 (4)", and below "(4) wired inside": marks of footnotes.
  if (/(?:^|\n)\(1\) [^\n]*\n\(2\) /.test(s.text))
    s = replaced(s, /(?<=[\da-z]) \([1-9]\)(?=[ \t]*(?:\n|$))/g, () => '');
  // Marks of footnotes: "burst current(2)", "16.8 g(4)".
  s = replaced(s, /(?<=[a-z])\(\d\)(?=[ \t:.,;|]|$|\n)|(?:^|(?<=\n))\(\d\)(?= )/g, () => ' ');
  // "grown from 8 MB to 16 MB"
  s = replaced(
    s,
    /\b(?:grown|grew|gone|went|raised|increased|lifted|upped|up|changed|lowered|reduced|down) from \d{1,3}(?:[.,]\d{1,3})?( ?(?:a|mb|g|mm))? to (?=\d{1,3}(?:[.,]\d{1,3})? ?(?:a|mb|g|mm)\b)/g,
    () => '',
  );
  // A kind of chip, no "neither ... nor".
  s = replaced(s, /\bnor(?= flash\b)/g, () => 'spi');
  // "UARTs: 5 -> 6": what was, and what is now. Of volts and cells an arrow may be a range.
  s = replaced(
    s,
    /(?<![\d.,-] ?)\d{1,3}(?:[.,]\d{1,3})?( ?(?:a|mb|g|mm))? ?(?:->|=>|→|➜|⇒) ?(?=\d{1,3}(?:[.,]\d{1,3})?\1(?![\d.,]|\d| ?[vs]\b))/g,
    () => '',
  );
  // Keys of data: "esc_amps: 45".
  s = replaced(
    s,
    /(?<=^|\n)[ \t"]{0,6}esc[_ ](amps|current|continuous|burst|peak)(?:_amps)?"?: ?(\d{1,3}),?(?=\n|$)/g,
    ([of, amps]) => `${/burst|peak/.test(of!) ? 'burst' : 'esc'} current: ${amps} a`,
  );
  // "The number of UARTs is: 7"
  s = replaced(s, /(?<=\b(?:is|are|gives|has|of)) ?:(?= ?[\da-z])/g, () => '');
  // "Der 5-V-Regler"; "| uarts || 6".
  s = replaced(s, /(?<=\b\d{1,2})-v(?:olts?)?(?=-| )/g, () => ' v');
  s = replaced(s, /\|\|/g, () => '|');
  s = replaced(s, /(?<= )&(?= )/g, () => 'and');
  s = replaced(s, /\b4 ?-?(?:in|en|w|em|i)-? ?1\b/g, () => '4in1');
  // "5V0" is 5.0 V.
  s = replaced(s, /\b(\d{1,2})v(\d)(?=[ :,;|)/]|$|\n)(?! ?a\b|,\d)/g, ([v, tenth]) => `${v}.${tenth} v`);
  // Under the heading of absolute limits "input" is the most that it stands.
  s = replaced(
    s,
    /\babsolute max[^\n]{0,30}\n(?:[^\n]{0,80}\n){0,4}?(?=(?:input|supply)(?: voltage)?[ \t:.|]{1,80}\d)/g,
    (_, { start, end }) => [{ start, end }, 'max '],
  );
  // "da 7 a 26 V", "od 7 do 26 V": a range. A lone "a" may be amperes, unless the words before it are of such a language.
  s = replaced(s, betweenVolts, ([low, unit, high]) =>
    num(low) < num(high) ? `${low}${unit ?? ''}-${high}` : undefined,
  );
  // "el de 5 V da 2 A", "60 A i 10 sekunder"
  // "65 A, less than 10 s"
  s = replaced(
    s,
    /(?<=\d ?a(?:mps?)?,? )(?:for )?(?:less than|under|below|(?:no|not) (?:more|longer) than)(?= \d{1,3} ?s(?:ec\w*)?\b)/g,
    () => 'for',
  );
  // "5 V a 2 A": at, in the languages of the south.
  s = replaced(s, /(?<=\d ?v(?:olts?|dc)? )a(?= \d{1,2}(?:[.,]\d{1,2})? ?m?a\b)/g, () => '@');
  s = replaced(s, /(?<=\d ?v )(?:da|dà|donne|gibt|daje|ger|gir)(?= \d)/g, () => 'gives');
  s = replaced(
    s,
    /(?<=\d ?(?:a|amp\p{L}{0,5}) )(?:i|pendant|durante|per|für|przez|gedurende|por)(?= \d{1,2} ?(?:s|秒|se[kcg]\p{L}{0,6})(?!\p{L}))/gu,
    () => 'for',
  );
  s = replaced(s, /\besc:(?:n|en)\b/g, () => 'esc');
  s = replaced(s, /\b(?:four|4)[ -]in[ -](?:one|1)\b/g, () => '4in1');
  s = replaced(
    s,
    /(?<=\b(?:sd|card)[a-z -]{0,10}),? (?:instead|in place) of (?:the |a )?(?:flash|log)/g,
    () => ', no flash',
  );
  // As a reader of print takes them.
  s = replaced(s, /(?<=\d ?)v(?=regulator|bec|out)/g, () => 'v ');
  s = replaced(
    s,
    /(?<=\d ?)(?:volts?|amp(?:s|[eèé]res?|[eè]rios?|er|era|erów|ера?)?)(?![a-z\d]| ?-?hours?)/g,
    ([], { text }) => text[0],
  );
  s = replaced(s, /(?<=\d ?)g(?:rams?|rammes?|rs?|ms?)(?![a-z\d])/g, () => 'g');
  s = replaced(
    s,
    /(?<=\d ?)m(?:(?:ega)?bytes?|egs?)\b|(?<=\b(?:8|16|32|64|128|256|512) ?)m(?=[ ]?(?:$|[\n,;|/)]| flash| blackbox))/g,
    () => 'mb',
  );
  s = replaced(s, /(?<=\d ?g) ?\(\d{1,2}(?:[.,]\d{1,3})? ?oz\.?\)/g, () => '');
  // "5 VDC", "9 V DC", "3 ADC": every figure of a board is one of direct current.
  s = replaced(s, /(?<=\d ?)(v|a) ?d\.?c\.?(?![a-z\d])/g, ([unit]) => unit);
  s = replaced(s, /\bdc(?=\d)/g, () => 'dc ');
  s = replaced(s, /(?<=[:|][ \t]{0,8})w\/o\b/g, () => 'without');
  s = replaced(s, /(?<=\bserial ports?) \(uarts?\)/g, () => '');
  // "38 / 38 / 8 mm"
  s = replaced(
    s,
    /\b(\d{2}(?:[.,]\d{1,2})?) ?\/ ?(\d{2}(?:[.,]\d{1,2})?) ?\/ ?(\d{1,2}(?:[.,]\d{1,2})?)(?= ?mm\b)/g,
    ([l, w, h]) => `${l} x ${w} x ${h}`,
  );
  // "2S LiPo to 6S LiPo max"
  s = replaced(
    s,
    /(?<=\b(?:[2-9]|1[0-4]) ?s) ?(?:li-?po(?:ly)?|li-?ion)(?: batter(?:y|ies)| packs?)?(?![a-z])|(?<=\b1 ?s) ?(?:li-?po|li-?ion)(?= ?(?:-|to\b|or\b|up to\b|and\b|bis\b|a\b|à\b))/g,
    () => '',
  );
  // "5 V * 2 A"
  s = replaced(s, /(?<=\d ?v) ?x ?(?=\d{1,2}(?:\.\d)? ?a\b)/g, () => ' ');
  s = replaced(s, /\bblack boxe?s?\b/g, () => 'blackbox');
  s = replaced(s, /\b0sd\b/g, () => 'osd');
  s = replaced(s, /\btyp-?c\b/g, () => 'type c');
  s = replaced(s, /\buart's/g, () => 'uarts');
  s = replaced(s, /\bserial (?:lines|links|channels)\b/g, () => 'serial ports');
  // "<uarts>5</uarts>": a data file's own marks are its labels.
  s = replaced(s, /<([a-z][a-z0-9_]{1,20})(?: [^>\n]{0,60})?>(?=[^<\n]{1,60}<\/)/g, ([name]) => `\n${name}: `);
  s = attributesSaid(s);
  s = replaced(s, /<\/?[a-z][a-z0-9_]{0,20}(?: [^>\n]{0,60})?\/?>/g, () => ' ');
  // "8 .2 g", "6 . 4 g", "m 2"
  s = replaced(s, /(?<=\b\d{1,3}) \. (?=\d{1,2} ?(?:g|mm|v|a)\b)/g, () => '.');
  s = replaced(s, /(?<=\b(?:mm|holes?|screws?)[ ,:]{1,2}m) (?=[23]\b)/g, () => '');
  s = replaced(s, /(?<=\b\d{1,3}) (?=[.,]\d{1,2} ?(?:g|mm|v|a)\b)/g, () => '');
  s = replaced(s, misspelt, ([], { text }) => typos[text]);
  s = replaced(s, /\b[bcdpr][a-z]{6,11}\b/g, ([], { text }) => meantBy(text));
  // "4 rather than 8 uarts", "16 not 128 mb": the other figure is of another board.
  s = replaced(
    s,
    /(?<=\b\d{1,3}) ?,? (?:rather than|instead of|and not|not) \d{1,3}(?= ?(?:uarts?|serial|mb|g|mm|a|v|s|cells?)\b)/g,
    () => '',
  );
  // "37.2 (l) x 36.8 (w) x 8.0 (h) mm", "l53 w36 h15.4 mm"
  s = replaced(s, /(?<=\d) ?(?:mm ?)?\((?:l|w|h|length|width|height)\)(?= ?(?:x|by|mm|,|$|\n))/g, () => '');
  s = replaced(
    s,
    /\bl ?(\d{2}(?:\.\d)?) ?(?:mm)?[, x]{1,3}w ?(\d{2}(?:\.\d)?) ?(?:mm)?(?:[, x]{1,3}h ?(\d{1,2}(?:\.\d)?))? ?mm\b/g,
    ([l, w, h]) => `size: ${l} x ${w}${h ? ` x ${h}` : ''} mm`,
  );
  // "length / width: 37.0 / 37.0 mm"
  s = replaced(
    s,
    /\blength ?[/x] ?width(?: ?[/x] ?height)?[ \t]{0,3}[:.|]{1,60}[ \t]{0,3}(\d{2,3}(?:\.\d{1,2})?) ?[/x] ?(\d{2,3}(?:\.\d{1,2})?)(?: ?[/x] ?(\d{1,2}(?:\.\d{1,2})?))? ?mm\b/g,
    ([l, w, h]) => `size: ${l} x ${w}${h ? ` x ${h}` : ''} mm`,
  );
  // "length 36.4, width 36.2, height 8.3 (all mm)"
  s = replaced(
    s,
    /\b(length|width|height|thickness|thickest point)[ :]{1,2}(\d{1,2}(?:\.\d{1,2})?)(?=[, ][^\n]{0,80}\b(?:all|in) mm\b)/g,
    ([name, n]) => `${name!.startsWith('thick') ? 'height' : name} ${n} mm`,
  );
  // "3O.5" as a scanner reads it.
  s = replaced(s, /(?<=\d)o(?=[.,]?\d)/g, () => '0');
  // "2l.5": a figure of which a digit is not sure is none.
  s = replaced(s, /\d{1,3}l[.,]\d{1,2}/g, () => ' ');
  s = replaced(
    s,
    /\b(bec|input|esc|holes?|usb|osd|lipo|size|weight|burst|mass|flash|baro(?:meter)?)(?=\d|type|onboard|micro)/g,
    ([word]) => `${word} `,
  );
  s = replaced(
    s,
    /(\d ?(?:a|v|mm|g|mb|ma))(?=(?:continuous|constant|cont|burst|peak|blackbox|flash|bec)\b|(?:continuous|constant|burst|peak)[,(/])/g,
    ([figure]) => `${figure} `,
  );
  s = replaced(s, /(\d v?\d? ?[av])(?=(?:\d{1,2}(?:\.\d)? ?a)\b)/g, ([figure]) => `${figure} `);
  s = replaced(s, /[≤<] ?(?=\d{1,3} ?s\b)/g, () => '');
  // Tolerances: the figure stands before them.
  s = replaced(s, /(?<=\d ?(?:v|g|mm|a)) ?(?:±|\+\/-) ?\d{1,3}(?:[.,]\d{1,3})? ?(?:v|g|mm|a|%)(?![a-z])/g, () => '');
  return replaced(s, /(?<=\d) ?(?:±|\+\/-) ?\d{1,3}(?:[.,]\d{1,3})?(?: ?%)?/g, () => '');
}
