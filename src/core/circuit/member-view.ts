import type { Board, Member } from '../records/board';

const known = new WeakMap<Member, Board>();

/** A member of a set as a board of its own, with its pads called as they are in the whole: what is drawn, and where a pad of it lies. */
export function memberView(member: Member): Board {
  let view = known.get(member);
  if (!view) known.set(member, (view = viewOf(member)));
  return view;
}

function viewOf({ board, pads }: Member): Board {
  const as = (id: string) => pads[id] ?? id;
  return {
    ...board,
    pads: board.pads.map((p) => ({ ...p, id: as(p.id) })),
    grounds: board.grounds.map(as),
    plugs: board.plugs.map((plug) => ({
      ...plug,
      pins: plug.pins.map((pin) => (pin.pad === undefined ? pin : { ...pin, pad: as(pin.pad) })),
    })),
  };
}

/** The member on which a pad of the whole is; undefined for a board alone, and for what a fix brings. */
export function memberWithPad(board: Board, pad: string | null): Member | undefined {
  return board.members?.find((m) => Object.values(m.pads).includes(pad ?? ''));
}
