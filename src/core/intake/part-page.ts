import { exactly, type Origin } from '../quantity/figure';
import { protocols, type ProtocolId } from '../trade/protocol';
import type { Link, Peripheral, Supply } from '../records/peripheral';
import { replaced, type Script } from './reader/script';
import { asMeant } from './reader/spelling';
import { inEnglish } from './reader/languages';
import { inDigits } from './reader/number-words';
import { withoutMarkup } from './reader/markup';
import { drawOf, numberOf, type PartDraw } from './part-draw';
import { supplyOf, tolerancesAsRanges, type PartSupply } from './part-supply';
import { voltsOfCells } from '../trade/cell';
import { typedNumber } from './typed-number';
import { asLabels } from './reader/data-forms';
import { inLines, limitsInLines } from './reader/tables';
import { unwrapped } from './reader/wrapped';

/** What a line of a list or a page says of a part: volts, amps, grams; null where it says nothing of it. */
export interface PartPage extends PartSupply, PartDraw {
  massG: number | null;
  /** I2C. */
  address: number | null;
  protocol: ProtocolId | null;
  /** Names of the pins of its plug in their order. */
  pins: string[];
}

const mostChars = 20_000;

/** Reads the page of a part, or what a pasted line says of one: "5-36 V, 0.3 A", "300 mA at 5 V", "8 W at 12 V", "2-6S", "9 g", "I2C 0x0D". */
export function readPartPage(text: string): PartPage {
  const original = text.slice(0, mostChars);
  const small = tolerancesAsRanges(unwrapped(withoutMarkup(original), original));
  const english = withoutOthers(asLabels(inEnglish(asMeant(small))));
  const meant = thisPage.test(english.text) ? inLines(english).script : english;
  const t = beside(limitsInLines(unitsBehind(inDigits(pointsLed(meant)))).text);
  const first = (pattern: string) => new RegExp(pattern).exec(t)?.slice(1) ?? null;
  const said = supplyOf(t);
  const { minVolts, maxVolts } = said;
  const addresses = new Set([...t.matchAll(/\b0 ?x ?([0-9a-f]{2})\b(?! ?(?:or|\/))/g)].map((a) => a[1]));
  const address =
    first('\\b0 ?x ?([0-9a-f]{2}) ?\\(?(?:by )?default') ??
    first('(?:default)[^\\n]{0,12}?0 ?x ?([0-9a-f]{2})\\b') ??
    (addresses.size > 1
      ? null
      : first(
          '(?:addr|adres|direcci|indirizz|endere|\\bi ?2? ?c\\b|compass|\\bat)[^\\n]{0,16}?0 ?x ?([0-9a-f]{2})\\b',
        ));
  return {
    ...said,
    ...drawOf(t, minVolts, minVolts === maxVolts ? minVolts : null),
    massG: massIn(t),
    address: address ? parseInt(address[0]!, 16) : null,
    protocol: protocolIn(text),
    pins: pinsIn(text),
  };
}

/** The head of a table that has a column for what the page is about. */
const thisPage = /\|[^\n|]{0,60}\bthis (?:page|one|product)\b/;

/** A line about what else the shop has. */
function withoutOthers(script: Script): Script {
  return replaced(
    script,
    /(?<=^|\n)[ \t]{0,4}(?:[-*•] )?(?:recommended (?:for|with)|you may also|related|also (?:see|new|available|sold)|see also|goes with|fits with)\b[^\n]{0,300}/g,
    () => '',
  );
}

/** ".7 g" is 0.7 g. */
function pointsLed(script: Script): Script {
  return replaced(script, /(?<![\p{L}\d.,])\.(\d{1,2})(?= ?(?:g|a|v|oz)\b)/gu, ([figures]) => `0.${figures}`);
}

/** "Running current (mA)  190  230": the unit of a label behind each of its figures. */
function unitsBehind(script: Script): Script {
  return replaced(script, ofLabel, ([label, unit, figures]) => {
    const said = figures!.match(/\d+(?:[.,]\d+)?/g)!.map((f) => `${f} ${unit}`);
    return `${label}: ${said.join(', ')}`;
  });
}

const ofLabel = /^([^\n(\d]{3,40}?) ?\((m?a|v|m?w|g)\)((?:[ \t|:/]+\d{1,4}(?:[.,]\d{1,3})?){1,6})[ \t|]*$/gm;

/** A value below its label, or behind dots, next to it. */
function beside(t: string): string {
  return t.replace(/ ?\.{4,} ?/g, ': ').replace(/:[ \t]*\n(?=[^\n:]{1,60}(?:\n|$))/g, ': ');
}

const perPiece = /^ ?(?:per|each|\/) ?(?:leds?|lights?|lamps?|servos?)\b/;

/** Grams: the whole before what is just called its weight before the first of the page, and never that of a piece of it. */
function massIn(t: string): number | null {
  const figure = `(\\d{1,4}(?:[.,]\\d{1,4})?) ?(k?g|grams?|oz|ounces?)\\b(?! (?:class|servos?)\\b)`;
  const found =
    new RegExp(`\\b(?:total|net|overall|all[- ]up) (?:weight|mass)\\b[^\\n\\d]{0,16}${figure}`).exec(t) ??
    new RegExp(`(?<![\\d.,])${figure} ?(?:in total|altogether|all (?:together|up|in))\\b`).exec(t) ??
    new RegExp(`g ?\\+[^\\n=]{1,40}= ?${figure}`).exec(t) ??
    // What was weighed counts before what the page says.
    new RegExp(`(?<![\\d.,])${figure} (?:on|by) (?:my|the|our)(?: kitchen)? scales?\\b`).exec(t) ??
    new RegExp(
      `\\b(?:mine (?:is|weighs)|on (?:my|the|our)(?: kitchen)? scales?\\b[^\\n\\d]{0,24})[ :]{0,3}${figure}`,
    ).exec(t) ??
    new RegExp(
      `(?<!\\b(?:lens|cables?|antennas?|heatsink|wires?|package|parcel|gross|shipping) )\\b(?:weight|weighs|mass)\\b[^\\n\\d]{0,16}${figure}`,
    ).exec(t) ??
    // A line of its own before a figure in a title.
    new RegExp(`(?:^|\\n)[ \\t]*(?:[-*•] )?${figure}[ \\t.]*(?:\\n|$)`).exec(t) ??
    new RegExp(`(?<![\\d.,])${figure}`).exec(t);
  if (!found) return null;
  const pair = new RegExp(
    `\\b(?:front|left)\\b[ :]{1,2}${figure},? (?:and )?(?:rear|back|right)\\b[ :]{1,2}${figure}`,
  ).exec(t);
  if (pair) return Math.round(100 * (gramsOf(pair[1]!, pair[2]!) + gramsOf(pair[3]!, pair[4]!))) / 100;
  const grams = gramsOf(found[1]!, found[2]!);
  return Math.round(100 * grams * (perPiece.test(t.slice(found.index + found[0].length)) ? numberOf(t) : 1)) / 100;
}

function gramsOf(figures: string, unit: string): number {
  return typedNumber(`${figures} ${unit.replace(/^gr.*/, 'g')}`, 'g')!;
}

/** The protocol whose print the text names, the longest print first. */
function protocolIn(text: string): ProtocolId | null {
  const byLength = (Object.keys(protocols) as ProtocolId[]).sort(
    (a, b) => protocols[b].printed.length - protocols[a].printed.length,
  );
  return (
    byLength.find(
      (id) =>
        protocols[id].printed.length > 2 &&
        new RegExp(
          `(?<![a-z0-9])${protocols[id].printed.replace('.', '[. ]?').replace('MAV', 'MAV(?:Link)?')}(?![a-z0-9])`,
          'i',
        ).test(text),
    ) ?? null
  );
}

/** "Plug: GND, 5V, TX, RX": names of pins in their order. */
function pinsIn(text: string): string[] {
  const [, list] =
    /\b(?:plug|connector|pin ?out|pins|socket|cable|wires?)\b[^:\n]{0,40}:[ \t]*([^\n]{5,120})/i.exec(text) ?? [];
  const names = (list ?? '')
    .split(/[,/|;-]|\s{2,}/)
    .map((n) => n.trim())
    .filter((n) => n !== '');
  const known = names.filter((n) =>
    /^(?:gnd|ground|g|[+]?\d(?:[.]\d)?v|v\+?|vcc|vbat|bat|tx\d?|rx\d?|sda|scl|sig(?:nal)?|video|cam|osd|led|sbus|crsf|audio|nc|black|red|yellow|white|green|blue)$/i.test(
      n,
    ),
  );
  return known.length >= 3 && known.length >= names.length * 0.7 ? names.slice(0, 24).map((n) => n.slice(0, 40)) : [];
}

/** Does the page say anything that a part can take? */
export function saysSomething(page: PartPage): boolean {
  return [page.minVolts, page.maxVolts, page.typicalAmps, page.peakAmps, page.massG, page.address, page.protocol].some(
    (v) => v !== null,
  );
}

/** The part with what its page says in the places that are unknown; a figure that is known stays. */
export function withPartPage(
  part: Peripheral,
  page: PartPage,
  said: { origin: Origin; seen: string; source: string },
): Peripheral {
  const whose = { origin: said.origin, seen: said.seen, source: said.source.slice(0, 400) };
  const word = (value: number | null) => (value === null ? null : { value, ...whose });
  const mostVolts = page.mostCells ? { ...voltsOfCells(exactly(page.mostCells)), ...whose } : word(page.maxVolts);
  const unlessKnown = <T extends object>(now: T, next: T | null): T => ('unknown' in now && next ? next : now);
  const supply = (s: Supply): Supply => ({
    ...s,
    minVolts: unlessKnown(s.minVolts, word(page.minVolts)),
    maxVolts: unlessKnown(s.maxVolts, mostVolts),
    typicalAmps: unlessKnown(s.typicalAmps, word(page.typicalAmps)),
    peakAmps: unlessKnown(s.peakAmps, word(page.peakAmps)),
    ...('unknown' in s.typicalAmps && page.atVolts !== null && page.typicalAmps !== null
      ? { atVolts: page.atVolts }
      : {}),
  });
  const link = (l: Link): Link => {
    if (l.kind === 'serial' && page.protocol) return { ...l, protocol: page.protocol };
    return l.kind === 'i2c' &&
      l.address === undefined &&
      page.address !== null &&
      page.address >= 0x08 &&
      page.address <= 0x77
      ? { ...l, address: page.address }
      : l;
  };
  return {
    ...part,
    massG: unlessKnown(part.massG, word(page.massG)),
    modes: part.modes.map((m) => ({ ...m, supplies: m.supplies.map(supply), links: m.links.map(link) })),
    plugs:
      part.plugs.length === 0 && page.pins.length > 0
        ? [{ family: 'as its page says', pins: page.pins.map((name) => ({ name })) }]
        : part.plugs,
  };
}

/** What was read, in words: to be looked at before it is taken. */
export function partPageWords(page: PartPage): string {
  return [
    voltsWords(page),
    page.typicalAmps !== null &&
      `${page.typicalAmps} A${page.atVolts === null ? ', at volts that are not said' : ` at ${page.atVolts} V`}`,
    page.peakAmps !== null && `peak ${page.peakAmps} A`,
    page.massG !== null && `${page.massG} g`,
    page.address !== null && `address 0x${page.address.toString(16)}`,
    page.protocol !== null && protocols[page.protocol].says,
    page.pins.length > 0 && `plug ${page.pins.join(', ')}`,
  ]
    .filter(Boolean)
    .join('; ');
}

function voltsWords({ minVolts, maxVolts, mostCells }: PartSupply): string | null {
  if (mostCells) {
    const { low, high } = voltsOfCells(exactly(mostCells));
    const from = minVolts === null ? 'up to' : `${minVolts} to`;
    return `${from} ${low} V, of high-voltage cells perhaps ${high} V`;
  }
  if (minVolts === null) return maxVolts === null ? null : `up to ${maxVolts} V`;
  if (maxVolts === null) return `from ${minVolts} V`;
  return minVolts === maxVolts ? `${minVolts} V` : `${minVolts} to ${maxVolts} V`;
}
