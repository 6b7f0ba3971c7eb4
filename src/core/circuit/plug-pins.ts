import type { Board, Rail } from '../records/board';
import { plugFamily, type PlugFamily } from '../trade/plug';
import type { Policies } from '../trade/policies';

/** The plug a pad is a pin of, with how many of its pins carry the same rail; null for a pad that is soldered, or a family without figures. */
export function pinOf(
  board: Board,
  rail: Rail,
  pad: string,
): { plug: Board['plugs'][number]; family: PlugFamily; sharing: number; amps: number } | null {
  const plug = board.plugs.find((x) => x.pins.some((pin) => pin.pad === pad));
  const family = plug && plugFamily(plug.family);
  if (!plug || !family || board.pads.find((x) => x.id === pad)?.form !== 'pin') return null;
  // Pins of the same rail in this plug share the load.
  const sharing = plug.pins.filter((pin) => pin.pad && rail.pads.includes(pin.pad)).length;
  return { plug, family, sharing, amps: sharing * family.ampsPerPin };
}

/** The most that one part may draw from the rail through the best of its pads: Infinity where one can be soldered, or where the build solders everything. */
export function pinLimit(joints: Policies['joints'], board: Board, rail: Rail): { amps: number; plug: string } {
  // Of a rail whose pads are not drawn nobody says that they are pins.
  if (rail.pads.length === 0) return { amps: Infinity, plug: '' };
  let best = { amps: 0, plug: '' };
  for (const pad of rail.pads) {
    const pin = joints === 'solder' ? null : pinOf(board, rail, pad);
    if (!pin) return { amps: Infinity, plug: '' };
    if (pin.amps > best.amps) best = { amps: pin.amps, plug: pin.plug.label };
  }
  return best;
}
