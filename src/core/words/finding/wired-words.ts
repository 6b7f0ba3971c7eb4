import { railWords } from '../rail-words';
import { capital, counted, list, num, uncapital } from '../../quantity/spelled';
import type { WiredSays } from '../../rungs/says/wired-says';
import { linkWords } from '../link-words';
import { reasonWords } from '../reason-words';
import { onlySpare, type WordsOf } from './words-of';

type Linked = Extract<WiredSays, { code: 'link' | 'signal' }>;

const onWhat = ({ part, link, on }: Linked) => `${part}: ${uncapital(linkWords(link))} on ${on}`;

export const wiredWords: WordsOf<WiredSays> = {
  'serial ports': ({ ports, usable, used, free, released }) =>
    `${usable} of ${counted(ports, 'port')} can be used: ${used} taken, ${free} left free.${released.length > 0 ? ` ${released.map((r) => `${r.what}: ${r.lost}`).join('. ')}.` : ''}`,
  'wired another way': ({ part, mode, lost }) => `${part} is wired by "${mode}": ${list(lost)}.`,
  link: (says) => {
    const open = says.open.length > 0 ? [list(says.open.map(reasonWords))] : [];
    return `${[onWhat(says), ...says.lost.map(reasonWords), ...open].join('; ')}.`;
  },
  signal: (says) => `${onWhat(says)}; ${list([...new Set(says.reasons.map(reasonWords))])}.`,
  supply: ({ part, reasons, leftPercent }) =>
    `${part}: ${reasons.map(reasonWords).join('; ')}${leftPercent === null ? '' : `; only ${leftPercent} % is left to its limits`}.`,
  'load hangs on': ({ reason }) => `${capital(reasonWords(reason))}.`,
  'set the bridge': ({ bridge, position }) => `Set ${bridge} to ${position}, before anything is powered.`,
  'rail load': (s, state) => {
    const own = s.ownMa > 0 ? `, less ${num(s.ownMa / 1000, 2)} A for the board itself` : '';
    let derate = '';
    if (s.byHeat) derate = ` (a linear regulator: more would burn too many watts on the full pack${own})`;
    else if (s.share < 1) derate = ` (${num((s.printedMa + s.ownMa) / 1000, 2)} A x ${num(s.share * 100, 0)} %${own})`;
    const least = s.unsaid.length > 0;
    return `${list(s.parts)} ${s.parts.length === 1 ? 'draws' : 'together draw'} ${least ? 'at least ' : ''}${num(s.typicalMa / 1000, 2)} A, ${num(s.peakMa / 1000, 2)} A at peak; ${railWords(s.rail)} may carry ${num(s.usableMa / 1000, 2)} A${derate}${s.intoReserve ? ': the peak goes into the reserve' : onlySpare(state, s.free)}${least ? `; nobody says what ${list(s.unsaid)} draws` : ''}.`;
  },
};
