import { list } from '../rungs/finding';
import type { Climb } from '../evaluate/climb';
import { suppliesOf } from '../circuit/rail-tree';
import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { interval, isKnown } from '../quantity/figure';
import { cellVolts } from '../trade/cell';

/** Ohm of leads, plug and capacitor together at the first instant: assumed, common practice of the trade, no source. */
export const sourceOhm = 0.08;
/** A regulator starts so many ms after its input is high enough: soft start, assumed. */
const softStartMs = 2;
/** A limiter that still limits after so long counts as tripped: assumed. */
const tripMs = 500;

export interface Moment {
  ms: number;
  packVolts: number;
  amps: number;
  rails: Record<string, number>;
}

export interface PowerUp {
  moments: Moment[];
  /** Rails in the order in which they stand, with the moment. */
  order: { rail: string; label: string; ms: number; volts: number }[];
  inrushAmps: number;
  steadyAmps: number;
  trips: boolean;
  why: string;
}

/** Amps drawn at the pack by the board and all wired parts, at their typical draw, when the pack stands at so many volts. */
export function steadyPackAmps(board: Board, climb: Climb, packVolts: number): number {
  const watts = climb.hookup.parts.reduce(
    (sum, p) => sum + p.supplies.reduce((w, s) => w + s.typicalAmps * Math.min(s.volts.high, packVolts), 0),
    0,
  );
  const own = board.rails.reduce(
    (sum, r) => sum + (r.ownAmps && isKnown(r.ownAmps) ? interval(r.ownAmps).high * 5 : 0),
    0,
  );
  // Through bucks of usual efficiency.
  return (watts + own) / (0.85 * Math.max(0.5, packVolts));
}

/**
 * First power through a limiter of so many amps (null: straight from the pack). The limiter gives what is asked up to its limit; what is left over after the
 * loads charges the capacitors: dV = (I - I_load) dt / C. Without a limiter the charge follows V (1 - exp(-t / RC)).
 */
export function powerUp(
  build: Build,
  board: Board,
  climb: Climb,
  limitAmps: number | null,
  charge: 'full' | 'nominal' = 'full',
): PowerUp {
  const volts = build.pack.cells * cellVolts[build.pack.chemistry][charge];
  const farad = ((build.capacitor ?? board.capacitor)?.microfarads ?? 220) / 1e6 + 47e-6;
  const positions = new Map(climb.hookup.bridges.map((b) => [b.bridge, b.position]));
  const supplies = suppliesOf(board, build)
    .filter(
      (s) =>
        s.rail.source.kind !== 'usb' && s.bridges.every((b) => (positions.get(b.bridge) ?? b.position) === b.position),
    )
    .filter((s, i, all) => all.findIndex((x) => x.rail.id === s.rail.id) === i);
  const dt = 0.02;
  const moments: Moment[] = [];
  const upAt = new Map<string, number>();
  const order: PowerUp['order'] = [];
  let v = 0;
  let limitedMs = 0;
  const inrushAmps = limitAmps === null ? volts / sourceOhm : Math.min(limitAmps, volts / sourceOhm);
  let amps = inrushAmps;
  const full = steadyPackAmps(board, climb, volts);
  for (let ms = 0; ms <= tripMs + 1; ms += dt) {
    const rails: Record<string, number> = {};
    let load = 0;
    for (const s of supplies) {
      // From the pack down through every regulator on the way.
      const out = s.reads(v);
      const last = s.regulators[0];
      const enough = !last || (Number.isFinite(out) && out > 0.9 * interval(last.source.outVolts).low);
      if (enough && v > 0.9 * Math.min(volts, 6) && !upAt.has(s.rail.id))
        upAt.set(s.rail.id, ms + softStartMs * (1 + s.regulators.length));
      if (!enough) upAt.delete(s.rail.id);
      const stands = (upAt.get(s.rail.id) ?? Infinity) <= ms;
      let said: number;
      if (stands) {
        if (Number.isFinite(out)) said = out;
        else said = v;
      } else said = 0;
      rails[s.rail.id] = said;
      if (stands && !order.some((o) => o.rail === s.rail.id))
        order.push({ rail: s.rail.id, label: s.rail.label, ms: Math.round(ms * 10) / 10, volts: rails[s.rail.id]! });
    }
    const standing = Object.values(rails).filter((x) => x > 0).length / Math.max(1, supplies.length);
    load = (full * volts * standing) / Math.max(1, v);
    const wanted = (volts - v) / sourceOhm + load;
    amps = limitAmps === null ? wanted : Math.min(limitAmps, wanted);
    if (limitAmps !== null && wanted > limitAmps) limitedMs += dt;
    v = Math.max(0, Math.min(volts, v + ((amps - load) * dt) / 1000 / farad));
    if (moments.length === 0 || ms - moments[moments.length - 1]!.ms >= (ms < 60 ? 0.4 : 20))
      moments.push({ ms: Math.round(ms * 100) / 100, packVolts: v, amps, rails });
  }
  const trips = limitAmps !== null && limitedMs >= tripMs * 0.95;
  const chargeMs = limitAmps === null ? 3000 * sourceOhm * farad : (1000 * farad * volts) / limitAmps;
  let why: string;
  if (limitAmps === null)
    why = `Straight from the pack the capacitor draws ${inrushAmps.toFixed(0)} A for an instant: that is the spark. It is over in ${chargeMs.toFixed(1)} ms.`;
  else if (trips)
    why = `It trips: the healthy build draws ${full.toFixed(2)} A, more than ${limitAmps} A. That is a known reason for the next larger limit.`;
  else
    why = `It does not trip: ${Math.round(farad * 1e6)} uF charge in ${chargeMs.toFixed(1)} ms at ${limitAmps} A, then the build draws ${full.toFixed(2)} A.`;
  const unsaid = climb.hookup.parts.filter((p) => p.supplies.some((s) => s.unsaid)).map((p) => p.name);
  const more = unsaid.length > 0 ? ` Nobody says what ${list(unsaid)} draws: it may be more.` : '';
  return { moments, order: order.sort((a, b) => a.ms - b.ms), inrushAmps, steadyAmps: full, trips, why: why + more };
}

/** Volts of a capacitor that charges through a resistor: V (1 - exp(-t / RC)) (any electronics handbook). Seconds, ohm, farad. */
export function chargedVolts(volts: number, ohm: number, farad: number, seconds: number): number {
  return volts * (1 - Math.exp(-seconds / (ohm * farad)));
}
