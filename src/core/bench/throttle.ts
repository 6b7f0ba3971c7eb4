import { motorAmps } from '../circuit/packs';
import { isKnown } from '../quantity/figure';
import type { Build } from '../records/build';
import { num } from '../quantity/spelled';
import { elementOf, nodeOf } from '../simulate/names';
import { operatingPoint } from '../simulate/operating-point';
import { benchScene } from '../simulate/scene';
import { transient } from '../simulate/transient';
import { cellOhm } from '../trade/cell';
import { isDark, netlistOn, suppliesOn, voltsBetween, type Bench } from './on-the-bench';

export type Charge = 'full' | 'nominal' | 'land';

export interface ThrottlePoint {
  throttlePercent: number;
  packVolts: number;
  amps: number;
  rails: Record<string, number>;
  /** Parts whose supply is below what they need. */
  out: string[];
}

/** What the throttle picture takes for a cell that nobody has measured, in words; null where its resistance is said. */
export function assumedCell({ pack }: Build): string | null {
  if (isKnown(pack.cellMilliohm)) return null;
  return isKnown(pack.massG)
    ? `Nobody says one cell's resistance: reckoned with ${num(cellOhm(pack).high * 1000, 1)} mΩ, as of a tired pack of this mass.`
    : "Nobody says what the pack weighs, nor one cell's resistance: no sag is reckoned.";
}

/** Pessimistic in the pack, usual in everything else: what a tired pack does to this hookup. */
function scene(charge: Charge, throttle: number) {
  return benchScene({
    says: `${num(throttle * 100, 0)} % throttle`,
    pack: { charge },
    throttle: Math.max(throttle, 1e-3),
    end: 'low',
  });
}

/** The circuit at rest at 21 throttles from nought to full. A throttle at which it has no rest is left out. */
export function overThrottle(bench: Bench, charge: Charge): ThrottlePoint[] {
  return Array.from({ length: 21 }, (_, i) => i * 5).flatMap((throttlePercent): ThrottlePoint[] => {
    const solved = operatingPoint(netlistOn(bench, scene(charge, throttlePercent / 100)));
    return solved.ok ? [{ throttlePercent, ...standing(bench, solved) }] : [];
  });
}

export interface PunchOut {
  moments: (Omit<ThrottlePoint, 'throttlePercent'> & { ms: number })[];
  /** Parts that go dark for a moment, and whether they come back. */
  dips: { name: string; back: boolean }[];
}

const punchSeconds = 0.06;
/** The throttle goes back after so long. */
const heldSeconds = 0.04;

/** From cruise to full throttle at once, held for 40 ms, and back. Null where the run comes to no end. */
export function punchOut(bench: Bench, charge: Charge): PunchOut | null {
  const { cruise, peak } = motorAmps(bench.build);
  const low = peak > 0 ? Math.min(1, cruise / peak) : 0;
  const before = operatingPoint(netlistOn(bench, scene(charge, low)));
  if (!before.ok) return null;
  const up = transient(netlistOn(bench, scene(charge, 1)), heldSeconds, 2e-3, before.unknowns);
  if (!up.ok) return null;
  const down = transient(
    netlistOn(bench, scene(charge, low)),
    punchSeconds - heldSeconds,
    1e-3,
    up.moments.at(-1)!.unknowns,
  );
  if (!down.ok) return null;
  const moments = [
    ...up.moments.map((m) => ({ ms: m.seconds * 1000, ...standing(bench, m) })),
    ...down.moments.slice(1).map((m) => ({ ms: (heldSeconds + m.seconds) * 1000, ...standing(bench, m) })),
  ];
  const names = new Set(moments.flatMap((m) => m.out));
  const end = moments.at(-1)!;
  return { moments, dips: [...names].map((name) => ({ name, back: !end.out.includes(name) })) };
}

function standing(
  bench: Bench,
  solved: { volts: Map<string, number>; amps: Map<string, number> },
): Omit<ThrottlePoint, 'throttlePercent'> {
  const at = (node: string) => Math.round(1000 * voltsBetween(solved, node, nodeOf.boardGround)) / 1000;
  const rails = bench.board.rails.filter((r) => solved.volts.has(nodeOf.rail(r.id)));
  return {
    packVolts: at(nodeOf.pack),
    amps: Math.round(-100 * (solved.amps.get(elementOf.pack) ?? 0)) / 100,
    rails: Object.fromEntries(rails.map((r) => [r.id, at(nodeOf.rail(r.id))])),
    out: suppliesOn(bench, solved)
      .filter(isDark)
      .map((s) => s.name),
  };
}
