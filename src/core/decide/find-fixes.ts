import { euroIn } from '../bill/exchange';
import type { GeneralSolver } from '../solver/budget';
import { evaluate, type Climb } from '../evaluate/climb';
import { interval } from '../quantity/figure';
import type { Board } from '../records/board';
import { numbered } from '../records/part-names';
import type { Build } from '../records/build';
import type { Fix } from '../records/fix';
import { packVolts } from '../circuit/packs';
import { protocols } from '../trade/protocol';
import { withFixes } from '../fix/apply';
import { otherMembers, type OtherMember } from './other-members';
import { fixPrice, mostOnFourInOne } from '../fix/price';

/** Fixes put in place together, and how far the board then climbs. */
export interface FixSet {
  fixes: Fix[];
  words: string[];
  leftOut: string[];
  /** The rung at which it still stops; null: none breaks any more. */
  stopsAt: Climb['stopsAt'];
  cents: number;
  grams: number;
  effort: number;
  /** The verdict with the fixes in place. */
  verdict: Climb['verdict'];
  /** The address of the set that it becomes by another member; null: it stays the board or set it is. */
  becomes: string | null;
}

const mostPairs = 60;

/** Sets that only lead further are shown as a start: a few of them are enough. */
const mostStarts = 3;

/**
 * The cheapest sets of fixes after which no rung breaks, best first: fewest parts left out (musts before others), then fewest fixes, money, grams, effort. All single fixes are
 * tried, then pairs, and every single other member of the shelf. Where none is enough, those that lead to the highest rung above the one at which it stops now; empty when there are none or nothing breaks.
 */
export function findFixes(
  build: Build,
  board: Board,
  general: GeneralSolver | null = null,
  shelf: readonly Board[] = [],
): FixSet[] {
  const now = evaluate(build, board, general);
  if (now.stopsAt === null) return [];
  const others = otherMembers(build, board, shelf, general);
  // An ESC of the shelf has a price and figures; the one that is still to be chosen stands in only where there is none.
  const candidates = candidatesFor(build, board, now).filter((f) => f.kind !== 'separate ESC' || others.length === 0);
  const climbed = (sets: Fix[][]) => sets.map((fixes) => ({ fixes, climb: climbWith(build, board, fixes, general) }));
  const single = climbed(candidates.map((fix) => [fix]));
  const tried: Tried[] =
    single.some(enough) || others.some((o) => enough(o))
      ? single
      : [...single, ...climbed(pairsOf(candidates).slice(0, mostPairs))];
  const whole = tried.filter(enough);
  const mending = others.filter((o) => enough(o)).map((o) => memberSet(o, now));
  if (whole.length + mending.length > 0)
    return inOrder(build, [...whole.map(({ fixes, climb }) => setOf(build, fixes, climb)), ...mending]).slice(0, 8);
  if (tried.length === 0) return [];
  const highest = Math.max(...tried.map((t) => t.climb.stopsAt!));
  if (highest === now.stopsAt) return [];
  const far = tried.filter((t) => t.climb.stopsAt === highest);
  // A pair of which one alone leads as far says nothing new.
  const alone = far.filter((t) => t.fixes.length === 1).map((t) => t.fixes[0]);
  const starts = far.filter((t) => t.fixes.length === 1 || !t.fixes.some((f) => alone.includes(f)));
  return inOrder(
    build,
    starts.map(({ fixes, climb }) => setOf(build, fixes, climb)),
  ).slice(0, mostStarts);
}

interface Tried {
  fixes: Fix[];
  climb: Climb;
}

function enough({ climb }: Pick<Tried, 'climb'>): boolean {
  return climb.stopsAt === null;
}

/** What another member costs more, or less, than what stands now. */
function memberSet({ words, climb, set }: OtherMember, now: Climb): FixSet {
  const grams = (c: Climb) => c.massG.high ?? c.massG.low;
  return {
    fixes: [],
    words: [words],
    leftOut: [],
    stopsAt: climb.stopsAt,
    verdict: climb.verdict,
    cents: (climb.totalCents ?? 0) - (now.totalCents ?? 0),
    grams: Math.round(10 * (grams(climb) - grams(now))) / 10,
    effort: 0,
    becomes: set.id,
  };
}

function inOrder(build: Build, sets: FixSet[]): FixSet[] {
  const musts = (s: FixSet) =>
    s.fixes.filter((f) => f.kind === 'leave out' && build.parts.some((p) => p.id === f.part && p.priority === 'must'))
      .length;
  const changes = (s: FixSet) => s.fixes.length + Number(s.becomes !== null);
  const open = (s: FixSet) => Number(s.verdict === 'cannot say yet');
  return sets.sort(
    (a, b) =>
      musts(a) - musts(b) ||
      a.leftOut.length - b.leftOut.length ||
      changes(a) - changes(b) ||
      open(a) - open(b) ||
      a.cents - b.cents ||
      a.grams - b.grams ||
      a.effort - b.effort ||
      a.words.join().localeCompare(b.words.join()),
  );
}

function climbWith(build: Build, board: Board, fixes: Fix[], general: GeneralSolver | null): Climb {
  return evaluate(
    { ...build, fixes: { ...build.fixes, [board.id]: [...(build.fixes[board.id] ?? []), ...fixes] } },
    board,
    general,
  );
}

/** Every fix that could apply at all; which of them help is found by climbing. */
function candidatesFor(original: Build, originalBoard: Board, now: Climb): Fix[] {
  const { build, board } = withFixes(original, originalBoard);
  const fixes: Fix[] = [];
  if (now.rungs.some((r) => r.findings.some((f) => f.code === 'mounting' && f.state !== 'holds')))
    fixes.push({ kind: 'adapter plate' });
  if (
    build.motors.esc === 'on the board' &&
    board.outputs.filter((o) => o.can.includes('motor')).length >= build.motors.count
  )
    fixes.push({ kind: 'separate ESC' });
  // Whatever weighs or costs too much may stay behind, wanted or not.
  const tooMuch = now.rungs.some((r) => (r.name === 'Weight' || r.name === 'Cost') && r.state === 'breaks');
  for (const part of build.parts) {
    if (part.priority !== 'must') {
      if (tooMuch) fixes.push({ kind: 'leave out', part: part.id });
      continue;
    }
    const supply = part.peripheral.modes.find((m) => m.supplies.length === 1)?.supplies[0];
    if (supply) {
      const low = packVolts(build).low;
      const volts = [5, 9, 12].find(
        (v) => v >= interval(supply.minVolts).high && v <= interval(supply.maxVolts).low && v + 1 <= low,
      );
      if (volts) fixes.push({ kind: 'external regulator', part: part.id, volts });
    }
    const oneWay = part.peripheral.modes.some((m) =>
      m.links.some(
        (l) =>
          l.kind === 'serial' &&
          ['hear', 'talk'].includes(protocols[l.protocol].wires) &&
          (l.sense ?? protocols[l.protocol].sense) === 'inverted',
      ),
    );
    if (oneWay) fixes.push({ kind: 'signal inverter', part: part.id });
    if (
      part.peripheral.modes.some((m) =>
        m.links.some((l) => l.kind === 'serial' && (l.sendsVolts !== undefined || l.hearsFromVolts !== undefined)),
      )
    )
      fixes.push({ kind: 'level shifter', part: part.id });
    // Nothing flies without its receiver.
    const spare =
      part.peripheral.kind !== 'receiver' ||
      build.parts.some((p) => p.id !== part.id && p.peripheral.kind === 'receiver');
    if (spare) fixes.push({ kind: 'leave out', part: part.id });
  }
  return fixes;
}

function pairsOf(fixes: Fix[]): Fix[][] {
  const pairs = fixes.flatMap((a, i) => fixes.slice(i + 1).map((b) => [a, b]));
  const partOf = (f: Fix) => ('part' in f ? f.part : null);
  const lost = (set: Fix[]) => set.filter((f) => f.kind === 'leave out').length;
  return pairs.filter(([a, b]) => partOf(a!) === null || partOf(a!) !== partOf(b!)).sort((a, b) => lost(a) - lost(b));
}

function setOf(build: Build, fixes: Fix[], climb: Climb): FixSet {
  const sum = (key: 'cents' | 'grams' | 'effort') =>
    fixes.reduce((n, f) => n + fixPrice(f, build.motors.count)[key], 0);
  const { parts } = numbered(build);
  const name = (id: string) => parts.find((p) => p.id === id)?.peripheral.name ?? id;
  return {
    fixes,
    words: fixes.map((f) => fixWords(f, name, build.motors.count)),
    leftOut: fixes.flatMap((f) => (f.kind === 'leave out' ? [name(f.part)] : [])),
    cents: Math.round(sum('cents') * euroIn(build)),
    grams: sum('grams'),
    effort: sum('effort'),
    stopsAt: climb.stopsAt,
    verdict: climb.verdict,
    becomes: null,
  };
}

/** A fix as an order to the buyer. */
export function fixWords(fix: Fix, nameOf: (part: string) => string, motors: number): string {
  switch (fix.kind) {
    case 'leave out':
      return `Leave out ${nameOf(fix.part)}`;
    case 'external regulator':
      return `Feed ${nameOf(fix.part)} from an external ${fix.volts} V regulator on the pack`;
    case 'signal inverter':
      return `Put a signal inverter into the line of ${nameOf(fix.part)}`;
    case 'level shifter':
      return `Put a level shifter into the line of ${nameOf(fix.part)}`;
    case 'adapter plate':
      return 'Mount the board on an adapter plate';
    case 'separate ESC':
      return motors > mostOnFourInOne ? `Add ${motors} single ESCs` : 'Add a separate four-in-one ESC';
  }
}
