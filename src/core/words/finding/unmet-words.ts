import { railWords } from '../rail-words';
import { capital, list, num } from '../../quantity/spelled';
import type { ClashSays, LoadLimit, UnmetSays } from '../../rungs/says/unmet-says';
import { usbAmps } from '../../trade/usb';
import { linkNeeds } from '../link-words';
import { reasonWords } from '../reason-words';
import type { WordsOf } from './words-of';

const clashWords: WordsOf<ClashSays> = {
  'no way': (s) => noWay(s, s.part),
  'one bridge': ({ parts, bridge }) => `${list(parts)} sit behind one bridge: no position of ${bridge} suits them all.`,
  'pads rule out': ({ parts }) =>
    `${list(parts)} cannot all be supplied and wired at once: each needs pads that rule another's out.`,
  rivals: ({ parts, over }) => `${list(parts)} cannot all be wired: ${rivalry(over)}.`,
  'too few ports': ({ parts, links, there, sense, claim }) => {
    const senses = sense === null ? '' : ` with the sense each needs${sense === 'any' ? '' : ` (${sense})`}`;
    const ports = `${capital(list(parts))} need ${links} serial port${links === 1 ? '' : 's'} between them${senses}; ${there === 1 ? '1 is' : `${there} are`} there.`;
    return claim ? `${ports} ${claimed(claim)}` : ports;
  },
  'too much load': ({ limits }) =>
    `${limits.map((l, i) => limitWords(l, i > 0 ? limits[i - 1]! : null)).join('; ')}: too little.`,
  'no supply carries': ({ parts, watts, peakWatts }) =>
    `${list(parts)} ${parts.length === 1 ? 'takes' : 'take'} ${num(watts, 1)} W, ${num(peakWatts, 1)} W at peak; no choice of supplies carries that.`,
};

export const unmetWords: WordsOf<UnmetSays> = {
  ...clashWords,
  'musts open': ({ reasons }) => {
    const open = [...new Set(reasons.map(reasonWords))];
    return `Whether every must can be wired is open: ${(open.length > 0 ? open : ['nobody states a figure that it hangs on']).join('; ')}.`;
  },
  'fails below': ({ rung }) => `What breaks at ${rung} cannot be wired here either.`,
  'left out': ({ part, priority, because }, state) => {
    if (!because)
      return `${part} (${priority}) is left out: wiring it would cost money, mass or effort, which outranks a ${priority}.`;
    // The part was named just now.
    const why =
      because.code === 'no way'
        ? noWay(because, because.part === part ? 'It' : because.part)
        : (clashWords[because.code] as (s: ClashSays, at: typeof state) => string)(because, state);
    return `${part} (${priority}) is left out. ${why}`;
  },
};

type NoWay = Extract<ClashSays, { code: 'no way' }>;

function noWay({ needs, lacks, outside, modes }: NoWay, name: string): string {
  const ways = modes > 1 ? ` None of its ${modes} ways works here.` : '';
  if (needs === null) return `${name} cannot be wired here: its links and its supply rule each other out.${ways}`;
  const supply = typeof needs === 'string';
  const said = [...new Set(lacks.map(reasonWords))];
  if (outside > 0) said.push(`${outside === 1 ? 'one other is' : `${outside} others are`} outside its range`);
  if (said.length === 0)
    said.push(supply ? 'the board has no supply pads' : 'every port is taken for good or there is none');
  const many = said.length > 3 ? `${said.slice(0, 3).join('; ')}; and ${said.length - 3} more` : said.join('; ');
  return `${name} needs ${supply ? supplies[needs] : linkNeeds(needs)}: ${many}.${ways}`;
}

const supplies = {
  'a supply in its range': 'a supply inside its range',
  'a supply that carries it': 'a supply that carries it',
} as const;

function rivalry(over: Extract<ClashSays, { code: 'rivals' }>['over']): string {
  if (over === null) return 'they compete for the same pads, outputs or inputs';
  if ('address' in over)
    return `they answer at the same address, 0x${over.address.toString(16)}, and a bus carries one of them`;
  if ('pad' in over) return `each wants ${over.pad}, which has one use at a time`;
  return `each wants outputs of timer ${over.timer}, which runs at one rate`;
}

/** The shop's count against what is free. */
function claimed({ ports, free, taken }: NonNullable<Extract<ClashSays, { code: 'too few ports' }>['claim']>): string {
  const by = taken.length > 0 ? ` (${list([...new Set(taken.map((p) => `${p.port}: ${p.by}`))])})` : '';
  return `The board claims ${ports} ports; ${free} ${free === 1 ? 'is' : 'are'} free${by}.`;
}

/** Which sum is too much. Who they are is said once. */
function limitWords(limit: LoadLimit, before: LoadLimit | null): string {
  const names = list(limit.parts);
  switch (limit.of) {
    case 'rail': {
      const [steady, may] = apart(limit.steadyMa, limit.maySteadyMa);
      const [peak, mayPeak] = apart(limit.peakMa, limit.mayPeakMa);
      const again = before?.of === 'rail' && list(before.parts) === names;
      return `${again ? 'or' : `${names} would draw`} ${steady} A of ${railWords(limit.rail)}, ${peak} A at peak; it may carry ${may} A${heldWords(limit.held)}, ${mayPeak} A for moments`;
    }
    case 'USB': {
      const own = limit.lessOwn ? ` of its ${num(usbAmps, 1)} A, after what the board itself may draw` : '';
      return `${names} would draw ${num(limit.ma / 1000, 2)} A of USB on the desk; it gives ${num(limit.givesMa / 1000, 2)} A to what must live on it${own}`;
    }
    case 'plug': {
      const way = limit.over === 'pins' ? 'out over its pins' : 'back over its ground pins';
      return `${names} would draw ${num(limit.ma / 1000, 2)} A through the ${limit.plug} plug; ${num(limit.pinMa / 1000, 2)} A go ${way}`;
    }
  }
}

function heldWords(held: Extract<LoadLimit, { of: 'rail' }>['held']): string {
  if (!held) return '';
  const own = held.ownMa > 0 ? `, after the board's own ${num(held.ownMa / 1000, 2)} A` : '';
  return held.by === 'heat'
    ? ` (a linear regulator: more turns into too much heat on the full pack${own})`
    : ` (${num(held.share * 100, 0)} % of its rating${own})`;
}

/** Two currents in A, with as many digits as tell them apart. */
function apart(oneMa: number, otherMa: number): [string, string] {
  const digits = oneMa !== otherMa && num(oneMa / 1000, 2) === num(otherMa / 1000, 2) ? 3 : 2;
  return [num(oneMa / 1000, digits), num(otherMa / 1000, digits)];
}
