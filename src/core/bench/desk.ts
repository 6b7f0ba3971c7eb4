import { deskDraws } from '../check/desk';
import type { Climb } from '../climb';
import type { Build } from '../model/build';
import { usbAmps } from '../trade/rating';

export interface DeskPart {
  id: string;
  name: string;
  /** What USB alone does for the part, in words. */
  says: string;
  /** Typical amps that it draws of USB; 0 where its rail is dead then. */
  amps: number;
}

/** The desk state: only USB plugged in (USB 2.0, 7.2.1: 500 mA). `amps`: of what must live on USB; `restAmps`: of what is alive on it besides, and may stay dark; `allEnough`: it need not. */
export function deskState(build: Build, climb: Climb): { parts: DeskPart[]; amps: number; restAmps: number; limitAmps: number; enough: boolean; allEnough: boolean } {
  const draws = new Map(deskDraws(build, climb.hookup).map((d) => [d.id, d]));
  const parts = climb.hookup.parts.map((p): DeskPart => {
    const asked = p.supply?.conditions.find((c) => c.why.includes('on USB'));
    const alive = draws.has(p.id) ? 'alive on USB, though it need not be' : 'not asked to live on USB';
    const says = !p.mode ? 'left out' : !p.supply ? 'takes no power' : asked ? asked.why : alive;
    return { id: p.id, name: p.name, says, amps: draws.get(p.id)?.amps ?? 0 };
  });
  const sum = (asked: boolean) => [...draws.values()].reduce((amps, d) => (d.asked === asked ? amps + d.amps : amps), 0);
  const amps = sum(true);
  const restAmps = sum(false);
  return { parts, amps, restAmps, limitAmps: usbAmps, enough: amps <= usbAmps, allEnough: amps + restAmps <= usbAmps };
}
