import { motorAmps } from '../circuit/packs';
import { suppliedName } from '../wiring/hookup';
import { num } from '../rungs/finding';
import type { Climb } from '../evaluate/climb';
import { suppliesOf } from '../circuit/rail-tree';
import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { interval, isKnown } from '../quantity/figure';
import { cellOhm, cellVolts } from '../trade/cell';

export interface SagPoint {
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

/**
 * The pack under throttle: V = cells x (rest volts - cell resistance x amps) (Ohm), amps rising from nought to full throttle in proportion; each rail is its
 * output, or its input less drop-out where that is lower; a part is out where its rail is below its least volts.
 */
export function sagOver(build: Build, board: Board, climb: Climb, charge: 'full' | 'nominal' | 'land'): SagPoint[] {
  const rest = cellVolts[build.pack.chemistry][charge];
  const ohm = cellOhm(build.pack).high;
  const supplies = suppliesOf(board, build);
  const positions = new Map(climb.hookup.bridges.map((b) => [b.bridge, b.position]));
  return Array.from({ length: 21 }, (_, i): SagPoint => {
    const throttlePercent = i * 5;
    const amps = (build.motors.count * motorAmps(build).peak * throttlePercent) / 100;
    const packVolts = Math.max(0, build.pack.cells * (rest - ohm * amps));
    const rails: Record<string, number> = {};
    for (const s of supplies) {
      if (!s.bridges.every((b) => (positions.get(b.bridge) ?? b.position) === b.position)) continue;
      // From the pack downwards through every regulator on the way.
      rails[s.rail.id] = s.reads(packVolts);
    }
    const out = climb.hookup.parts.flatMap((p) => {
      const mode = build.parts.find((x) => x.id === p.id)?.peripheral.modes.find((m) => m.id === p.mode?.id);
      return p.supplies.flatMap((wired) => {
        const minVolts = mode?.supplies.find((s) => s.id === wired.id)?.minVolts;
        const v = rails[wired.rail];
        return v !== undefined && isKnown(minVolts) && v < interval(minVolts).high ? [suppliedName(p, wired)] : [];
      });
    });
    return { throttlePercent, packVolts, amps, rails, out };
  });
}
