import { evaluate, type Climb, type InSearch } from '../evaluate/climb';
import { stopsEarly } from '../evaluate/stopped-early';
import { interval, isKnown } from '../quantity/figure';
import type { Board, Rail } from '../records/board';
import type { Build } from '../records/build';
import { type Finding } from '../rungs/finding';
import { feedBridge, positionOf } from '../sets/feed';
import { joined } from '../sets/join';
import type { Pieces } from '../sets/pieces';
import { unknownEsc } from '../records/unknown-figures';
import { flag } from '../quantity/truth';
import { isCandidate, roleOf } from '../sets/roles';
import { setId } from '../sets/set-id';
import { setsMade, type SetMemory } from './set-memory';
import { wiringClass } from '../sets/wiring-class';
import { rankClimbs } from './rank-shelf';
import { scoreOf } from './score';
import {
  buildBound,
  memberBound,
  setBound,
  wiredAlike,
  type BuildBound,
  type MemberBound,
  type WiredAlike,
} from './set-bounds';

/** A member with which no set carries the build, and the reason. */
export interface MemberOut {
  id: string;
  name: string;
  finding: Finding;
}

export interface BestSets {
  /** The best sets, best first; where fewer than asked for carry the build, the nearest of the others after them. */
  climbs: Climb[];
  out: MemberOut[];
  /** Sets that could be made of the shelf. */
  possible: number;
  tried: number;
  /** No set that is not among them could be better; false where the search was ended. */
  proved: boolean;
}

/** How far a search has come. */
export interface SetProgress extends Omit<BestSets, 'climbs' | 'proved'> {
  /** The best so far with all that is said of them: they are climbed whole when this is asked. */
  shown: () => Climb[];
}

export interface SetSearch {
  /** What an earlier search of the same shelf worked out. */
  memory?: SetMemory | null;
  /** So many are asked for. */
  keep?: number;
  /** Sets wired at most; after so many a page or a command says what it has, and that it is not proved. */
  most?: number;
}

/** What sums of ten numbers may differ by. */
const rounding = 1e-9;

const usual = { keep: 20, most: 1500 };

/**
 * The best sets of a shelf for a build, without making all of them. Exact: sets are taken in the order of a bound that no set exceeds, until the next bound is below the worst of
 * the best. Yields what it has after each set that is tried, so that a page can show it and may stop.
 */
export function* searchSets(
  build: Build,
  shelf: readonly Board[],
  { memory = null, keep = usual.keep, most = usual.most }: SetSearch = {},
): Generator<SetProgress, BestSets> {
  const made = setsMade(memory, build);
  const of = buildBound(build);
  const wanted = shelf.filter((b) => !isCandidate(b) || roleOf(b) === 'controller');
  const bounds = wanted.map((board) => memberBound(build, board));
  const alive = bounds.filter((m) => !m.out);
  const out: MemberOut[] = bounds.flatMap((m) => (m.out ? [memberOut(m, m.out)] : []));
  const as = (role: ReturnType<typeof roleOf>) => alive.filter((m) => roleOf(m.board) === role);
  const [controllers, escs, powers] = [as('controller'), as('esc'), as('power board')];
  const count = (role: ReturnType<typeof roleOf>) => wanted.filter((b) => roleOf(b) === role).length;
  const progress: SetProgress = {
    out,
    possible: count('controller') * possibleShapes(build, count('esc'), count('power board')),
    tried: 0,
    shown: () => best.map(wholeOf),
  };
  const relaxed = relaxedOf(escs, powers);
  /** Most that rungs 4 to 7 are worth with a controller, and just what they are worth in sets that are wired alike. */
  const hopes = { withEsc: new Map<MemberBound, Hope | null>(), without: new Map<MemberBound, Hope | null>() };
  /** The shapes that a set of this build and shelf can have: it is out where it is in all of them. */
  const shapesOf = [
    ...(build.motors.esc !== 'separate' && escs.length > 0 ? [hopes.withEsc] : []),
    ...(bringsOwnEsc(build) && powers.length > 0 ? [hopes.without] : []),
  ];
  const facts = new Map<string, WiredAlike>();
  let best: Climb[] = [];
  let worst = -Infinity;
  const sets = new Map<string, Board>();
  const wholes = new Map<string, Climb>();
  /** The climb of a set with its circuit solved and its own names. */
  const wholeOf = ({ boardId }: Climb): Climb => {
    const known = wholes.get(boardId) ?? evaluate(build, sets.get(boardId)!, null, made.climbs);
    wholes.set(boardId, known);
    return known;
  };

  const below = (bound: number) => bound === -Infinity || bound < worst - rounding;
  const alike: InSearch['alike'] = new Map();
  const classes = new Map(alive.map((m) => [m, wiringClass(m.board)]));
  const wholeKeys = new Map<string, string>();
  /** Sets of one key differ in nothing that the wiring sees. */
  const keyFor = (controller: MemberBound, rest: readonly MemberBound[]) => {
    const id = setId([controller, ...rest].map((m) => m.board.id));
    // What is locked or mended on a set is its own.
    const own = build.locks[id] || build.fixes[id] ? id : '';
    const asked = [own, controller.board.id, ...rest.map((m) => classes.get(m)!)].join('\n');
    const key = wholeKeys.get(asked) ?? String(wholeKeys.size);
    wholeKeys.set(asked, key);
    return key;
  };
  /** Sets that rungs 1 to 3 stop: they are wired only where fewer than asked for carry the build. */
  const stopped: { pieces: Pieces; key: string; stopsAt: number }[] = [];
  let wired = 0;
  /** Climbs a set and keeps it where it is among the best. */
  const climb = (set: Board, key: string): void => {
    wired += 1;
    const found = evaluate(build, set, null, made.climbs, { key, alike });
    if (!facts.has(key)) facts.set(key, wiredAlike(build, set, found));
    if (!among(found)) return;
    sets.set(set.id, set);
    keepBest(found);
  };
  /** What a controller comes to with every rail that any member could give it; null: no set with it carries the build. */
  const hopeOf = (controller: MemberBound, hasEsc: boolean): Hope | null => {
    // Without an ESC of the set the buyer's own may feed the controller, which no other member stands in for.
    const kept = hasEsc ? hopes.withEsc : hopes.without;
    let known = kept.get(controller);
    if (known !== undefined) return known;
    const set = made.joined(
      { controller: controller.board, ...relaxed, ...(hasEsc ? {} : { esc: undefined }) },
      `any of ${setId([controller, ...escs, ...powers].map((m) => m.board.id))} ${hasEsc}`,
    );
    const found = evaluate(build, set, null, made.climbs, { key: 'any', alike: new Map() });
    const stop = found.rungs.find((r) => r.rung >= 4 && r.rung <= 7 && r.state === 'breaks');
    known = stop
      ? null
      : {
          most: mostHoped(found),
          settled: usesOnlyOwn(found, controller.board) ? wiredAlike(build, null, found) : null,
        };
    kept.set(controller, known);
    if (stop && shapesOf.every((shape) => shape.get(controller) === null))
      out.push(memberOut(controller, stop.findings[0]!));
    return known;
  };
  const boundOf = (controller: MemberBound, rest: readonly MemberBound[], key: string, hope: Hope) => {
    const settled = hope.settled && rest.every((m) => asksNothing(build, m.board)) ? hope.settled : undefined;
    return setBound(of, [controller, ...rest], hope.most, facts.get(key) ?? settled);
  };
  const among = (found: Climb) => best.length < keep || rankClimbs([...best, found])[keep]!.climb !== found;
  const keepBest = (found: Climb) => {
    best = rankClimbs([...best, found])
      .slice(0, keep)
      .map((r) => r.climb);
    const last = best.length === keep ? best[keep - 1]! : null;
    worst = last && last.stopsAt === null ? keyOf(last) : -Infinity;
  };

  for (const node of nodesOf(of, controllers, shapesFor(build, escs, powers))) {
    // Equal bounds are tried: ties are told apart by more than the score.
    if (below(node.bound)) break;
    const hope = hopeOf(node.controller, node.rest.length > 0);
    if (!hope) continue;
    const rests = node.powers.length > 0 ? node.powers.map((power) => [...node.rest, power]) : [node.rest];
    const choices = rests
      .map((rest) => {
        const key = keyFor(node.controller, rest);
        return { rest, key, bound: boundOf(node.controller, rest, key, hope) };
      })
      .filter((c) => !below(c.bound))
      .sort((a, b) => b.bound - a.bound);
    for (const { rest, key } of choices) {
      if (below(boundOf(node.controller, rest, key, hope))) continue;
      progress.tried += 1;
      const pieces = piecesOfBounds(node.controller, rest);
      const set = made.joined(pieces);
      const stopsAt = stopsEarly(build, set);
      if (stopsAt !== null) stopped.push({ pieces, key, stopsAt });
      else climb(set, key);
      yield progress;
      if (wired >= most) return yield* ended(false);
    }
  }
  // A circuit that contradicts a hookup makes its set worse: then another may come before it. Of one whose wiring was not worked out nothing is known.
  return yield* ended(best.every((c) => !wholeOf(c).setAside && keyOf(wholeOf(c)) >= keyOf(c) - rounding));

  function* ended(proved: boolean): Generator<SetProgress, BestSets> {
    stopped.sort((a, b) => b.stopsAt - a.stopsAt);
    for (const { pieces, key, stopsAt } of stopped) {
      const last = best.length === keep ? best[keep - 1]!.stopsAt : 0;
      if (last === null || last > stopsAt || wired >= most + keep) break;
      climb(made.joined(pieces), key);
      yield progress;
    }
    const { tried, possible } = progress;
    return { climbs: rankClimbs(progress.shown()).map((r) => r.climb), out, possible, tried, proved };
  }
}

/** Best sets in one go. */
export function bestSets(build: Build, shelf: readonly Board[], asked: SetSearch = {}): BestSets {
  const search = searchSets(build, shelf, asked);
  for (;;) {
    const step = search.next();
    if (step.done) return step.value;
  }
}

/** All sets that could be made of a shelf for a build, one after the other. */
export function* allSets(build: Build, shelf: readonly Board[]): Generator<Board> {
  const of = (role: ReturnType<typeof roleOf>) => shelf.filter((b) => roleOf(b) === role);
  for (const controller of of('controller')) {
    for (const esc of build.motors.esc === 'separate' ? [] : of('esc')) {
      yield joined({ controller, esc }, build);
      for (const power of of('power board')) yield joined({ controller, esc, power }, build);
    }
    if (bringsOwnEsc(build)) for (const power of of('power board')) yield joined({ controller, power }, build);
  }
}

/** May the motors hang on an ESC of the buyer's? Then a controller and a power board are a set. */
function bringsOwnEsc({ motors }: Build): boolean {
  return motors.esc === 'separate' || (motors.esc === 'any' && motors.ownEsc !== undefined);
}

/** What a controller may be put together with: an ESC, an ESC and any of the power boards, or any of the power boards. */
interface Shape {
  rest: readonly MemberBound[];
  powers: readonly MemberBound[];
}

function shapesFor(build: Build, escs: readonly MemberBound[], powers: readonly MemberBound[]): Shape[] {
  const bought = build.motors.esc === 'separate' ? [] : escs;
  const pairs = bought.map((e) => ({ rest: [e], powers: [] }));
  if (powers.length === 0) return pairs;
  return [
    ...pairs,
    ...bought.map((e) => ({ rest: [e], powers })),
    ...(bringsOwnEsc(build) ? [{ rest: [], powers }] : []),
  ];
}

function possibleShapes(build: Build, escs: number, powers: number): number {
  const bought = build.motors.esc === 'separate' ? 0 : escs;
  return bought + bought * powers + (bringsOwnEsc(build) ? powers : 0);
}

interface Node extends Shape {
  bound: number;
  controller: MemberBound;
}

/** Controllers and what is put with them, by a bound that none of the power boards exceeds, best first. */
function nodesOf(of: BuildBound, controllers: readonly MemberBound[], shapes: readonly Shape[]): Node[] {
  const likeliest = new Map<readonly MemberBound[], MemberBound[]>();
  for (const { powers } of shapes) if (!likeliest.has(powers)) likeliest.set(powers, bestOfAll(powers));
  return controllers
    .flatMap((controller) =>
      shapes.map((shape) => ({
        ...shape,
        controller,
        bound: setBound(of, [controller, ...shape.rest, ...likeliest.get(shape.powers)!]),
      })),
    )
    .filter((n) => n.bound > -Infinity)
    .sort((a, b) => b.bound - a.bound);
}

/** As good in everything as the best of them is in each. */
function bestOfAll(members: readonly MemberBound[]): MemberBound[] {
  const [first] = members;
  if (!first) return [];
  return [
    {
      ...first,
      worth: first.worth.map((_, r) => Math.max(...members.map((m) => m.worth[r]!))),
      open: members.every((m) => m.open),
      grams: Math.min(...members.map((m) => m.grams)),
      cents: Math.min(...members.map((m) => m.cents)),
    },
  ];
}

function piecesOfBounds(controller: MemberBound, rest: readonly MemberBound[]): Pieces {
  const of = (role: ReturnType<typeof roleOf>) => rest.find((m) => roleOf(m.board) === role)?.board;
  return { controller: controller.board, esc: of('esc'), power: of('power board') };
}

function memberOut({ board }: MemberBound, finding: Finding): MemberOut {
  return { id: board.id, name: board.name, finding };
}

/** The same order as that of a bound: class before score. */
function keyOf(climb: Climb): number {
  return scoreOf(climb).low + (climb.verdict === 'cannot say yet' ? 0 : 10);
}

/** What is known of a controller before any set of it is wired: from its climb with all that any member could give. */
interface Hope {
  most: Float64Array;
  /** It is wired best on its own rails even then, so every set of it is wired just so; null: it takes something of others. */
  settled: WiredAlike | null;
}

/** Is everything fed by the controller itself, whatever others offer? */
function usesOnlyOwn({ hookup }: Climb, controller: Board): boolean {
  const own = new Set(controller.rails.map((r) => r.id));
  const feed = hookup.bridges.find((b) => b.bridge === feedBridge);
  return (
    (feed === undefined || feed.position === positionOf('own')) &&
    !controller.rails.some((r) => r.source.kind === 'esc') &&
    hookup.parts.every(
      (p) =>
        p.supplies.every((s) => own.has(s.rail)) &&
        p.links.every((l) => l.pads.every(({ pad }) => controller.pads.some((x) => x.id === pad))),
    )
  );
}

/** Does the wiring of the controller not hang on what this member sends it: telemetry, current, revolutions? */
function asksNothing({ parts }: Build, board: Board): boolean {
  const links = parts.flatMap((p) => p.peripheral.modes.flatMap((m) => m.links));
  const telemetry = links.some((l) => l.kind === 'serial' && l.protocol === 'esc-telemetry');
  const current = links.some((l) => l.kind === 'analogue' && l.input === 'current');
  const overMotorWires = links.some((l) => l.kind === 'motor line');
  return (
    !overMotorWires &&
    (!telemetry || !board.esc?.telemetry || flag(board.esc.telemetry) === 'yes') &&
    (!current || board.currentSensor === undefined) &&
    board.escPlug?.rigid !== true
  );
}

/** Most worth of rungs 4 to 7 for any set with a controller, from its climb with all that members could give: what is open even then stays open. */
function mostHoped(climb: Climb): Float64Array {
  return Float64Array.from(climb.rungs, ({ rung, state }) => (rung >= 4 && rung <= 7 && state === 'unknown' ? 0 : 1));
}

/** One ESC and one power board that give every rail which any of the members gives. */
function relaxedOf(escs: readonly MemberBound[], powers: readonly MemberBound[]): Omit<Pieces, 'controller'> {
  const givers = [...escs, ...powers].flatMap((m) => m.board.rails).filter((r) => r.source.kind === 'regulator');
  const esc = escs.find((m) => m.count === 1)?.board ?? escs[0]?.board;
  const model = (powers[0] ?? escs[0])?.board;
  if (!model) return {};
  const byVolts = new Map<string, Rail>();
  for (const rail of givers) {
    if (rail.source.kind !== 'regulator') continue;
    const key = JSON.stringify(interval(rail.source.outVolts));
    const before = byVolts.get(key);
    if (!before || ratedOf(rail) > ratedOf(before)) byVolts.set(key, rail);
  }
  const pack: Rail = { id: 'pack', label: 'Pack', pads: ['pack'], source: { kind: 'pack' } };
  const rails = [...byVolts.values()].map((r, i): Rail => ({
    ...r,
    id: `r${i}`,
    pads: [`r${i}`],
    source: {
      ...(r.source as Extract<Rail['source'], { kind: 'regulator' }>),
      input: 'pack',
      dropOutVolts: { value: 0, origin: 'assumed' },
    },
  }));
  const pads = ['pack', ...rails.map((r) => r.id), 'gnd'].map((id, order) => ({
    ...model.pads[0]!,
    id,
    label: id,
    order,
  }));
  const chip = powers.find((m) => flag(m.board.video?.overlayChip ?? { unknown: true }) === 'yes')?.board;
  const drawn = chip ? [...pads, ...chip.pads.map((p) => ({ ...p, id: `chip-${p.id}` }))] : pads;
  const power: Board = {
    ...model,
    kind: 'power board',
    id: 'any',
    pads: drawn,
    allPads: [...escs, ...powers].map((m) => m.board.allPads).find((f) => flag(f) !== 'yes') ?? model.allPads,
    grounds: ['gnd'],
    rails: [pack, ...rails],
    plugs: [],
    bridges: [],
    currentSensor: undefined,
    video: chip?.video && {
      ...chip.video,
      cameraIns: chip.video.cameraIns.map((p) => `chip-${p}`),
      out: chip.video.out && `chip-${chip.video.out}`,
    },
  };
  // Whether an ESC sends telemetry is asked of each set.
  const sends = { value: true, origin: 'assumed' as const };
  return {
    esc: esc && {
      ...esc,
      currentSensor: undefined,
      escPlug: undefined,
      esc: { ...(esc.esc ?? unknownEsc), telemetry: sends },
      motorLine: { value: 'digital both ways', origin: 'assumed' },
      digitalCurrent: { there: sends },
    },
    power,
  };
}

function ratedOf({ source }: Rail): number {
  if (source.kind !== 'regulator') return 0;
  return isKnown(source.ratedAmps) ? interval(source.ratedAmps).high : Infinity;
}
