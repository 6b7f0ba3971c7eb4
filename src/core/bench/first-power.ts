import { counted, list } from '../quantity/spelled';
import { elementOf, nodeOf } from '../simulate/names';
import { operatingPoint } from '../simulate/operating-point';
import { benchScene } from '../simulate/scene';
import { transient } from '../simulate/transient';
import { isBurnt, suppliesOn, voltsBetween, without, type Bench } from './on-the-bench';
import { faultyNetlist } from './faults';

export interface FirstPower {
  /** Milliseconds, volts and amps from the moment of plugging in. */
  moments: { ms: number; packVolts: number; amps: number; rails: Record<string, number> }[];
  /** Rails in the order in which they stand, with the moment. */
  order: { rail: string; label: string; ms: number; volts: number }[];
  inrushAmps: number;
  steadyAmps: number;
  trips: boolean;
  why: string;
  assumed: string[];
}

export interface Plugging {
  /** null: straight from the pack. */
  limitAmps: number | null;
  /** Is the capacitor at the leads soldered in? */
  capacitor: boolean;
  /** A fault that is in the circuit, by its id. */
  fault: string;
}

/** A limiter that still limits after so long counts as tripped: assumed. */
const watchedSeconds = 0.5;
const longestStep = 0.02;

/** A full pack is plugged in, through a limiter or without: the whole circuit run from nothing. Null where the run comes to no end. */
export function firstPower(bench: Bench, { limitAmps, capacitor, fault }: Plugging): FirstPower | { unsolved: string } {
  const scene = benchScene({
    says: limitAmps === null ? 'a full pack plugged in' : `a full pack plugged in through ${limitAmps} A`,
    pack: { charge: 'full', ...(limitAmps === null ? {} : { limiterAmps: limitAmps }) },
  });
  const whole = faultyNetlist(bench, fault, scene);
  const net = capacitor ? whole : without(whole, 'bulk', 'bulk esr');
  const run = transient(net, watchedSeconds, longestStep);
  if (!run.ok) return { unsolved: run.why };
  const amps = (m: (typeof run.moments)[number]) => -(m.amps.get(elementOf.pack) ?? 0);
  const rails = bench.board.rails.filter(
    (r) =>
      r.source.kind !== 'usb' && net.elements.some((e) => e.from === nodeOf.rail(r.id) || e.to === nodeOf.rail(r.id)),
  );
  const stands = (m: (typeof run.moments)[number], rail: string) =>
    voltsBetween(m, nodeOf.rail(rail), nodeOf.boardGround);
  const end = run.moments.at(-1)!;
  const steadyAmps = amps(end);
  const trips = limitAmps !== null && steadyAmps > 0.98 * limitAmps;
  // Asked of the state in which everything already runs: the loads come on last.
  const runs = trips ? operatingPoint(net) : null;
  const needsAmps = runs?.ok ? -runs.amps.get(elementOf.pack)! : null;
  const order = rails
    .flatMap((r) => {
      const final = stands(end, r.id);
      const first = run.moments.find((m) => stands(m, r.id) >= 0.95 * final);
      return final > 0.5 && first
        ? [{ rail: r.id, label: r.label, ms: round(first.seconds * 1000), volts: round(final) }]
        : [];
    })
    .sort((a, b) => a.ms - b.ms);
  const inrushAmps = Math.max(...run.moments.map(amps));
  const charged = run.moments.find(
    (m) => voltsBetween(m, nodeOf.pack, nodeOf.boardGround) > 0.95 * voltsBetween(end, nodeOf.pack, nodeOf.boardGround),
  );
  return {
    moments: thinned(run.moments).map((m) => ({
      ms: round(m.seconds * 1000, 3),
      packVolts: round(voltsBetween(m, nodeOf.pack, nodeOf.boardGround)),
      amps: round(amps(m), 3),
      rails: Object.fromEntries(rails.map((r) => [r.id, round(stands(m, r.id))])),
    })),
    order,
    inrushAmps,
    steadyAmps,
    trips,
    why: [
      words(limitAmps, { inrushAmps, steadyAmps, trips, chargedMs: (charged?.seconds ?? 0) * 1000, needsAmps }),
      burns(bench, run.moments),
      unsaid(bench),
    ]
      .filter(Boolean)
      .join(' '),
    assumed: whole.assumed,
  };
}

function words(
  limitAmps: number | null,
  run: Pick<FirstPower, 'inrushAmps' | 'steadyAmps' | 'trips'> & { chargedMs: number; needsAmps: number | null },
): string {
  const { inrushAmps, steadyAmps, trips, chargedMs, needsAmps } = run;
  if (limitAmps === null)
    return `Straight from the pack up to ${inrushAmps.toFixed(0)} A flow for an instant: that is the spark. After ${chargedMs.toFixed(1)} ms the pack's volts stand, and ${steadyAmps.toFixed(2)} A go on flowing.`;
  if (trips && needsAmps !== null && needsAmps < 0.95 * limitAmps)
    return `It trips, though once it runs the build needs ${needsAmps.toFixed(2)} A: on the way up its regulators ask for more the lower the pack stands. That is a known reason for the next larger limit.`;
  if (trips)
    return `It trips: the limiter of ${limitAmps} A is still at its end after half a second. Either more is asked than it gives, which is a known reason for the next larger limit, or something is wrong: read the volts before you raise it.`;
  return `It does not trip: the pack's volts stand after ${chargedMs.toFixed(1)} ms at ${limitAmps} A, then ${steadyAmps.toFixed(2)} A flow.`;
}

function burns(bench: Bench, moments: readonly { volts: Map<string, number> }[]): string {
  const burnt = new Set(
    moments.flatMap((m) =>
      suppliesOn(bench, m)
        .filter(isBurnt)
        .map((s) => s.name),
    ),
  );
  return burnt.size === 0 ? '' : `What would burn: ${list([...burnt])}.`;
}

function unsaid({ hookup }: Bench): string {
  const names = hookup.parts.filter((p) => p.supplies.some((s) => s.unsaid)).map((p) => p.name);
  return names.length === 0
    ? ''
    : `Nobody says what ${counted(names.length, 'part')} ${names.length === 1 ? 'draws' : 'draw'} (${list(names)}): it may be more.`;
}

/** Enough for a chart: no two moments nearer than a thirtieth of a millisecond in the first 60. */
function thinned<M extends { seconds: number }>(moments: readonly M[]): M[] {
  let last = -1;
  return moments.filter((m) => {
    const ms = m.seconds * 1000;
    if (last >= 0 && ms - last < (ms < 60 ? 0.03 : 10)) return false;
    last = ms;
    return true;
  });
}

function round(value: number, digits = 2): number {
  return Math.round(value * 10 ** digits) / 10 ** digits;
}
