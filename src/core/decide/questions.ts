import { euroIn, inMoneyOf } from '../bill/exchange';
import { evaluate, type Climb } from '../evaluate/climb';
import type { GeneralSolver } from '../solver/budget';
import type { Finding } from '../rungs/finding';
import { doubtsAbout } from '../rungs/sanity';
import { mayHaveMore } from '../circuit/all-pads';
import { packVolts } from '../circuit/packs';
import { figuresOf, type BoardFigure } from '../figures/board-figures';
import { circuitFigures } from '../figures/circuit-figures';
import { plausibleEnds } from '../figures/plausible-ends';
import { railFigures } from '../figures/rail-figures';
import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { interval, isKnown, isUnknown, type NumberFigure } from '../quantity/figure';
import { voltsOfCells } from '../trade/cell';
import { carries } from '../evaluate/outcome';
import { boardsWithin } from '../sets/within';
import { padsInPlenty, withPadsOf } from './pads-in-plenty';
import { firstOf, rankClimbs, type Ranked } from './rank-shelf';

/** An unknown figure, or one that cannot be true, that could change which board is picked. */
export interface Question {
  boardId: string;
  boardName: string;
  field: string;
  says: string;
  unit: string;
  /** The sentence to send to the seller. */
  ask: string;
  /** How to find out at home, where that is possible. */
  measure: string | null;
  /** Share of the values tried for which the pick is another than today. */
  changes: number;
  /** 1 easy (read, weigh), 2 a question to the seller, 3 wants a bench. */
  ease: 1 | 2 | 3;
  /** What would be picked instead, and for what values. */
  wouldPick: string;
}

interface Unknown extends Omit<BoardFigure, 'set' | 'plausible'> {
  /** The board it is a figure of: of a set, one of its members. */
  of: Board;
  set: (b: Board, value: unknown) => Board;
  /** As it is now, whatever else has been set. */
  leave: (b: Board) => Board;
  values: unknown[];
}

/**
 * The unknown figures that could change the pick, those that change it for most values first, then the easiest. A board with several unknowns is tried
 * with the others at whatever suits it best: an unknown that decides only then is still a question. Empty: you know enough.
 */
export function questionsFor(
  build: Build,
  boards: readonly Board[],
  ranked: readonly Ranked[],
  general: GeneralSolver | null = null,
): Question[] {
  const pick = ranked.find((r) => carries(r.climb)) ?? null;
  const found: Question[] = [];
  for (const own of ranked) {
    const board = boards.find((b) => b.id === own.climb.boardId);
    if (!board || own.climb.stopsAt !== null) continue;
    const { unknowns, kindly } = unknownsOf(build, board, general);
    for (const u of unknowns) {
      const others = ranked.filter((r) => r.climb.boardId !== board.id).map((r) => r.climb);
      const outcomes = u.values.map((value) => ({
        value,
        first: firstOf([...others, evaluate(build, u.set(kindly, value), general)]),
      }));
      const other = outcomes.filter((o) => o.first !== (pick?.climb.boardId ?? null));
      // Left open it may keep a board from being picked that any value would let through.
      const left = firstOf([...others, evaluate(build, u.leave(kindly), general)]);
      if (outcomes.every((o) => o.first === left)) continue;
      found.push({
        boardId: u.of.id,
        boardName: u.of.name,
        field: u.field,
        says: u.says,
        unit: u.unit,
        ask: `${u.of.maker} ${u.of.name}, revision ${u.of.revision}: ${u.ask}`,
        measure: u.measure?.how ?? null,
        changes: other.length / outcomes.length,
        ease: u.measure?.ease ?? 2,
        wouldPick: pickWords(
          outcomes,
          [...others.map((c) => ({ id: c.boardId, name: c.boardName })), { id: board.id, name: board.name }],
          u.unit,
        ),
      });
    }
  }
  found.sort(
    (a, b) =>
      b.changes - a.changes ||
      a.ease - b.ease ||
      a.boardName.localeCompare(b.boardName) ||
      a.field.localeCompare(b.field),
  );
  // Of a member of several sets it is asked once, for the best of them.
  const sameAs = (q: Question) => found.find((f) => f.boardId === q.boardId && f.field === q.field);
  return found.filter((q) => sameAs(q) === q);
}

/** The value under which the board climbs best, with the unknowns after it still open; of equally good ones that which leaves least open. */
function kindest(build: Build, board: Board, u: Unknown, general: GeneralSolver | null): Board {
  const tried = u.values
    .map((v) => u.set(board, v))
    .map((b) => ({ board: b, climb: evaluate(build, b, general) }))
    .sort((a, b) => openIn(a.climb).length - openIn(b.climb).length);
  const inOrder = (i: number) => String(i).padStart(3, '0');
  const order = rankClimbs(tried.map(({ climb }, i) => ({ ...climb, boardId: inOrder(i) })));
  return tried[Number(order[0]!.climb.boardId)]!.board;
}

/** What a climb leaves open, rung by rung. */
function openIn(climb: Climb): Finding['says'][] {
  return climb.rungs.flatMap((r) => r.findings.filter((f) => f.state === 'unknown').map((f) => f.says));
}

/**
 * Unknown figures, ranges, and figures that cannot be true, of a board or of the members of a set, as far as the climb leans on them, and the board with each at what suits it best. Where two
 * stand in each other's way (the holes and their screws), the second shows only once the first is known.
 */
function unknownsOf(
  build: Build,
  candidate: Board,
  general: GeneralSolver | null,
): { unknowns: Unknown[]; kindly: Board } {
  const climb = evaluate(build, candidate, general);
  // What the circuit leaves open shows as such; where nothing is open, it decides nothing.
  const circuit = openIn(climb).length > 0;
  const open = boardsWithin(build, candidate).flatMap(({ board, change }) =>
    unsaidOf(build, inMoneyOf(build, board), circuit).map((u) => ({
      ...u,
      of: board,
      set: (whole: Board, value: unknown) => change(whole, (b) => u.set(b, value)),
      leave: (whole: Board) => change(whole, u.leave),
    })),
  );
  const leaning = (c: Climb) => JSON.stringify([c.rungs.map((r) => r.state), openIn(c)]);
  const unknowns: Unknown[] = [];
  let [kindly, known] = [candidate, climb];
  do {
    const before = leaning(known);
    // What changes nothing at any value is no question.
    const next = open.filter(
      (u) =>
        !unknowns.includes(u) && u.values.some((v) => leaning(evaluate(build, u.set(kindly, v), general)) !== before),
    );
    if (next.length === 0) break;
    unknowns.push(...next);
    kindly = next.reduce((b, u) => kindest(build, b, u, general), kindly);
    known = evaluate(build, kindly, general);
  } while (known.verdict === 'cannot say yet');
  return { unknowns, kindly };
}

function unsaidOf(build: Build, board: Board, circuit: boolean): Omit<Unknown, 'of'>[] {
  const doubted = new Set(
    doubtsAbout(board)
      .filter((d) => d.impossible)
      .map((d) => d.field),
  );
  const open = [...figuresOf(board), ...railFigures(board), ...(circuit ? circuitFigures(board) : [])].flatMap(
    (f): Omit<Unknown, 'of'>[] => {
      const figure = f.get(board);
      if (f.field === 'allPads') return mayHaveMore(board) ? [padsQuestion(f, board)] : [];
      if (f.field === 'packMaxVolts' && !isKnown(board.packMaxVolts)) return limitQuestion(f, build, board);
      const values = figure
        ? valuesFor(board, f, doubted.has(f.field) ? { unknown: true } : (figure as NumberFigure))
        : null;
      return values
        ? [
            {
              ...f,
              values,
              set: (b, value) => f.set(b, { value, origin: 'assumed' } as never),
              leave: (b) => f.set(b, figure as never),
            },
          ]
        : [];
    },
  );
  return board.offers.every((o) => o.shippingCents === null) ? [...open, priceQuestion(build, board)] : open;
}

/** Pads that are not drawn: none at the worst, at the best whatever the build asks for. */
function padsQuestion(f: BoardFigure, board: Board): Omit<Unknown, 'of'> {
  const [asDrawn, more] = ['as drawn', 'more than is drawn'];
  return {
    ...f,
    values: [asDrawn, more],
    set: (b, value) =>
      value === more
        ? padsInPlenty(withPadsOf(b, board))
        : { ...withPadsOf(b, board), allPads: { value: true, origin: 'assumed' } },
    leave: (b) => withPadsOf(b, board),
  };
}

/** The limit in volts of a board that only says its cells: those of plain ones and of high-voltage ones, where the pack lies between. */
function limitQuestion(f: BoardFigure, build: Build, board: Board): Omit<Unknown, 'of'>[] {
  const { max } = board.packCells;
  if (!isKnown(max)) return [];
  const { low, high } = voltsOfCells(interval(max));
  if (packVolts(build).high <= low) return [];
  const set = (b: Board, value: unknown) => f.set(b, { value, origin: 'assumed' } as never);
  return [{ ...f, values: [low, high], set, leave: (b) => ({ ...b, packMaxVolts: board.packMaxVolts }) }];
}

/** The price of a board that nobody offers: next to nothing, and more than anybody pays. Where only what sending it costs is not said: nothing, and the most that it plausibly is. */
function priceQuestion(build: Build, { offers }: Board): Omit<Unknown, 'of'> {
  const [cheap, dear] = ['cheap enough', 'too dear'];
  const mostSent = Math.round(plausibleEnds.shippingCents.ends[1] * euroIn(build));
  const priced = (value: unknown): Board['offers'] =>
    offers.length === 0
      ? [{ shop: 'some shop', cents: value === cheap ? 1 : 1e8, shippingCents: 0, seen: '2000-01-01' }]
      : offers.map((o) => ({ ...o, shippingCents: value === cheap ? 0 : mostSent }));
  return {
    field: 'offers',
    says: 'Price',
    unit: '',
    ask: 'What does it cost, with shipping?',
    get: () => undefined,
    values: [cheap, dear],
    set: (b, value) => ({ ...b, offers: priced(value) }),
    leave: (b) => ({ ...b, offers }),
  };
}

/** Both ends of a range. What nobody says: all that is plausible and goes with what else is known of the board. */
function valuesFor(board: Board, f: BoardFigure, figure: NumberFigure): unknown[] | null {
  if ('low' in figure) return [figure.low, figure.high];
  if (!isUnknown(figure) || !f.plausible) return null;
  const burst = board.esc?.burstAmps;
  // More than what it stands for moments it cannot stand without end.
  const own = f.field === 'esc.continuousAmps' && isKnown(burst) ? [interval(burst).low] : [];
  const impossible = (b: Board) => doubtsAbout(b).filter((d) => d.impossible).length;
  const nowImpossible = impossible(f.set(board, { unknown: true } as never));
  return [...f.plausible, ...own].filter(
    (value) => impossible(f.set(board, { value, origin: 'assumed' } as never)) <= nowImpossible,
  );
}

function pickWords(
  outcomes: { value: unknown; first: string | null }[],
  names: { id: string; name: string }[],
  unit: string,
): string {
  const by = new Map<string | null, unknown[]>();
  for (const o of outcomes) by.set(o.first, [...(by.get(o.first) ?? []), o.value]);
  const word = (v: unknown) => {
    if (v === true) return 'yes';
    if (v === false) return 'no';
    return `${String(v)}${unit && typeof v === 'number' ? ` ${unit}` : ''}`;
  };
  const called = (id: string | null) => (id === null ? 'nothing' : (names.find((x) => x.id === id)?.name ?? id));
  if (by.size === 1) return `${called([...by.keys()][0]!)}, whatever it turns out to be, once it is known`;
  return [...by].map(([id, values]) => `${called(id)} if it is ${values.map(word).join(' or ')}`).join('; ');
}
