import { withoutMarkup } from '../reader/markup';
import { num } from '../reader/rules/rule';
import { asMeant } from '../reader/spelling';

/** What a page says of a regulator beside its amps. */
export interface SupplyRead {
  volts: number;
  inputVolts?: { min: number; max: number };
  type?: 'buck' | 'linear' | 'step-up';
  /** Volts of the regulator that it is fed from. */
  fedFrom?: number;
  servos?: true;
  quote: string;
}

/** Amps that several regulators carry together; no volts: all of them. */
export interface SharedRead {
  volts: number[];
  amps: number;
  quote: string;
}

export interface SuppliesRead {
  supplies: SupplyRead[];
  shared: SharedRead[];
}

const N = '(\\d{1,2}(?:[.,]\\d{1,2})?)';
const isRail = (v: number) => v >= 3 && v <= 14;
const named = /\b(?:bec|regulators?|buck|boost|step-?(?:up|down)|ldo|linear|outputs?|rails?|supply|vx|vout)\b/;
/** "5 V", and in "5/9 V" the first one too. */
const volt = new RegExp(`(?<![\\d.,])${N}(?= ?v(?:olts?)?\\b| ?/ ?\\d{1,2}(?:[.,]\\d)? ?v\\b)`, 'g');
const range = `${N}(?: ?v)? ?(?:-|to|\\.{2,3}) ?${N} ?v`;
const inputRange = new RegExp(
  `(?<!\\b(?:sense|signal|current|analog(?:ue)?) )\\b(?:input|vin|in|accepts|takes|runs (?:on|from)|fed (?:with|by|from)|works (?:on|from))(?: range| voltage| volts)?[ :(=]{1,3}${range}`,
);
const inputBehind = new RegExp(`(?<![\\d.,])${range} (?:in|input)\\b`);
const feeder = new RegExp(
  `\\b(?:(?:fed|supplied|powered|made) (?:from|by|out of)|from) (?:the )?${N} ?v(?:olts?)?\\b(?! ?(?:-|to))`,
);
const together =
  /\b(?:together|combined|altogether|in total|total(?: of)?|sum|shared?|jointly|both|all (?:outputs|rails|becs|regulators))\b/;
const amps = /\b(\d{1,4}(?:[.,]\d{1,2})?) ?(ma|a(?:mps?)?)\b/g;
const types: [RegExp, NonNullable<SupplyRead['type']>][] = [
  [/\b(?:ldo|linear)\b/, 'linear'],
  [/\b(?:boost|step(?:ped)?[- ]?up)\b/, 'step-up'],
  [/\b(?:buck|step(?:ped)?[- ]?down|switching|switch-?mode|dc[-/ ]?dc)\b/, 'buck'],
];

/**
 * Inputs, kinds and feeds of regulators, which of them is for servos, and what several carry together: line by line, as manuals have them. Lines about the pack of the whole board name no
 * regulator and give nothing. Time grows with the length of the text.
 */
export function readSupplies(text: string): SuppliesRead {
  const read: SuppliesRead = { supplies: [], shared: [] };
  for (const line of text.slice(0, 200_000).split('\n')) {
    if (line.length > 300) continue;
    // "3V3" is 3.3 V, also where amps stand behind it.
    const small = asMeant(withoutMarkup(line)).text.replace(/\b(\d)v(\d)\b/g, '$1.$2v');
    const shared = sharedIn(small);
    const quote = line.trim().slice(0, 200);
    if (shared) read.shared.push({ ...shared, quote });
    // "5 V: 2 A; 9 V: 2 A, the two together 3 A" says something of each before it says what they share.
    else if (named.test(small)) {
      const supply = supplyIn(small);
      const known = supply && read.supplies.find((s) => s.volts === supply.volts);
      if (known) Object.assign(known, { ...supply, ...known });
      else if (supply) read.supplies.push({ ...supply, quote });
    }
  }
  return { supplies: read.supplies.slice(0, 8), shared: read.shared.slice(0, 4) };
}

function sharedIn(line: string): Omit<SharedRead, 'quote'> | null {
  const word = together.exec(line);
  if (!word || /\b(?:motors?|channels?|esc|burst|servos? together)\b/.test(line)) return null;
  const volts = [...new Set([...line.matchAll(volt)].map((m) => num(m[1]!)).filter(isRail))];
  if (volts.length < 2 && !/\b(?:becs|regulators|outputs|rails)\b/.test(line)) return null;
  // The figure that stands nearest behind the word, else the nearest before it.
  const all = [...line.matchAll(amps)].map((m) => ({
    at: m.index,
    amps: m[2] === 'ma' ? num(m[1]!) / 1000 : num(m[1]!),
  }));
  const figure = all.find((a) => a.at > word.index) ?? all.at(-1);
  if (!figure || figure.amps > 20 || (all.length > 1 && /^both\b/.test(word[0]))) return null;
  return { volts: volts.length < 2 ? [] : volts, amps: figure.amps };
}

function supplyIn(line: string): Omit<SupplyRead, 'quote'> | null {
  const input = inputRange.exec(line) ?? inputBehind.exec(line);
  const from = input && { min: num(input[1]!), max: num(input[2]!) };
  const fed = feeder.exec(line);
  const rest = [input, fed].reduce((l, found) => (found ? l.replace(found[0], '') : l), line);
  const volts = [...rest.matchAll(volt)].map((m) => num(m[1]!)).filter(isRail);
  // A line of several regulators says nothing plain of any.
  if (new Set(volts).size !== 1) return null;
  const type = types.find(([word]) => word.test(line))?.[1];
  const servos = /\bservos?\b/.test(line) && !/\bservo (?:signal|outputs?|pads?)\b/.test(line);
  const said: Omit<SupplyRead, 'quote'> = {
    volts: volts[0]!,
    ...(from && from.min > 0 && from.min < from.max && from.max > volts[0]! && from.max <= 70
      ? { inputVolts: from }
      : {}),
    ...(type ? { type } : {}),
    ...(fed && isRail(num(fed[1]!)) && num(fed[1]!) > volts[0]! === (type !== 'step-up')
      ? { fedFrom: num(fed[1]!) }
      : {}),
    ...(servos ? { servos: true as const } : {}),
  };
  return Object.keys(said).length > 1 ? said : null;
}
