import { suppliedName, type Hookup } from '../wiring/hookup';
import type { Build } from '../records/build';
import { usbAmps } from '../trade/usb';
import { num } from '../quantity/spelled';
import { type Finding } from './finding';

/** What a part does when only USB is plugged in. */
export interface DeskDraw {
  id: string;
  name: string;
  /** Must it live on USB? */
  asked: boolean;
  /** Typical amps that it draws of USB; null where nobody says. */
  amps: number | null;
}

/** What draws of USB alone: whatever hangs on a rail that is alive then, asked to live on it or not. */
export function deskDraws(build: Build, hookup: Hookup): DeskDraw[] {
  return hookup.parts.flatMap((p) =>
    p.supplies
      .filter((s) => s.usbAmps !== 0)
      .map((s) => ({
        id: p.id,
        name: suppliedName(p, s),
        asked: s === p.supplies[0] && build.parts.some((x) => x.id === p.id && x.onUsb),
        amps: s.usbAmps,
      })),
  );
}

/** Amps of those whose draw is said. */
export function sumOf(draws: DeskDraw[]): number {
  return draws.reduce((sum, d) => sum + (d.amps ?? 0), 0);
}

/**
 * What must live on USB is held to its 500 mA by the hookup itself (USB 2.0, 7.2.1). What need not, and is alive all the same, can stay dark or unplugged on the
 * desk: a compromise, with who draws what.
 */
export function checkDesk(build: Build, hookup: Hookup): Finding[] {
  const draws = deskDraws(build, hookup);
  const asked = draws.filter((d) => d.asked);
  const others = draws.filter((d) => !d.asked);
  const all = sumOf(draws);
  if (asked.length === 0 || others.length === 0 || all <= usbAmps) return [];
  return [
    {
      rung: 7,
      state: 'strained',
      code: 'usb on the desk',
      about: 'USB on the desk',
      says: {
        code: 'USB on the desk',
        amps: all,
        gives: usbAmps,
        others: others.map(({ name, amps }) => ({ name, amps })),
      },
      needed: `${num(all, 2)} A`,
      given: `${num(usbAmps, 1)} A`,
      fix: { code: 'dead rail on USB' },
      grounds: [],
    },
  ];
}
