import type { Pack } from '../model/build';
import { interval, isKnown, type Interval } from '../model/figure';

/**
 * Volts of one cell. Full 4.20 V (4.35 V high-voltage), land at about 3.5 V, 3.3 V the floor under load:
 * common practice of the trade, no source. Li-ion is flown lower: 2.8 V under load, common practice, no source.
 */
export const cellVolts = {
  lipo: { full: 4.2, nominal: 3.7, land: 3.5, floor: 3.3 },
  'high-voltage lipo': { full: 4.35, nominal: 3.8, land: 3.5, floor: 3.3 },
  'li-ion': { full: 4.2, nominal: 3.6, land: 3.1, floor: 2.8 },
} as const;

/**
 * The whole swing of a pack in volts: down to the floor under load, or below it where a landing pack sags further at full throttle
 * (land volts less cell resistance x current; Ohm), up to full.
 */
export function packSwing(pack: Pick<Pack, 'cells' | 'chemistry' | 'cellMilliohm'>, fullThrottleAmps = 0): Interval {
  const cell = cellVolts[pack.chemistry];
  return { low: Math.min(round(pack.cells * cell.floor), sagVolts(pack, fullThrottleAmps)), high: round(pack.cells * cell.full) };
}

/** Volts of a pack at landing charge while so many amps are drawn. Without a known cell resistance it is the landing volts. */
export function sagVolts(pack: Pick<Pack, 'cells' | 'chemistry' | 'cellMilliohm'>, amps: number): number {
  const ohm = pack.cellMilliohm && isKnown(pack.cellMilliohm) ? interval(pack.cellMilliohm).high / 1000 : 0;
  return round(pack.cells * Math.max(0, cellVolts[pack.chemistry].land - ohm * amps));
}

/** Full pack of a plain lithium-polymer pack of so many cells, in volts: what a board's "3-6S" is read as. */
export function fullVolts(cells: number): number {
  return round(cells * cellVolts.lipo.full);
}

function round(volts: number): number {
  return Math.round(volts * 1000) / 1000;
}
