import type { Board } from '../records/board';
import type { Build, Part } from '../records/build';
import { dropVolts, gaugeFor } from '../trade/wire';
import type { PlugFamily } from '../trade/plug';
import { routeMm } from './route';

export interface SupplyWire {
  /** AWG. */
  gauge: number;
  /** The longest way from one of the pads to the part. */
  mm: number;
  /** Its resistance out and back, and the volts lost on it at the part's peak. */
  ohm: number;
  lostVolts: number;
}

/** Thickest wire that is led to a small part: common practice, no source. */
const thickestToParts = 16;

/**
 * The wire from a supply pad to a part and back: the thinnest that the usual table allows at the amps that the part draws through it, or as much thicker as it takes for what arrives to be no less than
 * `leastVolts` of the rail's `railVolts`, as far as pins and hands allow.
 */
export function supplyWire(
  build: Build,
  board: Board,
  part: Part,
  { pads, family, drawn }: { pads: readonly string[]; family: PlugFamily | null; drawn: (ohm: number) => number },
  railVolts: number,
  leastVolts: number,
): SupplyWire {
  const lengths =
    pads.length > 0 ? pads.map((p) => routeMm(build, board, part, p)) : [routeMm(build, board, part, null)];
  const mm = Math.max(...lengths);
  const thickest = Math.max(thickestToParts, family?.gauges.thickest ?? 0);
  let gauge = gaugeFor(drawn(0)) ?? 10;
  const ohm = () => dropVolts(gauge, mm, 1);
  const lost = () => ohm() * drawn(ohm());
  const tooThin = () => (gaugeFor(drawn(ohm())) ?? 10) < gauge;
  const short = () => railVolts >= leastVolts && railVolts - lost() < leastVolts;
  while (tooThin() || (short() && gauge - 2 >= thickest)) gauge -= 2;
  return { gauge, mm, ohm: ohm(), lostVolts: lost() };
}
