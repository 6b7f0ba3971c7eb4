import type { Build } from '../records/build';
import { interval, type Interval, type NumberFigure } from '../quantity/figure';
import { lowestVolts, packSwing } from '../trade/cell';

type Pack = Build['pack'];

/** What of a build decides the volts of its rails, and the motors' amps. */
export interface Powered {
  pack: Volts;
  morePacks?: Volts[];
  motors: Pick<Build['motors'], 'count' | 'peakAmps' | 'atVolts'> & Partial<Pick<Build['motors'], 'esc' | 'ownEsc'>>;
}
type Volts = Pick<Pack, 'cells' | 'chemistry' | 'cellMilliohm' | 'massG'>;

/** Every pack that the craft is to fly with, the usual one first: all that is said of volts must hold for each of them. */
export function packsOf<P>({ pack, morePacks = [] }: { pack: P; morePacks?: P[] }): [P, ...P[]] {
  return [pack, ...morePacks];
}

/** From the empty pack under load to the full one, over all packs, in volts. */
export function packVolts(build: Powered): Interval {
  const swings = packsOf(build).map(packSwing);
  return { low: Math.min(...swings.map((s) => s.low)), high: Math.max(...swings.map((s) => s.high)) };
}

/** The lowest volts of any pack at full throttle; between the ends lies what is not known. */
export function saggedVolts(build: Powered): Interval {
  const amps = build.motors.count * peakAmps(build);
  const lowest = packsOf(build).map((pack) => lowestVolts(pack, amps));
  return { low: Math.min(...lowest.map((v) => v.low)), high: Math.min(...lowest.map((v) => v.high)) };
}

/** Fewest and most cells of all packs. */
export function packCells(build: Powered): Interval {
  const cells = packsOf(build).map((p) => p.cells);
  return { low: Math.min(...cells), high: Math.max(...cells) };
}

/** The heaviest pack; not known where one that may be the heaviest is not. */
export function heaviestPack(build: Powered): NumberFigure {
  const figures = packsOf(build).map((p) => p.massG);
  const [first] = figures;
  const most = (end: keyof Interval) => Math.max(...figures.map((f) => interval(f)[end]));
  return figures.find((f) => interval(f).high === most('high') && interval(f).low === most('low')) ?? mixed(first!);

  function mixed(any: NumberFigure): NumberFigure {
    const [low, high] = [most('low'), most('high')];
    if (!Number.isFinite(high)) return { unknown: true };
    return { low, high, origin: 'origin' in any ? any.origin : 'assumed', source: 'the heaviest of several packs' };
  }
}

/**
 * Amps of one motor on these packs. Amps that were stated at other volts are brought over: a propeller's power goes with the cube of its speed, and that with the
 * volts, so full throttle on the full pack draws as their square; cruise asks for the same power, so fewer volts draw more amps (rotor theory of any handbook).
 */
export function motorAmps(build: Build): { cruise: number; peak: number } {
  const { cruiseAmps, atVolts } = build.motors;
  const cruise = atVolts === undefined ? cruiseAmps : (cruiseAmps * atVolts) / packVolts(build).low;
  return { cruise, peak: peakAmps(build) };
}

function peakAmps(build: Powered): number {
  const { peakAmps: stated, atVolts } = build.motors;
  return atVolts === undefined ? stated : stated * (packVolts(build).high / atVolts) ** 2;
}
