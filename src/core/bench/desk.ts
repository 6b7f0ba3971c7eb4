import { reasonWords } from '../words/reason-words';
import { deskDraws, sumOf } from '../rungs/desk';
import type { Climb } from '../evaluate/climb';
import type { Build } from '../records/build';
import { usbAmps } from '../trade/usb';
import { elementOf, nodeOf } from '../simulate/names';
import { operatingPoint } from '../simulate/operating-point';
import { benchScene } from '../simulate/scene';
import { netlistOn, suppliesOn, voltsBetween, type Bench } from './on-the-bench';

export interface DeskPart {
  id: string;
  name: string;
  /** What USB alone does for the part, in words. */
  says: string;
  /** Typical amps that it draws of USB; 0 where its rail is dead then, null where nobody says. */
  amps: number | null;
}

export interface Desk {
  parts: DeskPart[];
  /** Of what must live on USB, as far as it is said. */
  amps: number;
  /** Of what is alive on it besides, and may stay dark. */
  restAmps: number;
  limitAmps: number;
  enough: boolean;
  /** Nothing need stay dark. */
  allEnough: boolean;
  /** Names of those alive on USB whose draw nobody says: the sums are at least so much. */
  unsaid: string[];
}

/** The desk state: only USB plugged in (USB 2.0, 7.2.1: 500 mA). */
export function deskState(build: Build, climb: Climb): Desk {
  const draws = new Map(deskDraws(build, climb.hookup).map((d) => [d.id, d]));
  const parts = climb.hookup.parts.map((p): DeskPart => {
    const asked = p.supplies[0]?.conditions.find(
      (c) => c.reason.code === 'alive on USB' || c.reason.code === 'host on USB',
    );
    const alive = draws.has(p.id) ? 'alive on USB, though it need not be' : 'not asked to live on USB';
    let says: string;
    if (!p.mode) says = 'left out';
    else if (p.supplies.length === 0) says = 'takes no power';
    else if (asked) says = reasonWords(asked.reason);
    else says = alive;
    return { id: p.id, name: p.name, says, amps: draws.get(p.id)?.amps ?? (draws.has(p.id) ? null : 0) };
  });
  const all = [...draws.values()];
  const amps = sumOf(all.filter((d) => d.asked));
  const restAmps = sumOf(all.filter((d) => !d.asked));
  const unsaid = all.filter((d) => d.amps === null).map((d) => d.name);
  return {
    parts,
    amps,
    restAmps,
    limitAmps: usbAmps,
    enough: amps <= usbAmps,
    allEnough: amps + restAmps <= usbAmps,
    unsaid,
  };
}

/** What stands on the desk in one state of it. */
export interface DeskSolved {
  says: string;
  /** Volts by rail and at the first supply of each part; empty where the circuit has no rest. */
  rails: Record<string, number>;
  parts: Record<string, number>;
  usbAmps: number | null;
}

/** USB alone, where what need not live on it stays dark, and USB with the pack: solved. */
export function onTheDesk(bench: Bench): DeskSolved[] {
  const states = [
    benchScene({ says: 'USB alone', pack: null, usb: true, draws: 'asked' }),
    benchScene({ says: 'USB and pack', usb: true }),
  ];
  return states.map((scene): DeskSolved => {
    const solved = operatingPoint(netlistOn(bench, scene));
    if (!solved.ok) return { says: scene.says, rails: {}, parts: {}, usbAmps: null };
    const rails = bench.board.rails.flatMap((r) => {
      const node = nodeOf.rail(r.id);
      return solved.volts.has(node) ? [[r.id, voltsBetween(solved, node, nodeOf.boardGround)] as const] : [];
    });
    const parts = suppliesOn(bench, solved)
      .reverse()
      .map((s) => [s.part, s.volts] as const);
    return {
      says: scene.says,
      rails: Object.fromEntries(rails),
      parts: Object.fromEntries(parts),
      usbAmps: -solved.amps.get(elementOf.usb)!,
    };
  });
}
