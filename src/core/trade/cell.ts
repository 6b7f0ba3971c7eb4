import { interval, isKnown, type Interval, type NumberFigure } from '../quantity/figure';

/**
 * Volts of one cell. Full 4.20 V (4.35 V high-voltage), land at about 3.5 V, 3.3 V the floor under load:
 * common practice of the trade, no source. Li-ion is flown lower: 2.8 V under load, common practice, no source. Lithium iron phosphate 3.65 V full, 2.5 V empty
 * (data sheets of cells, from memory).
 */
export const cellVolts = {
  lipo: { full: 4.2, nominal: 3.7, land: 3.5, floor: 3.3 },
  'high-voltage lipo': { full: 4.35, nominal: 3.8, land: 3.5, floor: 3.3 },
  'li-ion': { full: 4.2, nominal: 3.6, land: 3.1, floor: 2.8 },
  'lithium iron phosphate': { full: 3.65, nominal: 3.2, land: 2.9, floor: 2.5 },
} as const;

/**
 * What a tired cell comes to, where nobody has measured it: watt-hours a gram of pack, and milliohm times amp-hours (a fresh cell has about half of these).
 * Common practice of the trade, no source.
 */
const tiredCell = {
  lipo: { wattHoursPerGram: 0.14, milliohmAh: 15 },
  'high-voltage lipo': { wattHoursPerGram: 0.15, milliohmAh: 15 },
  'li-ion': { wattHoursPerGram: 0.22, milliohmAh: 60 },
  'lithium iron phosphate': { wattHoursPerGram: 0.1, milliohmAh: 30 },
} as const;

export const chemistries = Object.keys(cellVolts) as (keyof typeof cellVolts)[];

/** What a pack's volts depend on. */
export interface Pack {
  cells: number;
  chemistry: keyof typeof cellVolts;
  cellMilliohm?: NumberFigure | undefined;
  massG: NumberFigure;
}

/** The whole swing of a pack in volts: from the floor under load up to full. */
export function packSwing(pack: Pick<Pack, 'cells' | 'chemistry'>): Interval {
  const cell = cellVolts[pack.chemistry];
  return { low: round(pack.cells * cell.floor), high: round(pack.cells * cell.full) };
}

/**
 * The lowest volts of a pack that so many amps are drawn of, behind leads and a plug of so many ohm out and back: the floor, or less where it sags further from landing
 * charge (land volts less resistance x current; Ohm). Between its ends lies what is not known: a cell that nobody has measured may be a tired one, and amps have two ends.
 */
export function lowestVolts(pack: Pack, amps: Interval, leadOhm = 0): Interval {
  const cell = cellVolts[pack.chemistry];
  const ohm = cellOhm(pack);
  const at = (cellOhms: number, drawn: number) =>
    round(
      Math.max(0, Math.min(pack.cells * cell.floor, pack.cells * (cell.land - cellOhms * drawn) - leadOhm * drawn)),
    );
  return { low: at(ohm.high, amps.high), high: at(ohm.low, amps.low) };
}

/**
 * Resistance of one cell in ohm, as said; where nobody says, up to that of a tired cell of the pack's mass. Nothing is taken for a pack of unknown mass: no board
 * passes Weight with it.
 */
export function cellOhm(pack: Pack): Interval {
  if (isKnown(pack.cellMilliohm)) {
    const { low, high } = interval(pack.cellMilliohm);
    return { low: low / 1000, high: high / 1000 };
  }
  if (!isKnown(pack.massG)) return { low: 0, high: 0 };
  const tired = tiredCell[pack.chemistry];
  const ampHours =
    (interval(pack.massG).low * tired.wattHoursPerGram) / (pack.cells * cellVolts[pack.chemistry].nominal);
  return { low: 0, high: tired.milliohmAh / Math.max(0.01, ampHours) / 1000 };
}

/**
 * What a pack of so many grams holds, in Ah: from what a tired one holds to what a good new one does (about two fifths more a gram; data sheets of packs, from memory).
 */
export function estimatedAmpHours({
  cells,
  chemistry,
  gramsLow,
  gramsHigh,
}: Pick<Pack, 'cells' | 'chemistry'> & { gramsLow: number; gramsHigh: number }): Interval {
  const perGram = tiredCell[chemistry].wattHoursPerGram / (cells * cellVolts[chemistry].nominal);
  return { low: gramsLow * perGram, high: 1.4 * gramsHigh * perGram };
}

/** Full pack of a plain lithium-polymer pack of so many cells, in volts: what a board's "3-6S" is read as. */
export function fullVolts(cells: number): number {
  return round(cells * cellVolts.lipo.full);
}

/**
 * What stands so many cells, in volts: plain ones for certain, high-voltage ones perhaps. A page that says "4S" seldom says of which, and both are flown on such boards (common
 * practice, no source): for a high-voltage pack only a limit in volts decides.
 */
export function voltsOfCells({ low, high }: Interval): Interval {
  return { low: fullVolts(low), high: round(high * cellVolts['high-voltage lipo'].full) };
}

function round(volts: number): number {
  return Math.round(volts * 1000) / 1000;
}
