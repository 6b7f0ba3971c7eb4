import { railWords } from '../rail-words';
import { counted, list, num, span } from '../../quantity/spelled';
import type { LoadSays } from '../../rungs/says/load-says';
import type { WordsOf } from './words-of';

export const loadWords: WordsOf<LoadSays> = {
  'long chain': ({ part, lights, most }) =>
    `${part} is a chain of ${lights} lights; beyond ${most} the data wire gets unsure: split it, or light fewer.`,
  'lights at full white': ({ part, lights, whiteAmps, statedAmps }) =>
    `${part}: ${lights} lights at full white take ${num(whiteAmps, 2)} A, the stated peak is ${num(statedAmps, 2)} A: keep the brightness down.`,
  'own draw': ({ rail, amps, carries }, state) =>
    `The board itself draws ${span(amps.low, amps.high, 'A', 2)} through ${railWords(rail)}, which carries ${span(carries.low, carries.high, 'A', 2)}: ${state === 'breaks' ? 'nothing is left for parts, nor enough for the board' : 'whether that is enough for the board alone hangs on a figure'}.`,
  'nothing feeds the board': ({ rail, esc, usb, drawn }) => {
    const why = esc === null ? 'it wants the 5 V of an ESC or a power board, and there is none' : `${esc} makes no 5 V`;
    const onDesk = usb ? ' It is alive on USB alone, which shows nothing of that.' : '';
    return `In flight nothing feeds ${railWords(rail)}, on which the board itself runs: ${why}${drawn ? '' : ', unless it has a supply that its record does not show'}.${onDesk}`;
  },
  'fed by the ESC': ({ esc, volts, takes }, state) => {
    const range = `${num(takes.low, 1)} to ${num(takes.high, 1)} V`;
    const who = esc ?? 'your ESC';
    if (volts === null)
      return `The board itself runs on the 5 V that an ESC gives it, and nobody says what ${who} gives: whether it runs in flight is open.`;
    const given = span(volts.low, volts.high, 'V', 2);
    if (state === 'holds')
      return `The board itself runs on what ${who} gives, ${given}: inside the ${range} that go for 5 V.`;
    return `The board itself runs on what ${who} gives, ${given}; at its 5 V pad ${range} go for 5 V: ${state === 'breaks' ? 'it would not run, or burn' : 'whether that is right hangs on a figure'}.`;
  },
  'USB on the desk': ({ amps, gives, others }) => {
    const said = others.map((d) =>
      d.amps === null ? `${d.name}, whose draw nobody says` : `${d.name} ${num(d.amps, 2)} A`,
    );
    return `On the desk all that is alive on USB would draw ${num(amps, 2)} A, and USB gives ${num(gives, 1)} A: keep dark or unplugged what need not live on it (${list(said)}).`;
  },
  'over the pins': ({ parts, amps, pins, plug, groundPins, family, ampsPerPin }) => {
    const back =
      groundPins === null
        ? 'the plug names no ground pin, so the return takes another way'
        : `back through ${counted(groundPins, 'pin')} of ground`;
    return `${list(parts)} ${parts.length === 1 ? 'draws' : 'together draw'} ${amps === null ? 'nobody says how much' : `up to ${num(amps, 2)} A`} through ${counted(pins, 'pin')} of the ${plug} plug, ${back}; ${family} pins carry ${num(ampsPerPin, 1)} A each.`;
  },
  'no wire carries it': ({ part, amps }) =>
    `${part} draws ${num(amps, 0)} A: no single wire of the table carries that; run two.`,
  'wire loses volts': ({ part, gauge, lostVolts, railVolts }) =>
    `The wire of ${gauge} AWG to ${part} loses ${num(lostVolts, 2)} V of ${num(railVolts, 1)} V out and back at its peak: take a thicker or a shorter one.`,
  'circuit disagrees': (c) =>
    `The solved circuit disagrees with the rungs (${c.scene}): ${disagrees(c)}. One of the two is an error of ours: take a reading before you buy, and tell us.`,
};

function disagrees({ how, about, found, stands }: Extract<LoadSays, { code: 'circuit disagrees' }>): string {
  switch (how) {
    case 'too few volts':
      return `only ${num(found, 2)} V arrive at ${about}, which wants ${num(stands, 2)} V`;
    case 'too many volts':
      return `${num(found, 2)} V arrive at ${about}, which stands ${num(stands, 2)} V`;
    case 'regulator overloaded':
      return `${about} gives ${num(found, 2)} A and is rated ${num(stands, 2)} A`;
    case 'usb overloaded':
      return `USB gives ${num(found, 2)} A and has ${num(stands, 2)} A`;
    case 'pin overloaded':
      return `the pins of ${about} carry ${num(found, 2)} A and stand ${num(stands, 2)} A`;
    case 'wire too hot':
      return `the wire to ${about} settles at ${num(found, 0)} C and stands ${num(stands, 0)} C`;
    case 'back-feeds':
      return `${num(found, 3)} A are driven backwards into ${about}`;
    case 'not solved':
      return 'the circuit does not come to rest';
  }
}
