import type { NumberFigure } from '../quantity/figure';
import type { Build, PlanNumber } from '../records/build';

/** Kinds of craft that a new build may begin as. */
export const startingKinds = [
  'five-inch quad',
  'seven-inch quad',
  'three-inch quad',
  'one-cell whoop',
  'wing',
] as const;
export type StartingKind = (typeof startingKinds)[number];

/** The first two questions: what flies, and how large. */
export const flyers = [
  {
    what: 'a quad',
    sizes: [
      { kind: 'three-inch quad', says: 'three-inch propellers, about 250 g' },
      { kind: 'five-inch quad', says: 'five-inch propellers, about 700 g' },
      { kind: 'seven-inch quad', says: 'seven-inch propellers, for distance' },
    ],
  },
  { what: 'a whoop', sizes: [{ kind: 'one-cell whoop', says: 'ducts and one cell, about 40 g' }] },
  { what: 'a wing', sizes: [{ kind: 'wing', says: 'one motor, two servos, about a kilogram' }] },
] as const satisfies readonly { what: string; sizes: readonly { kind: StartingKind; says: string }[] }[];

export const startingWords: Record<StartingKind, string> = {
  'five-inch quad': 'a five-inch quad',
  'seven-inch quad': 'a seven-inch quad, for distance',
  'three-inch quad': 'a three-inch quad',
  'one-cell whoop': 'a whoop on one cell',
  wing: 'a wing',
};

/** Where each of these figures is from, as it stands beside it. */
export const startingSource = 'usual for such a craft (common practice, no source): put your own in its place';
const usual = (value: number): NumberFigure => ({ value, origin: 'assumed', source: startingSource });

interface Usual {
  frame: Omit<Build['frame'], 'name' | 'standoffMm' | 'overhangMm'>;
  pack: Pick<Build['pack'], 'cells' | 'chemistry'> & { grams: number; milliohm: number };
  motors: Pick<Build['motors'], 'count' | 'cruiseAmps' | 'peakAmps' | 'peakSeconds' | 'esc'>;
  bareGrams: number;
  takeOffMassG: number;
  euros: number;
}

const square = (alongMm: number, screw: 'M2' | 'M3') => ({ alongMm, screw });

/** Each on a usual frame with usual motors: common practice of the trade, no source. */
export const crafts: Record<StartingKind, Usual> = {
  'five-inch quad': {
    frame: {
      mounts: [square(30.5, 'M3'), square(20, 'M3')],
      bayLengthMm: 44,
      bayWidthMm: 44,
      bayHeightMm: 22,
      openSides: ['left', 'right'],
    },
    pack: { cells: 6, chemistry: 'lipo', grams: 200, milliohm: 8 },
    motors: { count: 4, cruiseAmps: 6, peakAmps: 35, peakSeconds: 5, esc: 'on the board' },
    bareGrams: 380,
    takeOffMassG: 750,
    euros: 350,
  },
  'seven-inch quad': {
    frame: {
      mounts: [square(30.5, 'M3')],
      bayLengthMm: 52,
      bayWidthMm: 44,
      bayHeightMm: 26,
      openSides: ['left', 'right'],
    },
    pack: { cells: 6, chemistry: 'li-ion', grams: 420, milliohm: 12 },
    motors: { count: 4, cruiseAmps: 5, peakAmps: 28, peakSeconds: 8, esc: 'on the board' },
    bareGrams: 480,
    takeOffMassG: 1200,
    euros: 450,
  },
  'three-inch quad': {
    frame: {
      mounts: [square(20, 'M2'), square(25.5, 'M2')],
      bayLengthMm: 36,
      bayWidthMm: 36,
      bayHeightMm: 20,
      openSides: ['left', 'right'],
    },
    pack: { cells: 4, chemistry: 'lipo', grams: 75, milliohm: 14 },
    motors: { count: 4, cruiseAmps: 2.5, peakAmps: 14, peakSeconds: 5, esc: 'on the board' },
    bareGrams: 95,
    takeOffMassG: 250,
    euros: 250,
  },
  'one-cell whoop': {
    frame: {
      mounts: [square(25.5, 'M2')],
      bayLengthMm: 32,
      bayWidthMm: 32,
      bayHeightMm: 12,
      openSides: ['front', 'rear', 'left', 'right'],
    },
    pack: { cells: 1, chemistry: 'lipo', grams: 8, milliohm: 35 },
    motors: { count: 4, cruiseAmps: 0.8, peakAmps: 4, peakSeconds: 5, esc: 'on the board' },
    bareGrams: 11,
    takeOffMassG: 45,
    euros: 160,
  },
  wing: {
    frame: {
      mounts: [],
      bayLengthMm: 120,
      bayWidthMm: 48,
      bayHeightMm: 32,
      openSides: ['front', 'rear', 'left', 'right'],
    },
    pack: { cells: 4, chemistry: 'li-ion', grams: 270, milliohm: 12 },
    motors: { count: 1, cruiseAmps: 8, peakAmps: 30, peakSeconds: 20, esc: 'any' },
    bareGrams: 560,
    takeOffMassG: 1200,
    euros: 400,
  },
};

/** Nobody has said these numbers yet. */
export const usualPlan: Build['said'] = Object.fromEntries(
  (
    [
      'bay length',
      'bay width',
      'bay height',
      'pack cells',
      'cruise amps',
      'peak amps',
      'peak seconds',
      'take-off limit',
    ] satisfies PlanNumber[]
  ).map((number) => [number, { origin: 'assumed', source: startingSource }]),
);

/** What a new build of a kind begins with: every figure is said to be assumed, so that whoever reads a verdict sees what is only usual. */
export function startingCraft(kind: StartingKind): Partial<Build> {
  const { frame, pack, motors, bareGrams, takeOffMassG, euros } = crafts[kind];
  const { grams, milliohm, ...cells } = pack;
  return {
    craft: `Begun as ${startingWords[kind]}: figures that are usual for one, until you say yours.`,
    frame: { name: 'Frame', standoffMm: 0, overhangMm: 0, ...frame },
    pack: { ...cells, massG: usual(grams), cellMilliohm: usual(milliohm), leadMm: 80 },
    motors: { ...motors, signal: 'digital' },
    bareMassG: usual(bareGrams),
    limits: { takeOffMassG, budgetCents: euros * 100 },
    said: usualPlan,
  };
}
