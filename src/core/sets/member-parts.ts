import type { Board, Member } from '../records/board';

/** Ids of a member within the whole: the controller's stay, so that what is locked or fixed on it keeps its meaning. */
const mark = { controller: '', esc: 'esc.', 'power board': 'pb.' } as const;

/** What the id of a pad, rail, bridge or plug of this member is called in the whole. */
export function inWhole(role: Member['role'], id: string): string {
  return `${mark[role]}${id}`;
}

/** The pads, rails with what they share, bridges, plugs and grounds of a member under their names in the whole. */
export function partsOf(
  role: Member['role'],
  board: Board,
): Pick<Board, 'pads' | 'rails' | 'bridges' | 'plugs' | 'grounds' | 'sharedLimits'> {
  if (role === 'controller') return board;
  const as = (id: string) => inWhole(role, id);
  const said = (label: string) => `${label} of ${board.name}`;
  return {
    pads: board.pads.map((p) => ({ ...p, id: as(p.id) })),
    grounds: board.grounds.map(as),
    bridges: board.bridges.map((b) => ({ ...b, id: as(b.id), label: said(b.label) })),
    plugs: board.plugs.map((p) => ({
      ...p,
      id: as(p.id),
      pins: p.pins.map((pin) => ({ ...pin, ...(pin.pad === undefined ? {} : { pad: as(pin.pad) }) })),
    })),
    sharedLimits: board.sharedLimits?.map((l) => ({ ...l, rails: l.rails.map(as) })),
    rails: board.rails.map((r) => ({
      ...r,
      id: as(r.id),
      label: said(r.label),
      pads: r.pads.map(as),
      source: sourceAs(r.source, as),
    })),
  };
}

type Source = Board['rails'][number]['source'];

function sourceAs(source: Source, as: (id: string) => string): Source {
  switch (source.kind) {
    case 'regulator':
      return { ...source, input: as(source.input) };
    case 'either':
      return {
        ...source,
        of: source.of.map(as),
        ...(source.dropVolts
          ? { dropVolts: Object.fromEntries(Object.entries(source.dropVolts).map(([id, v]) => [as(id), v])) }
          : {}),
      };
    case 'bridge':
      return {
        ...source,
        bridge: as(source.bridge),
        byPosition: Object.fromEntries(Object.entries(source.byPosition).map(([at, id]) => [at, as(id)])),
      };
    default:
      return source;
  }
}
