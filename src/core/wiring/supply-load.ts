import type { RailPlug } from '../circuit/plug-pins';
import type { Supplied } from '../circuit/rail-tree';
import { ground } from '../quantity/ground';
import { isKnown } from '../quantity/figure';
import { sharedLabel } from '../records/shared-limit';
import { groundRow, heatRow, peakRow, pinRow, steadyRow, togetherKey } from './keys';
import { heatLimitMa, milliamps, railLimits, sharedLimits, usbLimitMa } from './rail-limits';
import { row, type Condition, type Taken, type Way, type Workshop } from './way';

/** Amps that a part asks of a pad, typical and at peak. */
export interface Asked {
  typicalAmps: number;
  peakAmps: number;
}

/**
 * What so many amps at a pad ask of each regulator on the way to the pack, and of USB where the part must live on that (`onDesk`). What else is alive on USB may
 * stay dark or unplugged on the desk: it is named by a finding (`rungs/desk.ts`), and stops nothing.
 */
export function loadOn(
  shop: Workshop,
  from: Supplied,
  { typicalAmps, peakAmps }: Asked,
  onDesk: boolean,
): Pick<Way, 'rows' | 'conditions'> {
  const rows: Way['rows'] = [];
  const conditions: Condition[] = [];
  for (const regulator of from.regulators) {
    const { rail, source, perAmp } = regulator;
    const heatMa = heatLimitMa(shop, regulator);
    if (Number.isFinite(heatMa)) {
      // All that loads it, on whatever rail behind it, adds up.
      const path = regulator.bridges.map((b) => `@${b.bridge}=${b.position}`).join('');
      const id = row(shop, { id: heatRow(rail.id, path), limit: heatMa });
      rows.push({ id, load: { kind: 'heat', rail: rail.id }, amount: milliamps(typicalAmps * perAmp), rung: 7 });
    }
    if (!isKnown(source.ratedAmps)) {
      conditions.push({
        rung: 7,
        truth: 'unknown',
        reason: { code: 'rating unsaid', rail: rail.label },
        grounds: [ground(`${rail.label} rating`, source.ratedAmps, 'A')],
      });
      continue;
    }
    const rated = railLimits(shop, rail.id);
    rows.push(
      {
        id: row(shop, { id: peakRow(rail.id), limit: rated.printedMa, comfort: Math.min(rated.deratedMa, heatMa) }),
        load: { kind: 'peak', rail: rail.id },
        amount: milliamps(peakAmps * perAmp),
        rung: 7,
      },
      {
        id: row(shop, { id: steadyRow(rail.id), limit: rated.deratedMa }),
        load: { kind: 'steady', rail: rail.id },
        amount: milliamps(typicalAmps * perAmp),
        rung: 7,
      },
    );
  }
  for (const limit of shop.board.sharedLimits ?? []) {
    const perAmp = from.regulators.reduce((sum, r) => sum + (limit.rails.includes(r.rail.id) ? r.perAmp : 0), 0);
    if (perAmp === 0) continue;
    const label = sharedLabel(shop.board, limit);
    if (!isKnown(limit.amps)) {
      const grounds = [ground(`${label} rating`, limit.amps, 'A')];
      conditions.push({ rung: 7, truth: 'unknown', reason: { code: 'rating unsaid', rail: label }, grounds });
      continue;
    }
    const key = togetherKey(limit.rails);
    const { printedMa, deratedMa } = sharedLimits(shop, limit);
    rows.push(
      {
        id: row(shop, { id: peakRow(key), limit: printedMa, comfort: deratedMa }),
        load: { kind: 'peak', rail: key },
        amount: milliamps(peakAmps * perAmp),
        rung: 7,
      },
      {
        id: row(shop, { id: steadyRow(key), limit: deratedMa }),
        load: { kind: 'steady', rail: key },
        amount: milliamps(typicalAmps * perAmp),
        rung: 7,
      },
    );
  }
  if (from.onUsb && onDesk) {
    const id = row(shop, { id: 'usb', limit: usbLimitMa(shop) });
    rows.push({ id, amount: milliamps(typicalAmps * from.onUsb.perAmp), rung: 7 });
  }
  return { rows, conditions };
}

/** What so many amps at peak take of the pins of a plug, out and back. */
export function pinRows(shop: Workshop, rail: string, by: RailPlug, peakAmps: number): Taken[] {
  const { plug, amps, groundAmps } = by;
  const out = row(shop, { id: pinRow(rail, plug.id), limit: Math.floor(amps * 1000 + 1e-6) });
  const taken: Taken[] = [{ id: out, amount: milliamps(peakAmps), rung: 7 }];
  if (groundAmps === null) return taken;
  const back = row(shop, { id: groundRow(plug.id), limit: Math.floor(groundAmps * 1000 + 1e-6) });
  return [...taken, { id: back, amount: milliamps(peakAmps), rung: 7 }];
}
