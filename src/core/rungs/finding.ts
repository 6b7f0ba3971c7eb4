import type { Ground } from '../quantity/ground';
import type { Truth } from '../quantity/truth';
import type { Advice } from './says/advice';
import type { Says } from './says/says';

export { rungNames, type RungName } from '../trade/rungs';
/** 1 Frame to 10 Comforts, in the order in which a careful buyer would stop bothering. */
export type RungNumber = 1 | 2 | 3 | 4 | 5 | 6 | 7 | 8 | 9 | 10;

export type RungState = 'holds' | 'strained' | 'unknown' | 'breaks';

/** What a finding is about, in the words of the trade; it stays the same however its sentence is worded. */
export const findingCodes = [
  'unknown figures',
  'nothing new',
  'left out',
  'cannot be wired',
  'esc channels',
  'esc not named',
  'regulator input',
  'pack plug',
  'pack amps',
  'cruise current',
  'full throttle',
  'motors',
  'motor pads',
  'capacitor',
  'pack leads',
  'mounting',
  'outline',
  'height',
  'usb reach',
  'button reach',
  'cables',
  'underside',
  'stacking',
  'harness line',
  'two sources',
  'pack line',
  'sensor twice',
  'current sensing',
  'current sensor',
  'take-off mass',
  'usb on the desk',
  'esc on the board',
  'motor outputs',
  'esc cells',
  'esc harness',
  'a figure in doubt',
  'serial ports',
  'wired another way',
  'link',
  'signal',
  'supply',
  'load reason',
  'bridge to set',
  'rail load',
  'own supply',
  'full pack',
  'empty pack',
  'plug pin',
  'wire too thin',
  'wire loses volts',
  'price',
  'long chain',
  'light draw',
  'wish',
  'processor',
  'circuit disagrees',
  'set aside',
  'not worked out',
] as const;
export type FindingCode = (typeof findingCodes)[number];

export interface Finding {
  rung: RungNumber;
  state: RungState;
  code: FindingCode;
  /** The part, pad or limit it is about. */
  about: string;
  /** What it says, as a code with its figures: `sentenceOf` in `words/` makes a sentence of it. */
  says: Says;
  needed?: string;
  given?: string;
  /** (given - needed) / needed, where both are numbers: 0.1 is a tenth to spare. */
  margin?: number;
  grounds: Ground[];
  /** What would help. */
  fix?: Advice;
  /** Of a set, the id of the member that it is about. */
  member?: string;
  /** How much a wish counts among the wishes, 0 to 5. */
  counts?: number;
}

const order: RungState[] = ['holds', 'strained', 'unknown', 'breaks'];

export function worst(states: Iterable<RungState>): RungState {
  let result: RungState = 'holds';
  for (const s of states) if (order.indexOf(s) > order.indexOf(result)) result = s;
  return result;
}

/** The state of a check that either holds or breaks. */
export function stateOf(truth: Truth): RungState {
  if (truth === 'yes') return 'holds';
  if (truth === 'no') return 'breaks';
  return 'unknown';
}

/** The state of a check with a margin: below the comfort share it holds, but strained. */
export function stateWithin(truth: Truth, margin: number | undefined, comfort: number): RungState {
  const state = stateOf(truth);
  return state === 'holds' && margin !== undefined && margin < comfort ? 'strained' : state;
}

/** (given - needed) / needed for the worst ends; undefined where an end is not known. */
export function marginOf(given: number, needed: number): number | undefined {
  if (!Number.isFinite(given) || !Number.isFinite(needed) || needed <= 0) return undefined;
  return (given - needed) / needed;
}
