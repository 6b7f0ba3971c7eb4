import { interval, isKnown, type Interval } from '../quantity/figure';
import { railsFedByEsc } from '../circuit/esc-supply';
import { railPlugs } from '../circuit/plug-pins';
import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { arrivesShare } from '../trade/comfort';
import { usbAmps } from '../trade/usb';
import { settlesAtCelsius, sleeveMostCelsius } from '../trade/wire';
import { suppliedName, type Hookup } from '../wiring/hookup';
import { hookupNetlist } from './hookup-netlist';
import { elementOf, nodeOf } from './names';
import type { Solved } from './newton';
import { operatingPoint } from './operating-point';
import { auditScenes, type Scene } from './scene';

/** A joint of which the solved circuit says that it does not hold. */
export interface Contradiction {
  scene: string;
  code:
    | 'too few volts'
    | 'too many volts'
    | 'regulator overloaded'
    | 'usb overloaded'
    | 'pin overloaded'
    | 'wire too hot'
    | 'back-feeds'
    | 'not solved';
  /** The part, rail or wire. */
  about: string;
  /** What the circuit says and what the joint stands, in the unit of the code: V, A, C. */
  found: number;
  stands: number;
}

/**
 * All scenes solved and every joint held against what it stands. For a hookup that the rungs let through nothing may come back: what comes is an error of ours. `build` and `board`
 * with their fixes in place.
 */
export function auditHookup(build: Build, board: Board, hookup: Hookup): Contradiction[] {
  return auditScenes.flatMap((scene) => {
    const solved = operatingPoint(hookupNetlist(build, board, hookup, scene, { signals: false }));
    const at = { scene: scene.says };
    if (!solved.ok) return [{ ...at, code: 'not solved' as const, about: scene.says, found: 0, stands: 0 }];
    return [
      ...partVolts(build, hookup, scene, solved),
      ...regulators(build, board, scene, solved),
      ...usb(scene, solved),
      ...wires(board, hookup, scene, solved),
    ].map((c) => ({ ...at, ...c }));
  });
}

type Found = Omit<Contradiction, 'scene'>;

/** What numbers of two methods may differ by before it means something: volts, and a share of amps. */
const slackVolts = 0.03;
const slackShare = 1.02;

/** Volts inside the part's own range, at the part. */
function partVolts(build: Build, hookup: Hookup, scene: Scene, { volts }: Solved): Found[] {
  return hookup.parts.flatMap((wired) => {
    const part = build.parts.find((p) => p.id === wired.id);
    const mode = part?.peripheral.modes.find((m) => m.id === wired.mode?.id);
    return wired.supplies.flatMap((s): Found[] => {
      const asks = mode?.supplies.find((x) => x.id === s.id);
      if (!part || !asks) return [];
      const arrives = volts.get(nodeOf.plus(part.id, s.id))! - volts.get(nodeOf.minus(part.id, s.id))!;
      const about = suppliedName(wired, s);
      const most = interval(asks.maxVolts).low;
      if (scene.end === 'high' && arrives > most + slackVolts)
        return [{ code: 'too many volts', about, found: arrives, stands: most }];
      // On USB a little less than asked was weighed by the rungs already, and only what must live on it has to.
      const wanted = scene.pack !== null;
      const leastVolts = interval(asks.minVolts).high * arrivesShare.nearly;
      if (scene.end === 'low' && wanted && arrives < leastVolts - slackVolts)
        return [{ code: 'too few volts', about, found: arrives, stands: leastVolts }];
      return [];
    });
  });
}

/** Amps of every regulator within its rating, and none driven backwards. */
function regulators(build: Build, board: Board, scene: Scene, { amps }: Solved): Found[] {
  return railsFedByEsc(board, build).flatMap(({ id, label, source }): Found[] => {
    if (source.kind !== 'regulator') return [];
    const gives = -(amps.get(elementOf.regulator(id)) ?? 0);
    const rated: Interval = isKnown(source.ratedAmps) ? interval(source.ratedAmps) : { low: Infinity, high: Infinity };
    if (scene.draws === 'peak' && gives > rated.low * slackShare + 0.005)
      return [{ code: 'regulator overloaded', about: label, found: gives, stands: rated.low }];
    if (gives < -0.005) return [{ code: 'back-feeds', about: label, found: -gives, stands: 0 }];
    return [];
  });
}

function usb(scene: Scene, { amps }: Solved): Found[] {
  if (!scene.usb) return [];
  const gives = -amps.get(elementOf.usb)!;
  if (scene.draws === 'asked' && gives > usbAmps * slackShare)
    return [{ code: 'usb overloaded', about: 'USB', found: gives, stands: usbAmps }];
  if (gives < -0.005) return [{ code: 'back-feeds', about: 'USB', found: -gives, stands: 0 }];
  return [];
}

/** Wires below what their sleeve stands, pins within their amps. */
function wires(board: Board, hookup: Hookup, scene: Scene, { amps }: Solved): Found[] {
  if (scene.draws !== 'peak') return [];
  const found: Found[] = [];
  const pins = new Map<string, { about: string; amps: number; most: number }>();
  for (const wired of hookup.parts)
    for (const s of wired.supplies) {
      const carried = Math.abs(amps.get(elementOf.wire(wired.id, s.id)) ?? 0);
      const celsius = settlesAtCelsius(s.gauge, carried);
      if (celsius > sleeveMostCelsius)
        found.push({ code: 'wire too hot', about: suppliedName(wired, s), found: celsius, stands: sleeveMostCelsius });
      const rail = board.rails.find((r) => r.id === s.rail);
      const plug = rail && railPlugs(board, rail).find((p) => p.plug.id === s.plug);
      if (!plug) continue;
      const key = `${s.rail} ${plug.plug.id}`;
      const before = pins.get(key)?.amps ?? 0;
      pins.set(key, { about: plug.plug.label, amps: before + carried, most: plug.amps });
    }
  for (const { about, amps: carried, most } of pins.values())
    if (carried > most * slackShare) found.push({ code: 'pin overloaded', about, found: carried, stands: most });
  return found;
}
