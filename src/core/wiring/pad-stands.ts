import { interval } from '../quantity/figure';
import { ground } from '../quantity/ground';
import { atLeast, type Truth } from '../quantity/truth';
import { level } from '../trade/level';
import type { Condition, Workshop } from './way';

/** Does a pad stand a signal of so many volts? Asked only above what every 3.3 V pad stands; what nobody says is open. */
export function padStands(shop: Workshop, padId: string, volts: number): Condition[] {
  if (volts <= level.inputMaxVolts) return [];
  const pad = shop.board.pads.find((p) => p.id === padId);
  const stands = pad?.toleratesVolts;
  const truth: Truth = stands ? atLeast(interval(stands), { low: volts, high: volts }) : 'unknown';
  const about = { id: padId, label: pad?.label ?? 'the pad' };
  return [
    {
      rung: 5,
      truth,
      reason: { code: 'pad stands the signal', pad: about, volts, stands: truth },
      grounds: stands ? [ground(`${about.label} stands`, stands, 'V')] : [],
    },
  ];
}
