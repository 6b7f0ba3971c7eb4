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
  [/\b(?:dip ?switch|slide ?switch|toggle|switch)\b/, 'switch'],
  [/\b(?:jumper (?:cap|plug)|pin jumper|jumper)\b/, 'jumper'],
  [/\b(?:solder ?(?:bridge|pads?|jumper|blob)|bridge|pads? (?:to bridge|bridged)|solder(?:ing)?)\b/, 'solder bridge'],
];
const solder = /\bsolder/;
const choice =
  /\b(?:select(?:ed|s|able|or)?|choos(?:e|es|able)|switch(?:ed|es|able)?|set(?:s|ting)? to|bridg(?:e|ing)|jumper|bridge|solder (?:pads?|blob)|either)\b/;
const PACK = '(?:v?bat(?:t(?:ery)?)?|pack)';
const ONE = `(?:\\d{1,2}(?:[.,]\\d)? ?v?|${PACK})`;
/** Behind a position: that it is delivered so. */
const MARK = '(?: ?\\(?(?:default|factory|as delivered)\\)?)?';
const list = new RegExp(
  `(?<![\\d.,a-z])${ONE}${MARK}(?: ?(?:/|or|,|and|\\||,? ?(?:switchable|selectable|changeable) to) ?${ONE}${MARK}){1,3}(?![\\d.,]*\\d| ?(?:mm|a\\b|g\\b|s\\b))`,
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
    const small = withoutMarkup(line).text;
    if (!choice.test(small)) continue;
    const bridge = bridgeIn(small);
    if (bridge) found.push({ ...bridge, quote: line.trim().slice(0, 200) });
  }
  return found.slice(0, 6);
}

function bridgeIn(line: string): Omit<BridgeRead, 'quote'> | null {
  const lists = [...line.matchAll(list)].map((m) => ({ text: m[0], positions: positionsOf(m[0]) }));
  const best = lists.filter((l) => l.positions.length >= 2 && /v|bat|pack/.test(l.text));
  const most = best.sort((a, b) => b.positions.length - a.positions.length)[0] ?? equals(line);
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
  const each = [...line.matchAll(new RegExp(`= ?(${ONE})(?![\\w.])`, 'g'))];
  const positions = positionsOf(each.map((m) => m[1]).join('/'));
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
    .replace(/\(?(?:default|factory|as delivered)\)?/g, '')
    .split(/\/|,? ?\b(?:switchable|selectable|changeable) to\b|,|\||\bor\b|\band\b/)
    .map(positionOf);
  return each.includes(null) ? [] : [...new Set(each.flatMap((p) => p ?? []))];
}

const said = `(\\d{1,2}(?:[.,]\\d)?(?= ?v)|${PACK})`;
const saidBefore = new RegExp(
  `\\b(?:defaults? ?(?:is|to|:|setting:?)?|factory(?: set(?:ting)?)?(?: to|:)?|delivered (?:on|at|as|with)|set at the factory to) ?${said}`,
);
const saidBehind = new RegExp(`${said} ?v?(?: is| as)?(?: the)? ?[(,]? ?(?:by )?(?:default|factory|as delivered)`);

/** "default 9 V", "9 V (default)", "factory set to 5 V", "5 V as delivered". */
function factoryIn(line: string, positions: readonly (number | 'pack')[]): number | 'pack' | null {
  const word = saidBefore.exec(line)?.[1] ?? saidBehind.exec(line)?.[1];
  const position = word === undefined ? null : positionOf(word);
  return position !== null && positions.includes(position) ? position : null;
}
