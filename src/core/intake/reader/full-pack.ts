import { cellVolts } from '../../trade/cell';
import type { Read } from './read';

const { full } = cellVolts.lipo;
/** What the volts that a cell is called by lie between. */
const [lowest, highest] = [cellVolts['li-ion'].nominal, cellVolts['high-voltage lipo'].nominal];

/**
 * "2S (7.4 V) to 6S (22.2 V)": what a pack is called by is no limit, and is left out. Another limit below a full pack of the cells that the page allows is in doubt.
 */
export function heldAgainstPack(all: Read[]): Read[] {
  const counts = all.flatMap((r) => (r.field === 'cellsMax' || r.field === 'cellsMin' ? [Number(r.value)] : []));
  const most = Math.max(0, ...all.flatMap((r) => (r.field === 'cellsMax' ? [Number(r.value)] : [])));
  return all.flatMap((r): Read[] => {
    const volts = Number(r.value);
    if (r.field !== 'packMaxVolts' || volts > full * most - 0.1) return [r];
    if (counts.some((n) => volts > lowest * n - 0.1 && volts < highest * n + 0.1)) return [];
    const why = `a full pack of ${most} cells has ${Math.round(full * most * 10) / 10} V`;
    return [r.doubt === 'sure' ? { ...r, doubt: 'likely', why } : r];
  });
}
