import { mayHaveMore } from '../circuit/all-pads';
import { interval, isKnown, type Interval } from '../quantity/figure';
import { ground } from '../quantity/ground';
import { num, span } from '../quantity/spelled';
import type { Board, Rail } from '../records/board';
import { feedersOf } from '../records/board-links';
import type { Build } from '../records/build';
import { fiveVolts } from '../trade/five-volts';
import type { Finding } from './finding';

/**
 * The board itself must live in flight, whatever hangs on it: a controller that takes its 5 V from an ESC is dead beside one that makes none, and USB hides it on the desk. `bought`: the
 * board as it is sold, `board`: as the build's ESC feeds it.
 */
export function checkOwnSupply(build: Build, board: Board, bought: Board): Finding[] {
  const entries = bought.rails.filter((r) => r.source.kind === 'esc').map((r) => r.id);
  const drawn = board.rails.filter((r) => r.ownAmps);
  const runsOn = drawn.length > 0 ? drawn : board.rails.filter((r) => entries.includes(r.id));
  const dead = runsOn.find((r) => !reaches(board, r.id, 'pack'));
  if (dead) return [nothing(build, board, dead)];
  const entry = board.rails.find(
    ({ id, source }) =>
      source.kind === 'regulator' &&
      entries.includes(id) &&
      runsOn.some((r) => !reaches(board, r.id, 'pack', new Set([id]))),
  );
  return entry ? [fedByEsc(build, entry)] : [];
}

/** Does any way lead to this rail from one with such a source? `without`: rails that do not count. */
function reaches(
  board: Board,
  id: string,
  kind: Rail['source']['kind'],
  without: ReadonlySet<string> = new Set(),
): boolean {
  const source = board.rails.find((r) => r.id === id)?.source;
  if (!source || without.has(id)) return false;
  const on = new Set([...without, id]);
  return source.kind === kind || feedersOf(source).some((from) => reaches(board, from, kind, on));
}

function nothing(build: Build, board: Board, { label, id }: Rail): Finding {
  const drawn = !mayHaveMore(board);
  return {
    rung: 6,
    state: drawn ? 'breaks' : 'unknown',
    code: 'own supply',
    about: 'The board itself',
    says: {
      code: 'nothing feeds the board',
      rail: label,
      esc: build.motors.esc === 'separate' ? (build.motors.ownEsc?.name ?? null) : null,
      usb: reaches(board, id, 'usb'),
      drawn,
    },
    needed: `${num(fiveVolts.low, 1)} to ${num(fiveVolts.high, 1)} V`,
    given: 'nothing',
    fix: { code: 'a source of 5 V' },
    grounds: [],
  };
}

function fedByEsc({ motors }: Build, { source }: Rail): Finding {
  const volts = source.kind === 'regulator' ? source.outVolts : { unknown: true as const };
  const given = isKnown(volts) ? interval(volts) : null;
  const esc = motors.ownEsc?.name ?? null;
  const range = `${num(fiveVolts.low, 1)} to ${num(fiveVolts.high, 1)} V`;
  const state = stateOf(given);
  return {
    rung: 6,
    state,
    code: 'own supply',
    about: 'The board itself',
    says: { code: 'fed by the ESC', esc, volts: given, takes: fiveVolts },
    needed: range,
    given: given ? span(given.low, given.high, 'V', 2) : 'unknown',
    ...(given ? {} : { fix: { code: esc === null ? 'name your ESC' : 'say what your ESC gives' } as const }),
    grounds: [ground(`Volts that ${esc ?? 'the ESC'} gives`, volts, 'V')],
  };
}

function stateOf(given: Interval | null): Finding['state'] {
  if (given && given.low >= fiveVolts.low && given.high <= fiveVolts.high) return 'holds';
  return given && (given.high < fiveVolts.low || given.low > fiveVolts.high) ? 'breaks' : 'unknown';
}
