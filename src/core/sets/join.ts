import { motorLines } from '../records/board-lists';
import { type Board, type Member, type Rail } from '../records/board';
import type { Build } from '../records/build';
import { packCells } from '../circuit/packs';
import { voltsOfCells } from '../trade/cell';
import { interval, isKnown, type NumberFigure } from '../quantity/figure';
import { flag } from '../quantity/truth';
import { fed, feedsOf, ownRail } from './feed';
import { inWhole, partsOf } from './member-parts';
import type { Pieces } from './pieces';
import { isSingleEsc } from './roles';
import { sensingOf } from './sensing';
import { setId } from './set-id';

/**
 * A controller with an ESC, a power board or both as one candidate, which all that judges a board reads as it reads one: rails in one tree, every pad on the member it
 * belongs to, mass in one sum. Single ESCs come one a motor.
 */
export function joined(asked: Pieces, build: Pick<Build, 'pack' | 'morePacks' | 'motors'>): Board {
  const pieces = packReaches(asked, build) ? asked : { ...asked, controller: withoutPack(asked.controller) };
  const { controller, esc, power } = pieces;
  const members: Member[] = [
    memberFor('controller', asked.controller, 1),
    ...(esc ? [memberFor('esc', esc, isSingleEsc(esc) ? Math.max(1, build.motors.count) : 1)] : []),
    ...(power ? [memberFor('power board', power, 1)] : []),
  ];
  const onPack = controller === asked.controller ? members : members.slice(1);
  const others = members.slice(1).map((m) => partsOf(m.role, m.board));
  const all = <K extends 'pads' | 'bridges' | 'plugs' | 'grounds'>(key: K) =>
    [controller[key], ...others.map((o) => o[key])].flat() as Board[K];
  const ownPack = controller.rails.some((r) => r.source.kind === 'pack' && r.pads.length > 0);
  const fedBy = fed(pieces);
  const sensing = sensingOf(pieces)[0];
  const brings = [esc, power, controller].find((b) => b?.capacitor);
  const video = flagOf(controller) !== 'yes' && power && flagOf(power) === 'yes' ? overlayOf(power) : controller.video;
  const { currentSensor: _, capacitor: __, ...rest } = controller;
  return {
    ...rest,
    id: setId(members.map((m) => m.board.id)),
    name: members.map((m) => (m.count > 1 ? `${m.count} x ${m.board.name}` : m.board.name)).join(' + '),
    maker: [...new Set(members.map((m) => m.board.maker))].join(', '),
    revision: members.map((m) => m.board.revision).join(', '),
    members,
    pads: all('pads'),
    grounds: all('grounds'),
    plugs: all('plugs'),
    bridges: [...fedBy.bridges, ...all('bridges')],
    rails: [...fedBy.rails, ...others.flatMap((o) => o.rails.map((r) => (ownPack ? unoffered(r) : r)))],
    ...sharedOf(controller, fedBy.rails, others),
    allPads: members.map((m) => m.board.allPads).find((f) => flag(f) !== 'yes') ?? controller.allPads,
    analogueInputs:
      sensing && sensing.by !== 'its own' ? withoutFirstCurrent(controller.analogueInputs) : controller.analogueInputs,
    ...(video ? { video } : {}),
    ...(sensing ? { currentSensor: sensing.sensor } : {}),
    ...(brings?.capacitor ? { capacitor: brings.capacitor } : {}),
    ...(brings?.massIncludes === undefined ? {} : { massIncludes: brings.massIncludes }),
    packCells: { min: mostOfFewest(onPack), max: tightest(onPack).packCells.max },
    packMaxVolts: tightest(onPack).packMaxVolts,
    ...motorLineOf(controller, esc),
    massG: sum(members.map((m) => times(m.board.massG, m.count))),
    offers: [],
    history: [],
  };
}

/** What regulators carry together, under the names that they have in the whole: that of the controller's 5 V may stand inside its rail. */
function sharedOf(
  controller: Board,
  rails: readonly Rail[],
  others: readonly Pick<Board, 'sharedLimits'>[],
): Pick<Board, 'sharedLimits'> {
  const inside = (id: string) => (rails.some((r) => r.id === ownRail(id)) ? ownRail(id) : id);
  const own = (controller.sharedLimits ?? []).map((l) => ({ ...l, rails: l.rails.map(inside) }));
  const all = [...own, ...others.flatMap((o) => o.sharedLimits ?? [])];
  return all.length > 0 ? { sharedLimits: all } : {};
}

/** The pack is one net over all members: what wants it is joined at the controller, where that has pads for it. */
function unoffered(rail: Board['rails'][number]): Board['rails'][number] {
  return rail.source.kind === 'pack' ? { ...rail, pads: [] } : rail;
}

/** A controller that does not stand the pack is left without it, where something else gives it 5 V. */
function packReaches(pieces: Pieces, build: Pick<Build, 'pack' | 'morePacks' | 'motors'>): boolean {
  const stands = interval(pieces.controller.packCells.max).high >= packCells(build).high;
  return stands || feedsOf(pieces).every((f) => f === 'own');
}

function withoutPack(controller: Board): Board {
  return { ...controller, rails: controller.rails.filter((r) => r.source.kind !== 'pack') };
}

function memberFor(role: Member['role'], board: Board, count: number): Member {
  return { role, board, count, pads: Object.fromEntries(board.pads.map((p) => [p.id, inWhole(role, p.id)])) };
}

/** What runs on the motor wires is what both ends can; of an end that nobody speaks of it is open. */
function motorLineOf(controller: Board, esc: Board | undefined): Pick<Board, 'motorLine' | 'digitalCurrent'> {
  if (!esc) return {};
  const ends = [controller.motorLine, esc.motorLine];
  const rank = (f: Board['motorLine']) => (f && 'value' in f ? motorLines.indexOf(f.value) : -1);
  const known = ends.every((f) => rank(f) >= 0);
  const weaker = known ? ends.reduce((a, b) => (rank(b) < rank(a) ? b : a)) : { unknown: true as const };
  const current = controller.digitalCurrent;
  const there = esc.digitalCurrent?.there ?? { unknown: true as const };
  return {
    motorLine: weaker,
    ...(current ? { digitalCurrent: flag(current.there) === 'yes' ? { ...current, there } : current } : {}),
  };
}

const flagOf = (board: Board) => flag(board.video?.overlayChip ?? { unknown: true });

/** The power board's own overlay: camera and transmitter are joined there. */
function overlayOf({ video }: Board): NonNullable<Board['video']> {
  const as = (pad: string) => inWhole('power board', pad);
  return {
    cameraIns: video!.cameraIns.map(as),
    ...(video!.out === undefined ? {} : { out: as(video!.out) }),
    overlayChip: video!.overlayChip,
  };
}

/** The line of the sensor takes the input that a sensor of the parts list could have had. */
function withoutFirstCurrent(inputs: Board['analogueInputs']): Board['analogueInputs'] {
  const first = inputs.find((i) => i.kind === 'current');
  return inputs.filter((i) => i !== first);
}

/** Of the fewest cells the most: the pack reaches every member. One that nobody says leaves it open. */
function mostOfFewest(members: readonly Member[]): NumberFigure {
  const figures = members.map((m) => m.board.packCells.min);
  const known = figures.filter(isKnown);
  if (known.length < figures.length) return { unknown: true };
  return known.reduce((a, b) => (interval(b).low > interval(a).low ? b : a));
}

type Limit = Pick<Board, 'packMaxVolts' | 'packCells'>;

/** What a member stands, in volts: as it states, else so many plain cells. */
function standsVolts({ packMaxVolts, packCells: { max } }: Limit): { low: number; high: number } | null {
  if (isKnown(packMaxVolts)) return interval(packMaxVolts);
  if (!isKnown(max)) return null;
  return voltsOfCells(interval(max));
}

/** Of two limits the lower one. Where one is lower for certain and the other at most, as so many cells beside a limit in volts, what both leave. */
function tighter(a: Limit, b: Limit): Limit {
  const [least, other] = standsVolts(a)!.low <= standsVolts(b)!.low ? [a, b] : [b, a];
  const [from, to] = [standsVolts(least)!, standsVolts(other)!];
  if (to.high >= from.high) return least;
  const origin = isKnown(other.packMaxVolts) ? other.packMaxVolts.origin : 'assumed';
  return { ...least, packMaxVolts: { low: from.low, high: to.high, origin } };
}

/** The limit of the member that stands least. Where nobody says it of every member, it may be lower still: a known one that breaks does so all the same. */
function tightest(members: readonly Member[]): Limit {
  const limits = members.map((m) => m.board);
  const least = limits
    .filter((b) => standsVolts(b) !== null)
    .reduce<Limit | null>((a, b) => (a ? tighter(a, b) : b), null);
  const unsaid = limits.find((b) => standsVolts(b) === null);
  if (!least) return limits[0]!;
  if (!unsaid) return least;
  const open = (figure: NumberFigure): NumberFigure => ({
    low: 0,
    high: interval(figure).high,
    origin: 'assumed',
    source: 'nobody says it of every member',
  });
  if (isKnown(least.packMaxVolts)) return { ...least, packMaxVolts: open(least.packMaxVolts) };
  return { packMaxVolts: undefined, packCells: { ...least.packCells, max: open(least.packCells.max) } };
}

function times(figure: NumberFigure, count: number): NumberFigure {
  if (count === 1 || !isKnown(figure)) return figure;
  const { low, high } = interval(figure);
  return { low: low * count, high: high * count, origin: figure.origin };
}

function sum(figures: readonly NumberFigure[]): NumberFigure {
  if (!figures.every(isKnown)) return { unknown: true };
  const ends = figures.map(interval);
  const total = (end: 'low' | 'high') => Math.round(ends.reduce((mm, i) => mm + i[end], 0) * 100) / 100;
  return { low: total('low'), high: total('high'), origin: 'assumed', source: 'all members together' };
}
