import { inMoneyOf } from '../bill/exchange';
import { centsOf, currencySign } from '../quantity/money';
import { evaluate } from '../evaluate/climb';
import { figuresOf } from '../figures/board-figures';
import { railFigures } from '../figures/rail-figures';
import type { Board, Offer } from '../records/board';
import type { Build } from '../records/build';
import type { GeneralSolver } from '../solver/budget';
import { boardsWithin } from '../sets/within';
import { rankClimbs, type Ranked } from './rank-shelf';

/** How far one figure of the picked board may go before another board is picked. */
export interface Tipping {
  field: string;
  says: string;
  unit: string;
  now: number;
  /** The value at which it tips, to a hundredth of the figure; towards less or more. */
  at: number;
  direction: 'below' | 'above';
  then: string;
}

interface Dial {
  field: string;
  says: string;
  unit: string;
  now: number;
  /** Comes in whole numbers: it tips at the next of them. */
  whole: boolean;
  set: (b: Board, value: number) => Board;
}

/** For each number of the first board, the nearest value at which it stops being first, by halving: the rules are monotone in each. Nearest first. */
export function tippingPoints(
  build: Build,
  board: Board,
  ranked: readonly Ranked[],
  general: GeneralSolver | null = null,
): Tipping[] {
  const others = ranked.filter((r) => r.climb.boardId !== board.id).map((r) => r.climb);
  const firstWith = (b: Board) => rankClimbs([...others, evaluate(build, b, general)])[0]!.climb;
  return dialsOf(build, board)
    .flatMap((dial): Tipping[] =>
      (['below', 'above'] as const).flatMap((direction): Tipping[] => {
        let stays = dial.now;
        let tips = direction === 'below' ? 0 : dial.now * 10 + 1;
        let then = firstWith(dial.set(board, tips));
        if (then.boardId === board.id) return [];
        for (let i = 0; i < 14 && Math.abs(tips - stays) > 0.005 * Math.max(0.1, dial.now); i++) {
          const middle = (stays + tips) / 2;
          const first = firstWith(dial.set(board, middle));
          if (first.boardId === board.id) stays = middle;
          else {
            tips = middle;
            then = first;
          }
        }
        let at: number;
        if (dial.whole) {
          if (direction === 'below') at = Math.ceil(tips);
          else at = Math.floor(tips);
        } else at = Number(tips.toPrecision(3));
        return [
          {
            field: dial.field,
            says: dial.says,
            unit: dial.unit,
            now: dial.now,
            at,
            direction,
            then: then.boardName,
          },
        ];
      }),
    )
    .sort((a, b) => distance(a) - distance(b));
}

function distance(t: Tipping): number {
  return Math.abs(t.at - t.now) / Math.max(1e-9, t.now);
}

/** Of a set, the numbers of each of its members. */
function dialsOf(build: Build, candidate: Board): Dial[] {
  return boardsWithin(build, candidate).flatMap(({ board, change }) =>
    dialsOfBoard(inMoneyOf(build, board), build.currency).map((dial) => ({
      ...dial,
      says: candidate.members ? `${board.name}: ${dial.says}` : dial.says,
      set: (whole: Board, value: number) => change(whole, (b) => dial.set(b, value)),
    })),
  );
}

function dialsOfBoard(board: Board, currency: string): Dial[] {
  const amps = railFigures(board).filter((f) => f.logged && f.unit === 'A');
  const single = [...figuresOf(board), ...amps].flatMap((f): Dial[] => {
    const figure = f.get(board);
    // What goes by the steps of what is made does not go by more or less.
    if (!figure || !('value' in figure) || typeof figure.value !== 'number' || f.steps === 'made') return [];
    const set = (b: Board, value: number) => f.set(b, { ...figure, value } as never);
    return [{ field: f.field, says: f.says, unit: f.unit, now: figure.value, whole: f.steps === 'whole', set }];
  });
  const landed = (o: Offer) => o.cents + (o.shippingCents ?? 0);
  const offer = [...board.offers].sort((a, b) => landed(a) - landed(b))[0];
  const price: Dial[] = offer
    ? [
        {
          field: 'offers',
          says: 'Landed price',
          unit: currencySign(currency),
          now: landed(offer) / 100,
          whole: false,
          set: (b, value) => ({ ...b, offers: [{ ...offer, cents: centsOf(value), shippingCents: 0 }] }),
        },
      ]
    : [];
  return [...single, ...price];
}
