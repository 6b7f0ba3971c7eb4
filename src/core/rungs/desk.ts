import { suppliedName, type Hookup } from '../wiring/hookup';
import type { Build } from '../records/build';
import { usbAmps } from '../trade/usb';
import { list, num, type Finding } from './finding';

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
  const said = others.map((d) =>
    d.amps === null ? `${d.name}, whose draw nobody says` : `${d.name} ${num(d.amps, 2)} A`,
  );
  return [
    {
      rung: 7,
      state: 'strained',
      code: 'usb on the desk',
      about: 'USB on the desk',
      sentence: `On the desk all that is alive on USB would draw ${num(all, 2)} A, and USB gives ${num(usbAmps, 1)} A: keep dark or unplugged what need not live on it (${list(said)}).`,
      needed: `${num(all, 2)} A`,
      given: `${num(usbAmps, 1)} A`,
      fix: 'A rail that is dead on USB, where the board has one.',
      grounds: [],
    },
  ];
}
