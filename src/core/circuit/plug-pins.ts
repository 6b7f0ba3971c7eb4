import type { Board, Rail } from '../records/board';
import { isGround } from '../trade/harness';
import { plugFamily, type PlugFamily } from '../trade/plug';
import type { Policies } from '../trade/policies';

type Plug = Board['plugs'][number];

/** A plug by which a rail leaves the board: how many pins carry it out, and how many carry the return of all that the plug feeds. */
export interface RailPlug {
  plug: Plug;
  family: PlugFamily;
  /** Ids of the rail's pads in it. */
  pads: string[];
  /** Amps of the rail's pins together. */
  amps: number;
  /** Amps of the ground pins together; null where the plug names none: then the return takes another way. */
  groundAmps: number | null;
}

/** Where on a rail a part can be joined. `plug` null: by soldering, where pins have no say. */
export interface Spot {
  pads: string[];
  plug: RailPlug | null;
}

/**
 * The places at which parts can be joined to a rail. Where one can be soldered, or where the build solders everything, there is one for all of its pads; else one for each
 * plug, of which the pins have to carry the sum.
 */
export function spotsOf(joints: Policies['joints'], board: Board, rail: Rail): Spot[] {
  // Of a rail whose pads are not drawn nobody says that they are pins.
  const plugs = joints === 'solder' ? [] : railPlugs(board, rail);
  const pinned = new Set(plugs.flatMap((p) => p.pads));
  if (plugs.length === 0 || rail.pads.some((pad) => !pinned.has(pad))) return [{ pads: rail.pads, plug: null }];
  return plugs.map((plug) => ({ pads: plug.pads, plug }));
}

/** The plugs of a rail whose families Rung has figures of. Asked for every part and rail: kept with the board. */
export function railPlugs(board: Board, rail: Rail): RailPlug[] {
  const known = found.get(board) ?? new Map<Rail, RailPlug[]>();
  found.set(board, known);
  let plugs = known.get(rail);
  if (!plugs) known.set(rail, (plugs = findPlugs(board, rail)));
  return plugs;
}

const found = new WeakMap<Board, Map<Rail, RailPlug[]>>();

function findPlugs(board: Board, rail: Rail): RailPlug[] {
  return board.plugs.flatMap((plug) => {
    const family = plugFamily(plug.family);
    if (!family) return [];
    const pins = plug.pins.filter(
      ({ pad }) => pad && rail.pads.includes(pad) && board.pads.find((x) => x.id === pad)?.form === 'pin',
    );
    if (pins.length === 0) return [];
    const grounds = plug.pins.filter(
      ({ name, pad }) => (pad !== undefined && board.grounds.includes(pad)) || isGround(name),
    );
    return [
      {
        plug,
        family,
        pads: pins.map((p) => p.pad!),
        amps: pins.length * family.ampsPerPin,
        groundAmps: grounds.length > 0 ? grounds.length * family.ampsPerPin : null,
      },
    ];
  });
}
