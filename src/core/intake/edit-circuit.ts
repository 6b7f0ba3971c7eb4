import type { Board, Bridge, Rail, SharedLimit } from '../records/board';
import { feedersOf } from '../records/board-links';
import { freeId } from '../records/new-board';

const unknown = { unknown: true as const };

/** What a rail may be fed from, in the words of the trade. */
export const railSources = [
  'pack',
  'buck regulator',
  'linear regulator',
  'step-up regulator',
  'regulator both ways',
  'usb',
  'the ESC, by its harness',
  'whichever is up',
  'bridge',
] as const;
export type RailSource = (typeof railSources)[number];

const typeOf = {
  'buck regulator': 'buck',
  'linear regulator': 'linear',
  'step-up regulator': 'step-up',
  'regulator both ways': 'step-up-down',
} as const;
const wordOf = {
  buck: 'buck regulator',
  linear: 'linear regulator',
  'step-up': 'step-up regulator',
  'step-up-down': 'regulator both ways',
} as const;

export function railSourceOf({ source }: Rail): RailSource {
  switch (source.kind) {
    case 'regulator':
      return wordOf[source.type];
    case 'either':
      return 'whichever is up';
    case 'esc':
      return 'the ESC, by its harness';
    default:
      return source.kind;
  }
}

/** The rails that a rail may be fed from: those that are not fed from it themselves, over however many. */
export function mayFeed(board: Board, id: string): Rail[] {
  const behind = new Set([id]);
  for (let grown = true; grown;) {
    const more = board.rails.filter((r) => !behind.has(r.id) && feedersOf(r.source).some((from) => behind.has(from)));
    for (const r of more) behind.add(r.id);
    grown = more.length > 0;
  }
  return board.rails.filter((r) => !behind.has(r.id));
}

/** Feeds a rail from something else. What was known of its regulator stays as long as it has one. Other rails it needs are taken from the board; without them nothing changes. */
export function feedRail(board: Board, id: string, from: RailSource): Board {
  const others = mayFeed(board, id);
  const first = others[0]?.id;
  const source = (before: Rail['source']): Rail['source'] | null => {
    switch (from) {
      case 'pack':
        return { kind: 'pack' };
      case 'usb':
        return { kind: 'usb', dropVolts: 0 };
      case 'the ESC, by its harness':
        return { kind: 'esc' };
      case 'buck regulator':
      case 'linear regulator':
      case 'step-up regulator':
      case 'regulator both ways': {
        const type = typeOf[from];
        if (before.kind === 'regulator') return { ...before, type };
        return first === undefined
          ? null
          : {
              kind: 'regulator',
              type,
              outVolts: unknown,
              ratedAmps: unknown,
              dropOutVolts: unknown,
              input: first,
              filtered: false,
            };
      }
      case 'whichever is up':
        return others.length < 2
          ? null
          : { kind: 'either', of: others.slice(0, 2).map((r) => r.id), isolated: unknown };
      case 'bridge': {
        const bridge = board.bridges[0];
        return !bridge || first === undefined
          ? null
          : {
              kind: 'bridge',
              bridge: bridge.id,
              byPosition: Object.fromEntries(bridge.positions.map((p) => [p.id, first])),
            };
      }
    }
  };
  return {
    ...board,
    rails: board.rails.map((r) => (r.id === id ? { ...r, source: source(r.source) ?? r.source } : r)),
  };
}

export function addBridge(board: Board): Board {
  const id = freeId('bridge', board.bridges);
  const bridge: Bridge = {
    id,
    label: `bridge ${id.slice(6)}`,
    form: 'solder bridge',
    face: 'top',
    positions: [
      { id: 'a', label: 'as delivered' },
      { id: 'b', label: 'moved' },
    ],
    factory: 'a',
    effort: 2,
  };
  return { ...board, bridges: [...board.bridges, bridge] };
}

export function changeBridge(board: Board, id: string, change: Partial<Omit<Bridge, 'id' | 'positions'>>): Board {
  return { ...board, bridges: board.bridges.map((b) => (b.id === id ? { ...b, ...change } : b)) };
}

/** Takes a bridge away: what it switched stays as it is in the position it is delivered in. */
export function removeBridge(board: Board, id: string): Board {
  const factory = board.bridges.find((b) => b.id === id)?.factory;
  const settled = <
    E extends {
      sense: 'plain' | 'inverted' | 'unknown';
      switch?: { bridge: string; plainAt: string; invertedAt: string } | undefined;
    },
  >(
    end: E,
  ): E => {
    if (end.switch?.bridge !== id) return end;
    const { switch: by, ...rest } = end;
    let sense: 'unknown' | 'plain' | 'inverted';
    if (by.plainAt === factory) sense = 'plain';
    else if (by.invertedAt === factory) sense = 'inverted';
    else sense = 'unknown';
    return {
      ...rest,
      sense,
    } as E;
  };
  const became = new Map<string, string>();
  for (const r of board.rails)
    if (r.source.kind === 'bridge' && r.source.bridge === id)
      became.set(r.id, r.source.byPosition[factory ?? ''] ?? 'pack');
  const at = (rail: string): string => (became.has(rail) ? at(became.get(rail)!) : rail);
  const rails = board.rails
    .filter((r) => !became.has(r.id))
    .map((r): Rail => ({
      ...r,
      pads: [...r.pads, ...board.rails.filter((x) => became.has(x.id) && at(x.id) === r.id).flatMap((x) => x.pads)],
      source: movedInputs(r.source, at),
    }));
  const { digitalCurrent, ...rest } = board;
  return withoutLostShares({
    ...rest,
    rails,
    bridges: board.bridges.filter((b) => b.id !== id),
    ports: board.ports.map((p) => ({ ...p, rx: p.rx.map(settled), tx: p.tx.map(settled) })),
    analogueInputs: board.analogueInputs
      .filter((i) => i.at?.bridge !== id || i.at.position === factory)
      .map((i) => (i.at?.bridge === id ? { ...i, at: undefined } : i)),
    ...(digitalCurrent && (digitalCurrent.at?.bridge !== id || digitalCurrent.at.position === factory)
      ? { digitalCurrent: digitalCurrent.at?.bridge === id ? { there: digitalCurrent.there } : digitalCurrent }
      : {}),
  });
}

function movedInputs(source: Rail['source'], at: (rail: string) => string): Rail['source'] {
  if (source.kind === 'regulator') return { ...source, input: at(source.input) };
  if (source.kind === 'either') return { ...source, of: source.of.map(at) };
  if (source.kind === 'bridge')
    return {
      ...source,
      byPosition: Object.fromEntries(Object.entries(source.byPosition).map(([position, rail]) => [position, at(rail)])),
    };
  return source;
}

/** Takes a rail away with its pads' supply, where no other rail leans on it; null where one does. */
export function removeRail(board: Board, id: string): Board | null {
  const leans = board.rails.some((r) => r.id !== id && feedersOf(r.source).includes(id));
  return leans ? null : withoutLostShares({ ...board, rails: board.rails.filter((r) => r.id !== id) });
}

/** Of rails that are gone nothing is shared any more. */
function withoutLostShares(board: Board): Board {
  const isThere = (id: string) => board.rails.some((r) => r.id === id);
  return withShared(board, (limits) =>
    limits.map((l) => ({ ...l, rails: l.rails.filter(isThere) })).filter((l) => l.rails.length > 1),
  );
}

function withShared(board: Board, change: (limits: SharedLimit[]) => SharedLimit[]): Board {
  const { sharedLimits, ...rest } = board;
  const next = change(sharedLimits ?? []);
  return next.length > 0 ? { ...rest, sharedLimits: next } : rest;
}

/** Limits of one board, and rails of one limit, as the file has room for. */
const mostShared = 8;

/** Which regulators carry no more together than a figure that is still to be said; an empty list takes the limit out. Fewer than two share nothing. */
export function shareRails(board: Board, at: number | null, rails: readonly string[]): Board {
  return withShared(board, (limits) => {
    const some = rails.slice(0, mostShared);
    if (at === null)
      return some.length > 1 && limits.length < mostShared ? [...limits, { rails: some, amps: unknown }] : limits;
    return limits.flatMap((l, i) => {
      if (i !== at) return [l];
      return some.length > 1 ? [{ ...l, rails: some }] : [];
    });
  });
}

/** A plug from its pins as they are printed, in order; a pin that is named like a pad is joined to it. */
export function putPlug(
  board: Board,
  id: string | null,
  label: string,
  family: string,
  pinNames: readonly string[],
): Board {
  const before = board.plugs.find((p) => p.id === id);
  const pins = pinNames.map((name, i) => {
    const pad =
      board.pads.find((p) => p.label.toLowerCase() === name.toLowerCase())?.id ??
      (before?.pins[i]?.name === name ? before.pins[i].pad : undefined);
    return { name, ...(pad ? { pad } : {}) };
  });
  if (pins.length === 0) return { ...board, plugs: board.plugs.filter((p) => p.id !== id) };
  const plug = { id: id ?? freeId('plug', board.plugs), label, family, pins };
  return { ...board, plugs: before ? board.plugs.map((p) => (p.id === id ? plug : p)) : [...board.plugs, plug] };
}

/** Says that something on the board uses a port and what would free it; null: the port is free. */
export function takePort(board: Board, id: string, taken: Board['ports'][number]['taken'] | null): Board {
  return { ...board, ports: board.ports.map((p) => (p.id === id ? { ...p, taken: taken ?? undefined } : p)) };
}
