import { reasonWords } from '../wiring/reason';
import { deskDraws, sumOf } from '../rungs/desk';
import type { Climb } from '../evaluate/climb';
import type { Build } from '../records/build';
import { usbAmps } from '../trade/usb';

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
