import { interval, isUnknown, type Interval, type NumberFigure } from '../quantity/figure';

interface Ends {
  ends: readonly [number, number];
  /** Why nothing lies outside them. */
  because: string;
}

/** What a figure may be that nobody states: an unknown one decides only where a value between these ends would change the answer. */
export const plausibleEnds = {
  dropOutVolts: {
    ends: [0, 3],
    because: 'old linear regulators want 2 to 3 V (data sheets, from memory), all others less',
  },
  leastInputVolts: {
    ends: [0.7, 30],
    because: 'step-up regulators start below one volt, those for large packs at 25 to 30 (data sheets, from memory)',
  },
  mostInputVolts: {
    ends: [5, 75],
    because:
      'small regulators behind another one stand 5 to 6 V, those at the largest packs 75 (data sheets, from memory)',
  },
  ownAmps: {
    ends: [0.05, 0.3],
    because: 'a processor with its sensors and an overlay chip draws 0.1 to 0.3 A (common practice, no source)',
  },
  partCents: {
    ends: [0, 15_000],
    because: 'few parts that hang off a board cost more than 150 (shop pages, common practice, no source)',
  },
  shippingCents: {
    ends: [0, 4_000],
    because: 'few shops take more than 40 for sending a small parcel (shop pages, common practice, no source)',
  },
  efficiency: {
    ends: [0.75, 0.95],
    because: 'small step-down and step-up regulators of boards (data sheets, from memory)',
  },
} as const satisfies Record<string, Ends>;

/** Both ends of a figure; where nobody says it, the plausible ones. */
export function plausible(figure: NumberFigure | undefined, which: keyof typeof plausibleEnds): Interval {
  if (figure && !isUnknown(figure)) return interval(figure);
  const [low, high] = plausibleEnds[which].ends;
  return { low, high };
}
