import type { Climb } from '../evaluate/climb';
import { withFixes } from '../fix/apply';
import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { suppliedName, type Hookup } from '../wiring/hookup';
import { hookupNetlist, type HookupNetlist } from '../simulate/hookup-netlist';
import { nodeOf } from '../simulate/names';
import type { Netlist } from '../simulate/netlist';
import type { Scene } from '../simulate/scene';
import type { Solved } from '../simulate/newton';
import { interval, isKnown } from '../quantity/figure';

/** What lies on the bench: the build and the board with what was bought for them in place, wired as the climb says. */
export interface Bench {
  build: Build;
  board: Board;
  hookup: Hookup;
}

export function benchOf(asked: Build, bought: Board, climb: Climb): Bench {
  return { ...withFixes(asked, bought), hookup: climb.hookup };
}

export function netlistOn({ build, board, hookup }: Bench, scene: Scene): HookupNetlist {
  return hookupNetlist(build, board, hookup, scene);
}

/** The circuit without some of its elements. */
export function without<N extends Netlist>(net: N, ...ids: string[]): N {
  return { ...net, elements: net.elements.filter((e) => !ids.includes(e.id)) };
}

export function voltsBetween({ volts }: Pick<Solved, 'volts'>, plus: string, minus: string): number {
  return (volts.get(plus) ?? 0) - (volts.get(minus) ?? 0);
}

/** A part's supply as it stands in a solved circuit. */
export interface Standing {
  part: string;
  name: string;
  supply: string;
  volts: number;
  leastVolts: number | null;
  mostVolts: number | null;
}

export function suppliesOn({ build, hookup }: Bench, solved: Pick<Solved, 'volts'>): Standing[] {
  return hookup.parts.flatMap((wired) => {
    const mode = build.parts.find((p) => p.id === wired.id)?.peripheral.modes.find((m) => m.id === wired.mode?.id);
    return wired.supplies.map((s): Standing => {
      const asks = mode?.supplies.find((x) => x.id === s.id);
      return {
        part: wired.id,
        name: suppliedName(wired, s),
        supply: s.id,
        volts: voltsBetween(solved, nodeOf.plus(wired.id, s.id), nodeOf.minus(wired.id, s.id)),
        leastVolts: asks && isKnown(asks.minVolts) ? interval(asks.minVolts).high : null,
        mostVolts: asks && isKnown(asks.maxVolts) ? interval(asks.maxVolts).low : null,
      };
    });
  });
}

/** So much below its least volts a part still runs: the hundredths are not known. */
const runsFrom = 0.97;

export function isDark({ volts, leastVolts }: Standing): boolean {
  return volts < (leastVolts ?? 2) * runsFrom;
}

/** A part that would be destroyed: beyond what it stands, or turned round. */
export function isBurnt({ volts, mostVolts }: Standing): boolean {
  return volts < -0.5 || (mostVolts !== null && volts > mostVolts * 1.03);
}
