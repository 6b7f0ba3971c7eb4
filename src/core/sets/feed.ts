import type { Board, Bridge, Rail } from '../records/board';
import { interval } from '../quantity/figure';
import { fiveVolts } from '../trade/five-volts';
import { hasLine } from '../trade/harness-line';
import { inWhole } from './member-parts';
import type { Pieces } from './pieces';

/** The bridge that stands for the wire by which a set's controller gets its 5 V. */
export const feedBridge = 'feed';
export type Feed = 'own' | 'esc' | 'power board';

function givesFive(rail: Rail): boolean {
  if (rail.source.kind !== 'regulator') return false;
  const { low, high } = interval(rail.source.outVolts);
  return low >= fiveVolts.low && high <= fiveVolts.high;
}

/** The rail of a controller that takes 5 V from outside: the one that is meant for it, else the one its own regulator makes. */
export function entryOf(controller: Board): Rail | undefined {
  return controller.rails.find((r) => r.source.kind === 'esc') ?? controller.rails.find(givesFive);
}

/** The rail by which a member gives 5 V to others. */
export function giverOf(board: Board): Rail | undefined {
  return board.rails.find((r) => givesFive(r) && r.pads.length > 0) ?? board.rails.find(givesFive);
}

/** Both ends of the harness have a 5 V line. */
export function linesOfFiveMeet({ controller, esc }: Pieces): boolean {
  return hasLine(controller.escPlug?.pins ?? [], '5 V') && hasLine(esc?.escPlug?.pins ?? [], '5 V');
}

/** A plug that sits board to board, on either end, joins its lines whether one wants it or not. */
export function isRigid({ controller, esc }: Pieces): boolean {
  return Boolean(controller.escPlug?.rigid || esc?.escPlug?.rigid);
}

/** Where the controller's 5 V may come from. */
export function feedsOf(pieces: Pieces): Feed[] {
  const { controller } = pieces;
  const entry = entryOf(controller);
  if (!entry) return [];
  const own: Feed[] = feedsItself(pieces, entry) ? ['own'] : [];
  const esc: Feed[] = pieces.esc && giverOf(pieces.esc) ? ['esc'] : [];
  const power: Feed[] = pieces.power && giverOf(pieces.power) ? ['power board'] : [];
  return [...own, ...esc, ...power];
}

/** By its own regulator; one that is fed by an ESC, by that of the buyer, where the set brings none. */
function feedsItself({ controller, esc }: Pieces, { source }: Rail): boolean {
  if (source.kind === 'esc') return !esc;
  return source.kind === 'regulator' && isThere(controller, source.input);
}

function isThere(board: Board, rail: string): boolean {
  return board.rails.some((r) => r.id === rail);
}

export interface Fed {
  rails: Rail[];
  bridges: Bridge[];
}

/** The controller's own regulator of 5 V, behind the rail that may be fed from elsewhere. */
export const ownRail = (rail: string) => `${rail}.own`;

const wireEffort = 2;

/**
 * The controller's rails with its 5 V taken from its own regulator, the ESC's or the power board's. One of several is a choice like that of a bridge, so that never two
 * feed it; only where a plug that nobody can open joins two, both do.
 */
export function fed(pieces: Pieces): Fed {
  const { controller } = pieces;
  const entry = entryOf(controller);
  const feeds = feedsOf(pieces);
  if (!entry || feeds.length === 0 || (feeds.length === 1 && feeds[0] === 'own'))
    return { rails: controller.rails, bridges: [] };
  const own = ownRail(entry.id);
  const from: Record<Feed, string> = {
    own,
    esc: pieces.esc ? inWhole('esc', giverOf(pieces.esc)?.id ?? '') : '',
    'power board': pieces.power ? inWhole('power board', giverOf(pieces.power)?.id ?? '') : '',
  };
  const forced = isRigid(pieces) && linesOfFiveMeet(pieces) && feeds.includes('esc');
  const rails = controller.rails.flatMap((rail): Rail[] => {
    if (rail !== entry) return [rail];
    const inside: Rail[] = feeds.includes('own')
      ? [{ id: own, label: `${rail.label} of ${controller.name}`, pads: [], source: rail.source }]
      : [];
    if (forced) {
      const both = feeds.filter((f) => f !== 'power board').map((f) => from[f]);
      return [
        ...inside,
        { ...rail, source: { kind: 'either', of: both, isolated: { value: both.length < 2, origin: 'print' } } },
      ];
    }
    if (feeds.length === 1) return [{ ...rail, source: { kind: 'either', of: [from[feeds[0]!]] } }];
    const byPosition = Object.fromEntries(feeds.map((f) => [positionOf(f), from[f]]));
    return [...inside, { ...rail, source: { kind: 'bridge', bridge: feedBridge, byPosition } }];
  });
  if (forced || feeds.length === 1) return { rails, bridges: [] };
  const label: Record<Feed, string> = {
    own: entry.source.kind === 'esc' ? 'the 5 V of the ESC at home' : "the controller's own regulator",
    esc: `the 5 V of ${pieces.esc?.name}`,
    'power board': `the 5 V of ${pieces.power?.name}`,
  };
  const bridge: Bridge = {
    id: feedBridge,
    label: "the controller's 5 V wire",
    form: 'wire',
    face: 'top',
    factory: positionOf(feeds[0]!),
    effort: wireEffort,
    positions: feeds.map((f) => ({ id: positionOf(f), label: label[f] })),
  };
  return { rails, bridges: [bridge] };
}

/** Ids have no spaces. */
export function positionOf(feed: Feed): string {
  return feed === 'power board' ? 'power-board' : feed;
}
