import { freeId } from '../../records/new-board';
import type { Board } from '../../records/board';
import { harnessLine } from '../../trade/harness-line';
import { padPrint } from './pad-print';

/** The order of the pins of one plug, as a page gives it. */
export interface PinOrder {
  /** What the page calls the plug. */
  label: string;
  family: string | null;
  pins: string[];
  /** Its pins are those of the harness between controller and ESC. */
  harness: boolean;
  start: number;
  end: number;
}

const PLUG =
  '\\b(?:harness|plug|connector|socket|header|pin ?out|pin order|cable|jst|port \\(?\\d{1,2}[ -]?pins?|j\\d{1,2}|\\w{0,12}(?:stecker|buchse)|connecteur|conector|connettore)\\b';
const named = new RegExp(`^[ \\t*-]{0,6}([^\\n:]{0,60}${PLUG}[^\\n:]{0,40}):[ \\t]{0,4}([^\\n]{5,160})$`, 'i');
const families = /\b(SH|GH|PH|XH|ZH|JST[- ]?(?:SH|GH|PH|XH|ZH)|MX)(?= ?\d?\.?\d*|\b)/i;

const headed = new RegExp(`^[ \\t*#-]{0,6}([^\\n:|]{0,60}${PLUG}[^\\n:|]{0,40}):?[ \\t*]*$`, 'i');
const pinSaid = /\bpin (\d{1,2})(?: is| carries|:| ?=| -)? ([a-z0-9+_-]{1,10})(?=[ ,;.)]|$)/gi;
const numberedPin =
  /^[ \t|*-]{0,6}(?:pin ?)?(\d{1,2})[ \t]{0,3}[|.:)=-]?[ \t]{0,8}[*`]{0,2}([^\s|`*(][^|\n(`*]{0,20}?)[*`]{0,2}[ \t]*(?:[|(–-].*)?$/i;

/** Plugs of a page whose pins are listed: "Harness from left to right: BAT, GND, CUR, TLM, M4, M3, M2, M1", "J3: 1=GND 2=5V", or a name and numbered lines below it. */
export function readPinOrders(text: string): PinOrder[] {
  const orders: PinOrder[] = [];
  const lines = text.split('\n');
  let at = 0;
  lines.forEach((line, i) => {
    const [, label, list] = line.length <= 260 ? (named.exec(line) ?? []) : [];
    const heading = line.length <= 120 ? headed.exec(line)?.[1] : undefined;
    const order =
      (label && list && (orderOf(label, pinsIn(list)) ?? orderOf(label, pinsIn(list.split(/[;.] /)[0]!)))) ||
      (heading && orderOf(heading, pinsBelow(lines, i + 1))) ||
      (line.length <= 260 && orderOf(plugNamed.exec(line)?.[0] ?? 'Plug', pinsSaid(line)));
    if (order) orders.push({ ...order, start: at, end: at + line.length });
    at += line.length + 1;
  });
  return orders.slice(0, 24);
}

const plugNamed = new RegExp(`(?:[a-z0-9-]{1,12} )?${PLUG}`, 'i');

/** "Pin 1 is GND, pin 2 VBAT": counted from one in a sentence. */
function pinsSaid(line: string): string[] {
  const all = [...line.matchAll(pinSaid)];
  return all.every(([, n], i) => Number(n) === i + 1) ? all.map(([, , name]) => name!) : [];
}

function pinsIn(said: string): string[] {
  // "VCC (5V)" is one pin.
  const list = said.replace(/ ?\((?!\d{1,2}\))[^()]{1,24}\)/g, '').replace(/(?<=\d) = ?(?=\S)/g, '=');
  return list
    .split(!/[,/|;]|\d=|\s-\s/.test(list) ? /\s+/ : /[,/|;]|\s-\s|\s{2,}|\s(?=\d{1,2}=)|\s(?=\S+\s*(?:[,/|]|$))/)
    .map((p) =>
      p
        .trim()
        .replace(/^\d{1,2}(?:[.)=:]\s*|\s+)(?=\S)/, '')
        .replace(/[.]$/, ''),
    )
    .filter((p) => p !== '');
}

/** "1 VBAT", "Pin 2: GND", "| 3 | CUR |": numbered from one, line after line. */
function pinsBelow(lines: readonly string[], from: number): string[] {
  const pins: string[] = [];
  for (const line of lines.slice(from, from + 30)) {
    const [, n, name] = line.length <= 120 ? (numberedPin.exec(line) ?? []) : [];
    if (n !== undefined && Number(n) === pins.length + 1) pins.push(name!.trim());
    else if (pins.length > 0) break;
  }
  return pins;
}

/** Null where they are no pins. */
function orderOf(label: string, pins: string[]): Omit<PinOrder, 'start' | 'end'> | null {
  const lines = pins.filter((p) => harnessLine(p));
  const known = pins.filter((p) => harnessLine(p) ?? padPrint(p) ?? (/^(?:nc|n\/c|-)$/i.test(p) || null));
  if (pins.length < 3 || pins.length > 24 || known.length < pins.length * 0.8) return null;
  return {
    label: label.replaceAll('*', '').trim().slice(0, 40),
    family: families.exec(label)?.[1]?.toUpperCase() ?? null,
    pins: pins.map((p) => p.slice(0, 40)),
    harness: lines.length >= pins.length * 0.8 && pins.filter((p) => harnessLine(p)?.startsWith('motor')).length >= 3,
  };
}

/** The board with a plug of this order; the one of the harness stands at the board's own end of it. */
export function withPinOrder(board: Board, { label, family, pins, harness }: PinOrder): Board {
  if (harness) {
    const ends = board.harness ?? { controllerPins: [], escPins: [] };
    return { ...board, harness: board.kind === 'esc' ? { ...ends, escPins: pins } : { ...ends, controllerPins: pins } };
  }
  const pad = (name: string) => board.pads.find((p) => p.label.toUpperCase() === name.toUpperCase())?.id;
  const plug = {
    id: freeId('plug', board.plugs),
    label,
    family: family ?? 'unknown',
    pins: pins.map((name) => {
      const at = pad(name);
      return at ? { name, pad: at } : { name };
    }),
  };
  return { ...board, plugs: [...board.plugs, plug] };
}
