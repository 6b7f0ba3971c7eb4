import type { RailPlug } from '../circuit/plug-pins';
import type { Supplied } from '../circuit/rail-tree';
import { ground } from '../quantity/ground';
import { isKnown } from '../quantity/figure';
import { sharedLabel } from '../records/shared-limit';
import { groundRow, heatRow, peakRow, pinRow, steadyRow, togetherKey } from './keys';
import { heatLimitMa, milliamps, railLimits, sharedLimits, usbLimitMa, type RailLimits } from './rail-limits';
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
  asked: Asked,
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
      rows.push({ id, load: { kind: 'heat', rail: rail.id }, amount: milliamps(asked.typicalAmps * perAmp), rung: 7 });
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
    rows.push(...sumRows(shop, rail.id, railLimits(shop, rail.id), asked, perAmp, heatMa));
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
    rows.push(...sumRows(shop, togetherKey(limit.rails), sharedLimits(shop, limit), asked, perAmp));
  }
  if (from.onUsb && onDesk) {
    const id = row(shop, { id: 'usb', limit: usbLimitMa(shop) });
    rows.push({ id, amount: milliamps(asked.typicalAmps * from.onUsb.perAmp), rung: 7 });
  }
  return { rows, conditions };
}

/** What so many amps take of a sum, at peak and steady: that of a regulator, of several together, or of a part's output. `heatMa`: beyond it a linear one is strained. */
export function sumRows(
  shop: Workshop,
  name: string,
  { printedMa, deratedMa }: Pick<RailLimits, 'printedMa' | 'deratedMa'>,
  { typicalAmps, peakAmps }: Asked,
  perAmp = 1,
  heatMa = Infinity,
): Taken[] {
  return [
    {
      id: row(shop, { id: peakRow(name), limit: printedMa, comfort: Math.min(deratedMa, heatMa) }),
      load: { kind: 'peak', rail: name },
      amount: milliamps(peakAmps * perAmp),
      rung: 7,
    },
    {
      id: row(shop, { id: steadyRow(name), limit: deratedMa }),
      load: { kind: 'steady', rail: name },
      amount: milliamps(typicalAmps * perAmp),
      rung: 7,
    },
  ];
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
