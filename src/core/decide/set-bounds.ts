import { heaviestPack } from '../circuit/packs';
import { isOnBoard } from '../fix/on-board';
import { interval, isKnown, type NumberFigure } from '../quantity/figure';
import type { Climb } from '../evaluate/climb';
import type { Board } from '../records/board';
import type { Build, Part } from '../records/build';
import { marginOf, stateWithin, worst, type Finding, type RungNumber } from '../rungs/finding';
import { checkFrame } from '../rungs/frame';
import { checkPack } from '../rungs/pack';
import { sanityFindings } from '../rungs/sanity';
import { escFindings } from '../rungs/separate-esc';
import { boardKey } from '../bill/basket';
import { draggedIn } from '../bill/dragged-in';
import { euroIn, inMoneyOf, offersIn } from '../bill/exchange';
import { flownBeside } from '../bill/flown';
import { withFixes } from '../fix/apply';
import { arranged } from '../sets/arranged';
import { isSingleEsc, roleOf } from '../sets/roles';
import { comfort } from '../trade/comfort';
import { atLeast } from '../quantity/truth';
import { rungWorth } from './score';

/**
 * What a member alone says of every set it is in: no rung of the set is worth more, it weighs and costs at least so much. A rung that breaks here breaks in every set.
 */
export interface MemberBound {
  board: Board;
  count: number;
  /** Most worth of rungs 1 to 10, where unknowns count at their worst. */
  worth: Float64Array;
  /** A rung of it is unknown, whatever the others are. */
  open: boolean;
  grams: number;
  cents: number;
  /** Of the parcel that it comes in, at least. */
  shipping: number;
  /** Why no set with it carries the build; null: it may. */
  out: Finding | null;
}

const ofOneMember: readonly Finding['code'][] = ['outline', 'usb reach', 'button reach', 'cables', 'underside'];

export function memberBound(build: Build, shelved: Board): MemberBound {
  const board = inMoneyOf(build, shelved);
  const role = roleOf(board)!;
  const count = isSingleEsc(board) ? Math.max(1, build.motors.count) : 1;
  const inStack = !isSingleEsc(board);
  const findings: Finding[] = [
    ...(inStack
      ? checkFrame(build, board).filter((f) => (role === 'controller' ? ofOneMember : ['outline']).includes(f.code))
      : []),
    ...(role === 'controller' ? [] : checkPack(build, board)),
    ...(role === 'esc' ? escFindings(arranged(build, alone(board, count))) : []),
    ...sanityFindings(board),
  ];
  const mine = (rung: RungNumber) => findings.filter((f) => f.rung === rung);
  const states = rungs.map((rung) => worst(mine(rung).map((f) => f.state)));
  const worth = Float64Array.from(rungs, (rung, i) => {
    const margins = mine(rung).flatMap((f) => (f.margin === undefined ? [] : [f.margin]));
    const margin = margins.length > 0 ? Math.min(...margins) : null;
    return rungWorth({ state: states[i]!, margin, findings: mine(rung) }).low;
  });
  const cents = cheapest(build, board, count);
  const grams = isKnown(board.massG) ? count * interval(board.massG).high : null;
  if (cents === null) worth[8] = 0;
  if (grams === null) worth[7] = 0;
  return {
    board,
    count,
    worth,
    open: states.some((s, i) => s === 'unknown' && i < 9) || cents === null || grams === null,
    grams: grams ?? 0,
    cents: cents ?? 0,
    shipping: cents ? Math.min(...board.offers.map((o) => o.shippingCents ?? 0)) : 0,
    out: findings.find((f) => f.state === 'breaks' && f.rung < 10) ?? null,
  };
}

const rungs: readonly RungNumber[] = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10];

/** An ESC as if it were a set of itself: what the build's motors hang on. */
function alone(board: Board, count: number): Board {
  return { ...board, members: [{ role: 'esc', board, count, pads: {} }] };
}

/** What it costs at least; nothing where it is at home, null where nobody offers it. */
function cheapest(build: Build, board: Board, count: number): number | null {
  const wanted = Math.max(0, count - (build.atHome[boardKey(board)] ?? 0));
  if (wanted === 0) return 0;
  return board.offers.length > 0 ? wanted * Math.min(...board.offers.map((o) => o.cents)) : null;
}

/** What flies and is bought beside the members, at least. */
export interface Beside {
  grams: number;
  cents: number;
  shipping: number;
}

/** What of a build every set carries and pays for: with the parts that must fly, and with all. */
export interface BuildBound {
  limitG: number;
  budgetCents: number;
  musts: Beside;
  all: Beside;
}

export function buildBound(build: Build): BuildBound {
  // A receiver may stay at the shop where the board has one.
  const owed = build.parts.filter(
    (p) =>
      p.priority === 'must' &&
      p.peripheral.kind !== 'receiver' &&
      !p.peripheral.modes.some((mode) => isOnBoard({ mode })),
  );
  return {
    limitG: build.limits.takeOffMassG,
    budgetCents: build.limits.budgetCents,
    musts: besideOf(build, owed),
    all: besideOf(
      build,
      build.parts.filter((p) => p.peripheral.kind !== 'receiver'),
    ),
  };
}

function besideOf(build: Build, parts: readonly Part[]): Beside {
  const bought = parts.filter((p) => !p.owned);
  return {
    grams: parts.reduce((g, p) => g + high(p.peripheral.massG), high(build.bareMassG) + high(heaviestPack(build))),
    cents: bought.reduce((c, p) => c + leastCents(build, p), 0),
    shipping: Math.max(0, ...bought.flatMap((p) => leastShipping(build, p))),
  };
}

/** What is known of all sets that are wired alike, from one of them. */
export interface WiredAlike {
  /** Just what rungs 4 to 7 are worth; 1 elsewhere. */
  worth: Float64Array;
  beside: Beside;
}

export function wiredAlike(build: Build, set: Board | null, climb: Climb): WiredAlike {
  const { hookup } = climb;
  const flown = flownBeside(hookup);
  const beside = besideOf(
    build,
    build.parts.filter((p) => flown.has(p.id)),
  );
  // Whether leads and capacitor are needed is said by the members, not by the wiring.
  const mended = set && withFixes(build, set);
  const small = mended
    ? draggedIn(mended.build, mended.board, hookup).filter((l) => l.key !== 'pack leads' && l.key !== 'capacitor')
    : [];
  return {
    worth: Float64Array.from(climb.rungs, (r) => (r.rung >= 4 && r.rung <= 7 ? rungWorth(r).low : 1)),
    beside: {
      ...beside,
      grams: beside.grams + hookup.cost.deciGrams / 10 + small.reduce((g, l) => g + l.grams, 0),
      cents: beside.cents + small.reduce((c, l) => c + (build.atHome[l.key] ? 0 : l.cents * euroIn(build)), 0),
    },
  };
}

const high = (f: NumberFigure) => (isKnown(f) ? Math.max(0, interval(f).high) : 0);

function leastCents(build: Build, { peripheral: p }: Part): number {
  const offered = offersIn(build, p.offers).offers.map((o) => o.cents);
  return Math.min(p.cents ?? Infinity, ...offered, p.cents === null && offered.length === 0 ? 0 : Infinity);
}

function leastShipping(build: Build, { peripheral: p, owned }: Part): number[] {
  const { offers } = offersIn(build, p.offers);
  // What has a usual price may come from anywhere.
  if (owned || offers.length === 0) return [];
  return [Math.min(...offers.map((o) => o.shippingCents ?? 0))];
}

/** A part that is left out strains one of rungs 4 to 7: the most that is worth there, less than one that holds. */
const leftOutLoses = 0.4;
/** Rungs in a score. */
const share = 1 / rungs.length;

/**
 * No set of these members scores higher (lower end of the score, all rungs alike), and none is of a better class; -Infinity: every one of them breaks. Classes are told apart by a
 * whole ten. `most`: most worth of each rung; `alike`: what is known of sets that are wired as these are.
 */
export function setBound(
  of: BuildBound,
  members: readonly MemberBound[],
  most?: Float64Array,
  alike?: WiredAlike,
): number {
  const cap = alike?.worth ?? most;
  let score = 0;
  for (let r = 0; r < rungs.length; r++) {
    if (r === weight || r === cost) continue;
    let least = cap ? cap[r]! : 1;
    for (const m of members) if (m.worth[r]! < least) least = m.worth[r]!;
    score += least * share;
  }
  let grams = 0;
  let cents = 0;
  let shipping = 0;
  let open = false;
  for (const m of members) {
    grams += m.grams;
    cents += m.cents;
    shipping = Math.max(shipping, m.shipping);
    open ||= m.open;
  }
  const unsaid = (r: number) => members.some((m) => m.worth[r] === 0);
  const tail = (b: Beside) =>
    (unsaid(weight) ? 0 : limitWorth(of.limitG, b.grams + grams, comfort.weight)) +
    (unsaid(cost) ? 0 : limitWorth(of.budgetCents, b.cents + cents + Math.max(shipping, b.shipping), comfort.cost));
  let best: number;
  if (alike) best = tail(alike.beside);
  else {
    const leastOf = tail(of.musts);
    const optional = of.all.grams > of.musts.grams || of.all.cents > of.musts.cents;
    best = leastOf === -Infinity ? leastOf : Math.max(tail(of.all), leastOf - (optional ? leftOutLoses : 0));
  }
  return score + best * share + (open ? 0 : 10);
}

/** Places of two rungs that are sums over the whole. */
const [weight, cost] = [7, 8];

/** Worth of a rung that holds a sum against a limit; -Infinity where it breaks. */
function limitWorth(limit: number, sum: number, comfortShare: number): number {
  if (sum > limit) return -Infinity;
  const margin = marginOf(limit, sum);
  const state = stateWithin(atLeast({ low: limit, high: limit }, { low: sum, high: sum }), margin, comfortShare);
  return rungWorth({ state, margin: margin ?? null }).low;
}
