import { motorAmps } from '../circuit/packs';
import { interval, isKnown } from '../quantity/figure';
import { estimatedAmpHours } from '../trade/cell';
import type { Build } from '../records/build';
import { num } from '../quantity/spelled';
import { elementOf } from '../simulate/names';
import { operatingPoint } from '../simulate/operating-point';
import { benchScene } from '../simulate/scene';
import { netlistOn, type Bench } from './on-the-bench';

export interface FlightTime {
  /** Minutes of cruise until a fifth of the pack is left, shortest and longest as the figures allow. */
  minutes: { low: number; high: number };
  /** Of the pack's amps while cruising: motors, and board with parts. */
  motorAmps: number;
  restAmps: number;
  assumed: string[];
}

/** So much of a pack is flown; the rest spares it: common practice of the trade, no source. */
const flownShare = 0.8;

/** How long the usual pack lasts at cruise, from the solved circuit at its nominal volts; null where the build has no motors, or nobody says enough of the pack. */
export function flightTime(bench: Bench): FlightTime | null {
  const { build } = bench;
  const { cruise, peak } = motorAmps(build);
  if (build.motors.count === 0 || cruise <= 0 || peak <= 0) return null;
  const hours = ampHours(build);
  if (!hours) return null;
  const at = (end: 'low' | 'high') => {
    const solved = operatingPoint(netlistOn(bench, benchScene({ throttle: Math.min(1, cruise / peak), end })));
    return solved.ok ? -solved.amps.get(elementOf.pack)! : null;
  };
  const [most, least] = [at('low'), at('high')];
  if (most === null || least === null) return null;
  const minutes = (amps: number, ampHours: number) => (60 * flownShare * ampHours) / amps;
  const motors = Math.min(cruise, peak) * build.motors.count;
  return {
    minutes: { low: minutes(Math.max(most, least), hours.low), high: minutes(Math.min(most, least), hours.high) },
    motorAmps: motors,
    restAmps: Math.max(0, (most + least) / 2 - motors),
    assumed: [
      `${num(flownShare * 100, 0)} % of the pack is flown, the rest spares it`,
      'steady cruise in still air, the pack at its nominal volts',
      ...(hours.said
        ? []
        : [
            `a pack of ${num(hours.low, 2)} to ${num(hours.high, 2)} Ah, from its mass, since nobody says its capacity`,
          ]),
    ],
  };
}

function ampHours({ pack }: Build): { low: number; high: number; said: boolean } | null {
  if (isKnown(pack.capacityMah)) {
    const { low, high } = interval(pack.capacityMah);
    return { low: low / 1000, high: high / 1000, said: true };
  }
  if (!isKnown(pack.massG)) return null;
  const grams = interval(pack.massG);
  return { ...estimatedAmpHours({ ...pack, gramsLow: grams.low, gramsHigh: grams.high }), said: false };
}
