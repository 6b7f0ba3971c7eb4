import type { Rail } from '../records/board';
import type { Part } from '../records/build';
import { interval, isKnown, isUnknown } from '../quantity/figure';
import type { Supply } from '../records/peripheral';
import { all, atLeast, type Truth } from '../quantity/truth';
import { assumedLinearWatts, ratingShare, usbAmps } from '../trade/rating';
import { mayHaveMore } from '../circuit/all-pads';
import { ground } from '../quantity/ground';
import { pinLimit } from '../circuit/plug-pins';
import { cellGround, type Supplied } from '../circuit/rail-tree';
import type { Reason } from './reason';
import { bridgeTag, isVideo, row, way, type Condition, type Way, type Workshop } from './way';
import { peakRow, steadyRow } from './keys';

/** An LC filter in the supply of one part: assumed cost and mass, common practice of the trade, no source. */
const filter = { cents: 450, grams: 3, effort: 2 };

/** Every supply pad that a part could be put on, with the rungs at which each fails. */
export function supplyWays(shop: Workshop, part: Part, supply: Supply): Way[] {
  return shop.supplies
    .filter(
      (s) =>
        (s.rail.pads.length > 0 || mayHaveMore(shop.board)) &&
        (s.rail.onlyFor === undefined || s.rail.onlyFor === part.id),
    )
    .flatMap((s) => supplyWay(shop, part, supply, s));
}

function supplyWay(shop: Workshop, part: Part, supply: Supply, from: Supplied): Way[] {
  const needsUsb = part.onUsb;
  const grounds = [
    ...from.grounds,
    ground(`${part.peripheral.name}, least volts`, supply.minVolts, 'V'),
    ground(`${part.peripheral.name}, most volts`, supply.maxVolts, 'V'),
  ];
  const hidden: Condition[] =
    from.rail.pads.length > 0
      ? []
      : [{ rung: 6, truth: 'unknown', reason: { code: 'no pad of the rail drawn', rail: from.rail.label } }];
  const conditions: Condition[] = [
    ...hidden,
    { rung: 6, truth: insideRange(from, supply), reason: rangeReason(from, supply), grounds },
  ];
  if (needsUsb) {
    const alive: Truth = from.onUsb
      ? all([atLeast(from.onUsb, interval(supply.minVolts)), atLeast(interval(supply.maxVolts), from.onUsb)])
      : 'no';
    const volts = from.onUsb && Number.isFinite(from.onUsb.low) ? from.onUsb.low : null;
    conditions.push({ rung: 6, truth: alive, reason: { code: 'alive on USB', rail: from.rail.label, volts, alive } });
  }
  const peakAmps = ampsAt(supply, 'peakAmps', from, shop.world);
  const typicalAmps = ampsAt(supply, 'typicalAmps', from, shop.world);
  const unsaid = unsaidDraw(part, supply);
  conditions.push(...unsaid);
  const pin = pinLimit(shop.build.policies.joints, shop.board, from.rail);
  if (peakAmps > pin.amps)
    conditions.push({
      rung: 7,
      truth: 'no',
      reason: {
        code: 'plug pin too weak',
        part: part.peripheral.name,
        amps: peakAmps,
        plug: pin.plug,
        pinAmps: pin.amps,
      },
    });
  const load = loadOn(shop, from, typicalAmps, peakAmps, part.onUsb);
  conditions.push(...load.conditions);

  const base = way({
    conditions,
    rows: load.rows,
    margin: rangeMargin(from, supply, shop.world),
    tags: from.bridges.map((b) => bridgeTag(shop, b.bridge, b.position)),
    feed: {
      rail: from.rail.id,
      label: from.rail.label,
      pads: from.rail.pads,
      volts: { low: from.swing.low.low, high: from.swing.high.high },
      typicalAmps,
      peakAmps,
      unsaid: unsaid.length > 0,
      usbAmps: deskAmps(from.onUsb !== null, supply, typicalAmps),
    },
  });
  if (from.backFeeds !== 'no' && part.onUsb) {
    // Two sources on one net are a hazard unless they are known to be kept apart.
    base.cost = { ...base.cost, hazards: 1 };
    base.lost = [{ code: 'back-feeds', rail: from.rail.label, tied: from.backFeeds }];
  }
  const feeders = shop.build.parts.some(
    (p) => p.id !== part.id && p.peripheral.kind === 'video transmitter' && p.peripheral.gives.length > 0,
  );
  if (part.peripheral.kind === 'camera' && shop.build.policies.cameraSupply === 'transmitter' && feeders) {
    return [
      {
        ...base,
        cost: { ...base.cost, compromises: 1 },
        lost: [{ code: 'policy', prefers: "the transmitter's output" }],
      },
    ];
  }
  return isVideo(part) ? [schooled(shop, base, from)] : [base];
}

/** A part whose draw nobody says: whether anything carries it is open. */
export function unsaidDraw(part: Part, supply: Supply): Condition[] {
  const figure = [supply.peakAmps, supply.typicalAmps].find(isUnknown);
  return figure
    ? [
        {
          rung: 7,
          truth: 'unknown',
          reason: { code: 'draw unsaid', part: part.peripheral.name },
          grounds: [ground('Draw', figure, 'A')],
        },
      ]
    : [];
}

/** Amps that a part draws of USB alone; null where it is alive then and nobody says what it draws. */
export function deskAmps(onUsb: boolean, supply: Supply, typicalAmps: number): number | null {
  if (!onUsb) return 0;
  return isKnown(supply.typicalAmps) ? typicalAmps : null;
}

/**
 * What so many amps at a pad ask of each regulator on the way to the pack, and of USB where the part must live on that (`onDesk`). What else is alive on USB may
 * stay dark or unplugged on the desk: it is named by a finding (`check/desk.ts`), and stops nothing.
 */
export function loadOn(
  shop: Workshop,
  from: Supplied,
  typicalAmps: number,
  peakAmps: number,
  onDesk: boolean,
): Pick<Way, 'rows' | 'conditions'> {
  const rows: Way['rows'] = [];
  const conditions: Condition[] = [];
  for (const { rail, source, perAmp } of from.regulators) {
    if (!isKnown(source.ratedAmps)) {
      conditions.push({
        rung: 7,
        truth: 'unknown',
        reason: { code: 'rating unsaid', rail: rail.label },
        grounds: [ground(`${rail.label} rating`, source.ratedAmps, 'A')],
      });
      continue;
    }
    for (const other of drawnThrough(shop, rail.id)) {
      if (other.ownAmps && isUnknown(other.ownAmps))
        conditions.push({
          rung: 7,
          truth: 'unknown',
          reason: { code: 'own draw unsaid', rail: other.label },
          grounds: [ground(`${other.label}, the board's own draw`, other.ownAmps, 'A')],
        });
    }
    const rated = railLimits(shop, rail.id);
    rows.push(
      {
        id: row(shop, { id: peakRow(rail.id), limit: rated.printedMa, comfort: rated.deratedMa }),
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
  if (from.onUsb && onDesk)
    rows.push({ id: row(shop, { id: 'usb', limit: usbAmps * 1000 }), amount: milliamps(typicalAmps), rung: 7 });
  return { rows, conditions };
}

/** The policy on what cameras and transmitters are fed from. */
function schooled(shop: Workshop, base: Way, from: Supplied): Way {
  const school = shop.build.policies.videoSupply;
  if (school === 'quiet rail first') {
    return from.raw
      ? {
          ...base,
          cost: { ...base.cost, compromises: 1 },
          lost: [{ code: 'policy', prefers: 'quiet rail' }],
        }
      : base;
  }
  if (!from.raw)
    return {
      ...base,
      cost: { ...base.cost, compromises: 1 },
      lost: [{ code: 'policy', prefers: 'raw pack' }],
    };
  if (school === 'raw pack') return base;
  return {
    ...base,
    cost: { ...base.cost, cents: filter.cents, deciGrams: filter.grams * 10, effort: filter.effort },
    lost: [{ code: 'policy', prefers: 'filter' }],
  };
}

/** Does the whole swing lie inside the part's absolute range? */
export function insideRange(from: Pick<Supplied, 'swing'>, supply: Supply): Truth {
  return all([atLeast(from.swing.low, interval(supply.minVolts)), atLeast(interval(supply.maxVolts), from.swing.high)]);
}

function rangeReason(from: Supplied, supply: Supply): Reason {
  const [min, max] = [interval(supply.minVolts), interval(supply.maxVolts)];
  const about = {
    code: 'volts of a rail' as const,
    swing: { rail: from.rail.label, low: from.swing.low.low, high: from.swing.high.high },
    minVolts: min.low,
    maxVolts: max.high,
  };
  if (atLeast(max, from.swing.high) === 'no') return { ...about, fit: 'above' };
  if (atLeast(from.swing.low, min) === 'no') return { ...about, fit: 'below' };
  return insideRange(from, supply) === 'unknown' ? unsaidVolts(from, supply) : { ...about, fit: 'inside' };
}

/** What keeps it open whether a part's volts are right. */
function unsaidVolts(from: Supplied, supply: Supply): Reason {
  const sags =
    from.grounds.some((g) => g.what === cellGround && g.origin === 'unknown') &&
    from.swing.low.low < interval(supply.minVolts).high;
  const rail = from.rail.label;
  if (sags && isKnown(supply.minVolts))
    return { code: 'sag may be too deep', rail, volts: from.swing.low.low, minVolts: interval(supply.minVolts).low };
  return { code: 'volts unsaid', rail };
}

/** Whole per cent between a swinging rail and the part's limits; a regulator that holds has all the margin there is. */
function rangeMargin(from: Supplied, supply: Supply, world: Workshop['world']): number {
  const low = world === 'sure' ? from.swing.low.low : from.swing.low.high;
  const high = world === 'sure' ? from.swing.high.high : from.swing.high.low;
  if (low === high) return Infinity;
  const min = interval(supply.minVolts);
  const max = interval(supply.maxVolts);
  const above = (world === 'sure' ? max.low : max.high) / high - 1;
  const below = low / Math.max(0.1, world === 'sure' ? min.high : min.low) - 1;
  const least = Math.min(above, below);
  return Number.isFinite(least) ? Math.max(0, Math.floor(least * 100)) : 0;
}

/** Amps at the pad. A part with a switching regulator of its own draws more at fewer volts; the lowest volts count. */
export function ampsAt(
  supply: Supply,
  which: 'peakAmps' | 'typicalAmps',
  from: Pick<Supplied, 'swing'>,
  world: Workshop['world'],
): number {
  const figure = supply[which];
  if (!isKnown(figure)) return 0;
  const stated = world === 'sure' ? interval(figure).high : interval(figure).low;
  if (supply.draw === 'constant current') return stated;
  const lowest = Math.max(world === 'sure' ? from.swing.low.low : from.swing.low.high, 0.5);
  return Number.isFinite(lowest) ? (stated * supply.atVolts) / lowest : stated;
}

/** What a regulator may carry for the parts: printed and derated, in mA, after what the board itself draws. */
export function railLimits(
  shop: Workshop,
  railId: string,
): { printedMa: number; deratedMa: number; ownMa: number; share: number; byHeat: boolean } {
  const rail = shop.board.rails.find((r) => r.id === railId);
  if (rail?.source.kind !== 'regulator')
    return { printedMa: Infinity, deratedMa: Infinity, ownMa: 0, share: 1, byHeat: false };
  const rated = interval(rail.source.ratedAmps);
  const amps = Math.max(0, shop.world === 'sure' ? rated.low : rated.high);
  const share = ratingShare(rail.source.ratedAmps, shop.build.policies.ratedAmps);
  const ownMa = ownDraw(shop, railId);
  const heat = heatLimitAmps(shop, railId);
  const left = (limit: number) => Math.max(0, Math.floor(limit * 1000 + 1e-6) - ownMa);
  return {
    printedMa: left(amps),
    deratedMa: Math.min(left(amps * share), left(heat)),
    ownMa,
    share,
    byHeat: heat < amps * share,
  };
}

/** A linear regulator burns (Vin - Vout) x I (any electronics handbook): the amps at which that reaches its limit on the full pack; Infinity for a buck. */
function heatLimitAmps(shop: Workshop, railId: string): number {
  const rail = shop.board.rails.find((r) => r.id === railId);
  if (rail?.source.kind !== 'regulator' || rail.source.type !== 'linear') return Infinity;
  const input = shop.supplies.find((s) => s.rail.id === (rail.source as { input: string }).input);
  if (!input) return Infinity;
  const stated = rail.source.burnsWatts;
  const watts =
    stated && isKnown(stated) ? interval(stated)[shop.world === 'sure' ? 'low' : 'high'] : assumedLinearWatts;
  const out = interval(rail.source.outVolts);
  const over = shop.world === 'sure' ? input.swing.high.high - out.low : input.swing.high.low - out.high;
  return Number.isFinite(over) && over > 0 ? watts / over : Infinity;
}

/** The rails that load a regulator, its own first. */
function drawnThrough(shop: Workshop, railId: string): Rail[] {
  return shop.board.rails.filter((rail) =>
    shop.supplies.find((s) => s.rail.id === rail.id)?.regulators.some((r) => r.rail.id === railId),
  );
}

function ownDraw(shop: Workshop, railId: string): number {
  let sum = 0;
  for (const rail of shop.board.rails) {
    if (!rail.ownAmps || !isKnown(rail.ownAmps)) continue;
    const amps = interval(rail.ownAmps)[shop.world === 'sure' ? 'high' : 'low'];
    const path = shop.supplies.find((s) => s.rail.id === rail.id);
    const through = path?.regulators.find((r) => r.rail.id === railId);
    if (through) sum += milliamps(amps * through.perAmp);
  }
  return sum;
}

/** Whole milliamps, rounded up: a load is never made smaller. */
export function milliamps(amps: number): number {
  return Math.ceil(amps * 1000 - 1e-6);
}
