import { counted, list, num } from '../../quantity/spelled';
import type { FrameSays, HolesMeet } from '../../rungs/says/frame-says';
import type { WordsOf } from './words-of';

const meets: Record<HolesMeet, string> = {
  'holes meet': 'the holes meet',
  'isolators take it up': 'the patterns differ by half a millimetre: soft isolators take it up',
  'pattern unsaid': 'nobody says what pattern the board has',
  'holes apart': 'the holes do not meet',
  'screw unsaid': 'nobody says what screw the holes take',
  'loose screws': 'the holes meet; M2 screws sit loose in M3 holes and want isolators or washers',
  'screws too thick': "the frame's M3 screws do not pass M2 holes",
};

const hangsOnRange = 'whether it goes in hangs on a figure that is only known as a range.';

export const frameWords: WordsOf<FrameSays> = {
  'taped between standoffs': () => 'The board has no holes and the frame has standoffs: it is taped down between them.',
  'taped to a tray': ({ holesStayEmpty }) =>
    `The frame has a tray and no holes: the board is taped down${holesStayEmpty ? ', and the holes of the board stay empty' : ''}.`,
  'holes on the frame': ({ offered, has, meet }) => `The frame takes ${offered}; the board has ${has}: ${meets[meet]}.`,
  'stands on': ({ upper, lower, by }) =>
    ({
      'same holes': `${upper} stands on ${lower} by the same holes.`,
      unsaid: `Whether ${upper} stands on ${lower} is open: nobody says the hole pattern of both.`,
      "the frame's holes": `The holes of ${upper} do not meet those of ${lower}: it goes on holes of the frame's own, if there is room beside the other.`,
      tape: `The holes of ${upper} meet neither those of ${lower} nor the frame's: it is taped down.`,
    })[by],
  'in the bay': ({ bayMm, member, boardMm, airMm, turned, overMm }, state) => {
    const air = airMm === 0 ? 'no air is left.' : `only ${num(airMm)} mm of air is left.`;
    const why = {
      holds: `${num(airMm)} mm of air is left.`,
      strained: turned
        ? `${turned === 'for its holes' ? 'its holes meet' : 'it goes in'} only turned by 90 degrees: set the yaw offset.`
        : air,
      unknown: Number.isFinite(airMm) ? hangsOnRange : 'nobody says how large the board is.',
      breaks: `it is ${num(overMm)} mm too large.`,
    }[state];
    return `The bay is ${num(bayMm[0])} x ${num(bayMm[1])} mm, ${member ?? 'the board'} ${num(boardMm[0])} x ${num(boardMm[1])} mm: ${why}`;
  },
  'height of the bay': ({ bayMm, stackMm: h, lines }, state) => {
    const sum = lines.map((l) => `${l.what}: ${num(l.mm)}`).join(' + ');
    const stack = h.low === h.high ? `${num(h.high)} mm` : `${num(h.low)} to ${num(h.high)} mm`;
    const room = bayMm - h.high;
    const left = bayMm - lines.reduce((mm, l) => mm + l.mm, 0);
    const why = {
      holds: `the stack ${stack} (${sum}): ${num(room)} mm is left.`,
      strained: `the stack ${stack} (${sum}): ${room === 0 ? 'nothing' : `only ${num(room)} mm`} is left.`,
      unknown: Number.isFinite(h.high)
        ? `the stack ${stack} (${sum}): ${hangsOnRange}`
        : `and nobody says how high the board builds. ${num(left)} mm is left for it${sum && ` (${sum})`}.`,
      breaks: `the stack ${stack} (${sum}): it stands ${num(h.low - bayMm)} mm too high.`,
    }[state];
    return `The bay is ${num(bayMm)} mm high, ${why}`;
  },
  'USB reach': ({ side, comesTo, openSides, yawOffset }) => {
    const openings = openSides.join(', ') || 'no side';
    if (side && comesTo && openSides.includes(comesTo)) {
      const turned =
        yawOffset === 0
          ? ''
          : ` The board lies with its arrow at ${yawOffset} degrees: set a yaw offset of ${yawOffset}.`;
      return `The USB plug comes to the ${comesTo}, where the frame is open.${turned}`;
    }
    return side
      ? `The USB plug is on the ${side}, the frame is open at: ${openings}. The board comes out to be plugged in.`
      : `Nobody says on which side the USB plug is, the frame is open at: ${openings}. The board may have to come out to be plugged in.`;
  },
  'button behind a closed side': ({ comesTo }) =>
    `The button comes to the ${comesTo}, where the frame is closed: the board comes out to press it.`,
  'cables behind a closed side': ({ comeTo }) =>
    `Cables leave at the ${list(comeTo)}, where the frame is closed: they bend round the edge.`,
  'pads out of reach': ({ labels }) =>
    `${counted(labels.length, 'pad')} (${list(labels.slice(0, 4))}${labels.length > 4 ? ' ...' : ''}) cannot be reached once the board is mounted: solder them first.`,
};
