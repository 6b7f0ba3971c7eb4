import { faultsFor, type BenchFault, type Grade } from './faults';
import type { Bench } from './on-the-bench';
import { burntWith, probesWith, readsAlike, type Probe } from './probes';

/** Seconds that a reading takes, and plugging in through the limiter: our own choice. */
export const costs = {
  unpoweredSeconds: 10,
  poweredSeconds: 15,
  plugSeconds: 60,
  burntPoints: 40,
  secondsAPoint: 5,
} as const;

/** All that the faults of a bench read at every place: worked out once for all rounds. */
export interface Rounds {
  faults: BenchFault[];
  /** In the order of the faults; all have the same places. */
  readings: Probe[][];
  burns: string[][];
}

export function roundsFor(bench: Bench): Rounds {
  const all = faultsFor(bench).map((fault) => ({ fault, probes: probesWith(bench, fault.id) }));
  // Of faults that no reading tells apart only the first is asked: nobody could name the other.
  const told = all.filter((a, i) => !all.slice(0, i).some((b) => alike(a.probes, b.probes)));
  return {
    faults: told.map((t) => t.fault),
    readings: told.map((t) => t.probes),
    burns: told.map((t) => burntWith(bench, t.fault.id)),
  };
}

function alike(a: readonly Probe[], b: readonly Probe[]): boolean {
  return a.every((p) => readsAlike(p.value, b.find((q) => q.id === p.id)?.value ?? null));
}

const grades: readonly Grade[] = ['plain', 'plain', 'hidden', 'hidden', 'sly', 'sly'];

/** The fault that a round hides, by its number: the first six rise from plain to sly, later ones are drawn. One number is one fault, always. */
export function hiddenIn({ faults }: Rounds, round: number): number {
  const grade = grades[round - 1];
  const among = faults.flatMap((f, i) => (f.id !== 'healthy' && (grade === undefined || f.grade === grade) ? [i] : []));
  const pool = among.length > 0 ? among : faults.map((_, i) => i);
  return pool[Math.floor(drawn(round) * pool.length)]!;
}

/** A number from 0 to 1 that belongs to a round (Park & Miller's minimal standard generator, constants from memory). */
function drawn(round: number): number {
  let seed = (round * 2_654_435) % 2_147_483_647;
  for (let i = 0; i < 5; i++) seed = (seed * 48_271) % 2_147_483_647;
  return seed / 2_147_483_647;
}

/** The faults that agree with what has been read so far, by number. */
export function stillPossible({ readings }: Rounds, hidden: number, read: readonly string[]): number[] {
  const value = (fault: number, id: string) => readings[fault]!.find((p) => p.id === id)?.value ?? null;
  return readings.flatMap((_, i) => (read.every((id) => readsAlike(value(i, id), value(hidden, id))) ? [i] : []));
}

/**
 * The shortest way to name the hidden fault as a careful builder would go: at each step the reading that leaves least to doubt (greatest information, Shannon 1948, all faults alike likely), unpowered ones
 * first where they say as much.
 */
export function shortestWay(rounds: Rounds, hidden: number): Probe[] {
  const way: Probe[] = [];
  let left = stillPossible(rounds, hidden, []);
  while (left.length > 1) {
    const probes = rounds.readings[hidden]!;
    let best: { probe: Probe; bits: number } | null = null;
    for (const probe of probes) {
      const bits = information(rounds, left, probe.id) - (probe.powered ? 1e-3 : 0);
      if (!best || bits > best.bits) best = { probe, bits };
    }
    if (!best || best.bits <= 1e-3) break;
    way.push(best.probe);
    left = stillPossible(
      rounds,
      hidden,
      way.map((p) => p.id),
    );
  }
  return way;
}

/** Bits that one reading says of which of some faults it is. */
function information({ readings }: Rounds, left: readonly number[], id: string): number {
  const groups: { value: number | null; count: number }[] = [];
  for (const i of left) {
    const value = readings[i]!.find((p) => p.id === id)?.value ?? null;
    const group = groups.find((g) => readsAlike(g.value, value));
    if (group) group.count++;
    else groups.push({ value, count: 1 });
  }
  return groups.reduce((bits, { count }) => bits - (count / left.length) * Math.log2(count / left.length), 0);
}

export interface Score {
  seconds: number;
  /** 0 to 100. */
  points: number;
  burnt: string[];
}

/** What a round is worth: what it took beyond the shortest way costs points, and so does what powering up burnt. Naming the wrong fault is worth nothing. */
export function scoreOf(rounds: Rounds, hidden: number, read: readonly string[], named: number): Score {
  const taken = read.flatMap((id) => rounds.readings[hidden]!.filter((p) => p.id === id));
  const seconds = secondsOf(taken);
  const burnt = taken.some((p) => p.powered) ? rounds.burns[hidden]! : [];
  const late = Math.max(0, seconds - secondsOf(shortestWay(rounds, hidden)));
  const points = named === hidden ? 100 - late / costs.secondsAPoint - (burnt.length > 0 ? costs.burntPoints : 0) : 0;
  return { seconds, points: Math.max(0, Math.round(points)), burnt };
}

export function secondsOf(probes: readonly Probe[]): number {
  const each = probes.reduce((sum, p) => sum + (p.powered ? costs.poweredSeconds : costs.unpoweredSeconds), 0);
  return each + (probes.some((p) => p.powered) ? costs.plugSeconds : 0);
}
