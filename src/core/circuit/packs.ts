import type { Build } from '../records/build';
import { exactly, interval, isKnown, type Interval, type NumberFigure } from '../quantity/figure';
import type { Supply } from '../records/peripheral';
import { lowestVolts, packSwing } from '../trade/cell';
import { plugFamily } from '../trade/plug';
import { assumedEfficiency } from '../trade/rating';
import { dropVolts } from '../trade/wire';

type Pack = Build['pack'];

/** What of a build decides the volts of its rails, and the motors' amps. */
export interface Powered {
  pack: Volts;
  morePacks?: Volts[];
  parts?: readonly Fed[];
  motors: Pick<Build['motors'], 'count' | 'peakAmps' | 'atVolts'> & Partial<Pick<Build['motors'], 'esc' | 'ownEsc'>>;
}
type Volts = Pick<Pack, 'cells' | 'chemistry' | 'cellMilliohm' | 'massG'> &
  Partial<Pick<Pack, 'connector' | 'leadGauge' | 'leadMm'>>;
type Fed = Pick<Build['parts'][number], 'priority' | 'peripheral'>;

/** Every pack that the craft is to fly with, the usual one first: all that is said of volts must hold for each of them. */
export function packsOf<P>({ pack, morePacks = [] }: { pack: P; morePacks?: P[] }): [P, ...P[]] {
  return [pack, ...morePacks];
}

/** From the empty pack under load to the full one, over all packs, in volts. */
export function packVolts(build: Powered): Interval {
  const swings = packsOf(build).map(packSwing);
  return { low: Math.min(...swings.map((s) => s.low)), high: Math.max(...swings.map((s) => s.high)) };
}

/** A rail that a regulator of the board makes: the most volts that it may have, and the amps that the board itself takes of it. */
export interface Made {
  volts: number;
  ownAmps: number;
}

/**
 * The lowest volts of any pack at full throttle with all parts at their peak; between the ends lies what is not known. What keeps its watts draws more the lower the pack
 * falls, so at the low end that is followed until it rests.
 */
export function saggedVolts(build: Powered, made: readonly Made[] = []): Interval {
  const motors = build.motors.count * peakAmps(build);
  const highest = Math.max(0, ...made.map((m) => m.volts));
  const lowest = packsOf(build).map((pack) => {
    const behind = leadOhm(pack);
    const before = lowestVolts(pack, exactly(motors), behind);
    const sagging = ({ low, high }: Interval) => {
      const parts = partsAmps(build.parts ?? [], { low, high }, highest);
      const board = made
        .filter((m) => m.ownAmps > 0)
        .reduce((sum, m) => sum + switched(m.ownAmps, m.volts, Math.max(leastVolts, low)), 0);
      return lowestVolts(pack, { low: motors + parts.low, high: motors + parts.high + board }, behind);
    };
    const { high } = sagging(before);
    let { low } = before;
    for (let i = 0; i < mostRounds; i++) {
      const next = sagging({ low, high: before.high }).low;
      if (low - next < restsVolts) return { low: next, high };
      low = next;
    }
    return { low: 0, high };
  });
  return { low: Math.min(...lowest.map((v) => v.low)), high: Math.min(...lowest.map((v) => v.high)) };
}

/** Below so many volts nothing is worked out any more. */
const leastVolts = 0.5;
const restsVolts = 0.0005;
/** A pack that has not come to rest by then goes down. */
const mostRounds = 60;

/** One pair of contacts of a pack plug, in ohm: data sheets, from memory. */
const packPlugOhm = 0.0005;

/** Leads and plug of a pack, out and back, as far as they are said. */
export function leadOhm({ connector, leadGauge, leadMm = 0 }: Volts): number {
  const lead = leadGauge === undefined ? 0 : dropVolts(leadGauge, leadMm, 1);
  const plug = connector !== undefined && plugFamily(connector) ? 2 * packPlugOhm : 0;
  return lead + plug;
}

/**
 * Amps that the parts take of the pack at so many volts. At most: all of them at their peak, behind a linear regulator ampere for ampere, behind a switching one the watts
 * and what it loses. At least: the watts alone of those that must be on board, wired in the way that draws least.
 */
function partsAmps(parts: readonly Fed[], volts: Interval, highestRail: number): Interval {
  const ofModes = (part: Fed, amps: (supply: Supply) => number) =>
    part.peripheral.modes.map((m) => m.supplies.reduce((sum, s) => sum + amps(s), 0));
  const [low, high] = [Math.max(leastVolts, volts.low), Math.max(leastVolts, volts.high)];
  const peak = ({ peakAmps, typicalAmps }: Supply) => (isKnown(peakAmps) ? peakAmps : typicalAmps);
  // One that draws the same amps at any volts takes the most watts on the highest rail that it may stand on.
  const worst = (s: Supply) =>
    s.draw === 'constant power' ? s.atVolts : Math.min(highestRail, interval(s.maxVolts).high);
  const most = (s: Supply) => (isKnown(peak(s)) ? switched(interval(peak(s)).high, worst(s), low) : 0);
  const least = (s: Supply) => {
    if (!isKnown(peak(s))) return 0;
    // One that draws the same amps at any volts takes the fewest watts at the fewest volts.
    const at = s.draw === 'constant power' ? s.atVolts : Math.max(0, interval(s.minVolts).low);
    return interval(peak(s)).low * Math.min(1, at / high);
  };
  const musts = parts.filter((p) => p.priority === 'must');
  return {
    low: musts.reduce((sum, p) => sum + Math.min(...ofModes(p, least)), 0),
    high: parts.reduce((sum, p) => sum + Math.max(...ofModes(p, most)), 0),
  };
}

/** Amps of the pack for amps at the volts of a rail: ampere for ampere, or the watts and what a switching regulator loses, whichever is more. */
function switched(amps: number, volts: number, packVolts: number): number {
  return amps * Math.max(1, volts / (assumedEfficiency * packVolts));
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
