import type { Climb } from '../climb';
import type { Build } from '../model/build';
import { usbAmps } from '../trade/rating';

export interface DeskPart {
  id: string;
  name: string;
  /** What USB alone does for the part, in words. */
  says: string;
  /** Typical amps that it takes from USB; 0 where it is not asked to live on it. */
  amps: number;
}

/** The desk state: only USB plugged in (USB 2.0, 7.2.1: 500 mA for all that lives on it). */
export function deskState(build: Build, climb: Climb): { parts: DeskPart[]; amps: number; limitAmps: number; enough: boolean } {
  const parts = climb.hookup.parts.map((p): DeskPart => {
    const asked = build.parts.find((x) => x.id === p.id)?.onUsb ?? false;
    const alive = p.supply?.conditions.find((c) => c.why.includes('on USB'));
    const says = !p.mode ? 'left out' : !p.supply ? 'takes no power' : alive ? alive.why : 'not asked to live on USB';
    return { id: p.id, name: p.name, says, amps: asked && p.supply ? p.supply.typicalAmps : 0 };
  });
  const amps = parts.reduce((sum, p) => sum + p.amps, 0);
  return { parts, amps, limitAmps: usbAmps, enough: amps <= usbAmps };
}
