import type { Bridge } from '../../records/board';
import { withoutMarkup } from '../reader/markup';

/** A bridge, jumper or switch that chooses the volts of a rail. */
export interface BridgeRead {
  /** What the page calls it. */
  label: string;
  form: Bridge['form'];
  /** What it supplies, in the page's word: "video", "servo". */
  what: string | null;
  /** Volts of each position; 'pack' for the pack itself. */
  positions: (number | 'pack')[];
  /** The position that it is delivered in, where the page says so. */
  factory: number | 'pack' | null;
  quote: string;
}

const forms: [RegExp, Bridge['form']][] = [
  [/\bjumper pads?\b|\b(?:0|zero)[ -]?(?:ohms?|ω|r)\b/, 'solder bridge'],
  [/\b(?:dip ?switch|slide ?switch|toggle|switch|sw\d)\b/, 'switch'],
  [/\b(?:jumper (?:cap|plug)|pin jumper|jumper)\b/, 'jumper'],
  [
    /\b(?:solder ?(?:bridge|pads?|jumper|blob)|bridge|pads? (?:to bridge|bridged|marked|next to|on the \w+)|solder(?:ing)?)\b/,
    'solder bridge',
  ],
];
const solder = /\bsolder/;
const choice =
  /\b(?:select(?:ed|s|able|or)?|choos(?:e|es|able)|chosen|choices?|options?|change(?:d|s)? to|switch(?:ed|es|able)?|set(?:s|ting)? to|bridg(?:e|ing)|jumper|bridge|solder (?:pads?|blob)|either|(?:jp|sb|sw|j)\d{1,2})\b/;
const PACK = '(?:v?bat(?:t(?:ery)?)?|pack)';
const ONE = `(?:\\d{1,2}(?:[.,]\\d)? ?v?|${PACK})`;
/** What is turned on and off is no choice of volts. */
const onAndOff = /\b(?:switch(?:ed|able)?|turned) (?:on and )?off\b|\bon\/off switch(?:able)?\b/g;
/** Behind a position: that it is delivered so. */
const FACTORY =
  '(?:by default|from (?:the )?factory|as (?:delivered|shipped|fitted)|default|factory|fitted|pre-?bridged|preset|delivered|shipped)';
const MARK = `(?: ?\\(?${FACTORY}\\)?| ?\\([^()]{1,20}\\))?`;
const list = new RegExp(
  `(?<![\\d.,a-z])${ONE}${MARK}(?: ?(?:/|or|,|and|\\||\\[\\d\\]|,? ?(?:switchable|selectable|changeable) to) ?${ONE}${MARK}){1,3}(?![\\d.,]*\\d| ?(?:mm|a\\b|g\\b|s\\b))`,
  'g',
);
const users = /\b(vtx|video|camera|cam|servos?|led|lights?|receiver|gps|vx)\b/;
const userWords: Record<string, string> = {
  vtx: 'video',
  cam: 'camera',
  lights: 'light',
  servos: 'servo',
  vx: 'servo',
};

/** Bridges by which a page lets one choose volts: "Solder bridge J2: 9 V or pack for the VTX (default 9 V)". Line by line; time grows with the length. */
export function readBridges(text: string): BridgeRead[] {
  const found: BridgeRead[] = [];
  for (const line of text.slice(0, 200_000).split('\n')) {
    if (line.length > 300) continue;
    const small = withoutMarkup(line).text.replaceAll('"', ' ').replace(/ {2,}/g, ' ');
    if (!choice.test(small.replace(onAndOff, ' '))) continue;
    const bridge = bridgeIn(small);
    if (bridge) found.push({ ...bridge, quote: line.trim().slice(0, 200) });
  }
  return found.slice(0, 6);
}

function bridgeIn(line: string): Omit<BridgeRead, 'quote'> | null {
  const lists = [...line.matchAll(list)].map((m) => ({ text: m[0], positions: positionsOf(m[0]) }));
  const best = lists.filter((l) => l.positions.length >= 2 && /v|bat|pack/.test(l.text));
  const most = best.sort((a, b) => b.positions.length - a.positions.length)[0] ?? equals(line) ?? apart(line);
  if (!most) return null;
  const user = users.exec(line.replace(most.text, ' '))?.[1] ?? null;
  const what = user && (userWords[user] ?? user);
  const form = forms.find(([word]) => word.test(line))?.[1] ?? 'jumper';
  const [, name, short] =
    /\b(?:jumper|bridge|switch|pads?) ?((?:jp?|sb|sw|p|b|s)?\d{1,2})\b(?! ?v|-\d)|\b((?:jp|sb|sw|j)\d{1,2})\b/.exec(
      line,
    ) ?? [];
  const called = (name ?? short)?.toUpperCase();
  return {
    label: called ?? `the ${what ?? 'supply'} ${form === 'solder bridge' ? 'bridge' : form}`,
    form: form === 'jumper' && solder.test(line) ? 'solder bridge' : form,
    what,
    positions: most.positions,
    factory: factoryIn(line, most.positions),
  };
}

/** "1-2 = 5 V, 2-3 = 9 V": what each position gives. */
function equals(line: string): { text: string; positions: (number | 'pack')[] } | undefined {
  const each = [
    ...line.matchAll(
      new RegExp(`(?:=|\\b(?:open|closed|bridged|up|down|left|right|on|off|\\d ?- ?\\d) ?:) ?(${ONE})(?![\\w.])`, 'g'),
    ),
  ];
  const positions = positionsOf(each.map((m) => m[1]).join('/'));
  return positions.length >= 2 ? { text: each[0]![0], positions } : undefined;
}

/** "The rail is 5 V; close the jumper to change to 6 V", "bridge the middle to VBAT for the pack or to 10 V": volts that stand apart. */
function apart(line: string): { text: string; positions: (number | 'pack')[] } | undefined {
  const named = new RegExp(
    `(?:\\b(?:is|gives|gets|to|at|on|for|from|of) (?:the )?)(\\d{1,2}(?:[.,]\\d)? ?v\\b|${PACK}\\b)`,
    'g',
  );
  const each = [...line.matchAll(named)];
  // "9 V instead of 5 V": what it is before comes first.
  const said = /\binstead of\b/.test(line) ? each.toReversed() : each;
  const positions = positionsOf(said.map((m) => m[1]).join('/'));
  return positions.length >= 2 ? { text: each[0]![0], positions } : undefined;
}

const packAlone = new RegExp(`^${PACK}$`);

function positionOf(word: string): number | 'pack' | null {
  if (packAlone.test(word.trim())) return 'pack';
  const [, v] = /^(\d{1,2}(?:[.,]\d)?) ?v?$/.exec(word.trim()) ?? [];
  const volts = v === undefined ? NaN : Number(v.replace(',', '.'));
  return volts >= 3 && volts <= 14 ? volts : null;
}

function positionsOf(words: string): (number | 'pack')[] {
  const each = words
    .replace(new RegExp(`\\([^()]*\\)|${FACTORY}`, 'g'), '')
    .split(/\/|,? ?\b(?:switchable|selectable|changeable) to\b|,|\||\[\d\]|\bor\b|\band\b/)
    .map(positionOf);
  return each.includes(null) ? [] : [...new Set(each.flatMap((p) => p ?? []))];
}

const said = `(\\d{1,2}(?:[.,]\\d)?(?= ?v)|${PACK})`;
const saidBefore = new RegExp(
  `\\b(?:defaults? ?(?:is|to|:|setting:?)?|factory(?: set(?:ting)?)?(?: to|:)?|(?:delivered|ships?|shipped|comes?|preset) (?:on|at|as|with|to|set to)|set at the factory to|instead of|otherwise (?:it )?(?:gets|is|has|gives)) ?${said}`,
);
const saidBehind = new RegExp(`${said} ?v?(?: is)?(?: the)? ?[(,]? ?${FACTORY}`);
/** "(default)" some words behind the volts. */
const marked = new RegExp(`\\(${FACTORY}\\)`);
const unbridged = /\b(?:close|bridge|solder|fit|set)[^;,.]{0,40} to (?:change|switch|get|raise|set)\b/;

/** "default 9 V", "9 V (default)", "factory set to 5 V", "5 V as delivered"; of a bridge that is closed to change the volts, those that it has open. */
function factoryIn(line: string, positions: readonly (number | 'pack')[]): number | 'pack' | null {
  const mark = marked.exec(line);
  const before = mark && [...line.slice(0, mark.index).matchAll(new RegExp(said, 'g'))].at(-1)?.[1];
  const word = saidBefore.exec(line)?.[1] ?? saidBehind.exec(line)?.[1] ?? before;
  if (word === undefined || word === null) return unbridged.test(line) ? positions[0]! : null;
  const position = positionOf(word);
  return position !== null && positions.includes(position) ? position : null;
}
