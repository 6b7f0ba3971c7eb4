import { euro } from '../quantity/money';
import { interval, type NumberFigure } from '../quantity/figure';
import { currencyOf } from '../bill/exchange';
import type { Board } from '../records/board';
import { cellVolts } from '../trade/cell';

/**
 * What the database keeps of a board in columns of its own (drizzle/0008_sieve.sql), each the end that is best for the buyer, so that a large shelf is sifted without reading the boards. null where nobody says:
 * then it sifts nothing.
 */
export interface GoodEnds {
  /** The shorter and the longer side, at least. */
  shortMm: number | null;
  longMm: number | null;
  heightMm: number | null;
  massG: number | null;
  /** What the pack inputs stand at most, a millivolt over, since full cells are rounded. */
  packVolts: number | null;
  fewestCells: number | null;
  /** None without an ESC on the board. */
  channels: number | null;
  continuousAmps: number | null;
  /** Without end or for moments, whichever is more. */
  motorAmps: number | null;
  /** The cheapest offer in euros, without shipping. */
  cents: number | null;
}

export function goodEnds(board: Board): GoodEnds {
  const { esc, packMaxVolts, packCells } = board;
  const sides = [low(board.lengthMm), low(board.widthMm)].filter((mm) => mm !== null);
  const amps = esc && [high(esc.continuousAmps), high(esc.burstAmps)];
  const prices = board.offers.filter((o) => currencyOf(o) === euro).map((o) => o.cents);
  const cells = high(packCells.max);
  return {
    shortMm: sides.length === 2 ? Math.min(...sides) : null,
    longMm: sides.length > 0 ? Math.max(...sides) : null,
    heightMm: low(board.heightMm),
    massG: low(board.massG),
    packVolts:
      (packMaxVolts && high(packMaxVolts)) ??
      (cells === null ? null : sensible(cells) * cellVolts['high-voltage lipo'].full + 0.001),
    fewestCells: low(packCells.min),
    channels: esc ? high(esc.channels) : 0,
    continuousAmps: esc ? high(esc.continuousAmps) : null,
    motorAmps: amps ? most(amps) : null,
    cents: prices.length > 0 ? Math.min(...prices) : null,
  };
}

/** A database refuses a product that is larger than any number it has. */
function sensible(cells: number): number {
  return Math.min(Math.max(cells, 0), 1000);
}

function most(amps: (number | null)[]): number | null {
  const known = amps.filter((a) => a !== null);
  return known.length === amps.length ? Math.max(...known) : null;
}

function low(figure: NumberFigure): number | null {
  const end = interval(figure).low;
  return Number.isFinite(end) ? end : null;
}

function high(figure: NumberFigure): number | null {
  const end = interval(figure).high;
  return Number.isFinite(end) ? end : null;
}
