import type { Supplied } from '../circuit/rail-tree';
import { plausible } from '../figures/plausible-ends';
import { interval, isKnown, type NumberFigure } from '../quantity/figure';
import type { SharedLimit } from '../records/board';
import { assumedLinearWatts, ratingShare } from '../trade/rating';
import { usbAmps } from '../trade/usb';
import type { Workshop } from './way';

export interface RailLimits {
  /** What a regulator may carry for the parts, in mA, after what the board itself draws: as printed, and as the policy derates it. */
  printedMa: number;
  deratedMa: number;
  ownMa: number;
  share: number;
}

/** Whole milliamps, rounded up: a load is never made smaller. */
export function milliamps(amps: number): number {
  return Math.ceil(amps * 1000 - 1e-6);
}

/** `supplies`: the ways that stand in a hookup, once its bridges are set; before that any of them may. */
export function railLimits(shop: Workshop, railId: string, supplies = shop.supplies): RailLimits {
  const rail = shop.board.rails.find((r) => r.id === railId);
  if (rail?.source.kind !== 'regulator') return { printedMa: Infinity, deratedMa: Infinity, ownMa: 0, share: 1 };
  return leftOf(shop, rail.source.ratedAmps, ownDraw(shop, railId, supplies));
}

/** What several regulators may carry together for the parts, after what the board itself draws of each. */
export function sharedLimits(shop: Workshop, { rails, amps }: SharedLimit, supplies = shop.supplies): RailLimits {
  return leftOf(
    shop,
    amps,
    rails.reduce((sum, rail) => sum + ownDraw(shop, rail, supplies), 0),
  );
}

/** What a rating leaves for the parts. */
function leftOf(shop: Workshop, rating: NumberFigure, ownMa: number): RailLimits {
  const rated = interval(rating);
  const amps = Math.max(0, shop.world === 'sure' ? rated.low : rated.high);
  const share = ratingShare(rating, shop.build.policies.ratedAmps);
  const left = (limit: number) => Math.max(0, Math.floor(limit * 1000 + 1e-6) - ownMa);
  return { printedMa: left(amps), deratedMa: left(amps * share), ownMa, share };
}

/**
 * A linear regulator burns (Vin - Vout) x I (any electronics handbook): the mA for the parts at which that reaches its limit on the full pack, over the way that its input
 * really takes; Infinity for one that switches.
 */
export function heatLimitMa(shop: Workshop, { rail, source, input }: Supplied['regulators'][number]): number {
  if (source.type !== 'linear') return Infinity;
  const stated = source.burnsWatts;
  const sure = shop.world === 'sure';
  const watts = stated && isKnown(stated) ? interval(stated)[sure ? 'low' : 'high'] : assumedLinearWatts;
  const out = interval(source.outVolts);
  const over = sure ? input.high.high - out.low : input.high.low - out.high;
  if (!Number.isFinite(over) || over <= 0) return Infinity;
  return Math.max(0, Math.floor((watts / over) * 1000 + 1e-6) - ownDraw(shop, rail.id));
}

/** What USB has left for parts, in mA, after what the board itself draws of it. */
export function usbLimitMa(shop: Workshop): number {
  const end = shop.world === 'sure' ? 'high' : 'low';
  const ownMa = shop.board.rails.reduce((sum, rail) => {
    if (!rail.ownAmps) return sum;
    const lit = shop.supplies.find((s) => s.rail.id === rail.id && s.onUsb)?.onUsb;
    return lit ? sum + milliamps(plausible(rail.ownAmps, 'ownAmps')[end] * lit.perAmp) : sum;
  }, 0);
  return Math.max(0, usbAmps * 1000 - ownMa);
}

function ownDraw(shop: Workshop, railId: string, supplies = shop.supplies): number {
  let sum = 0;
  for (const rail of shop.board.rails) {
    if (!rail.ownAmps) continue;
    const amps = plausible(rail.ownAmps, 'ownAmps')[shop.world === 'sure' ? 'high' : 'low'];
    const through = supplies
      .filter((s) => s.rail.id === rail.id)
      .flatMap((s) => s.regulators.filter((r) => r.rail.id === railId).map((r) => r.perAmp));
    if (through.length > 0) sum += milliamps(amps * (shop.world === 'sure' ? Math.max : Math.min)(...through));
  }
  return sum;
}
