import type { Part } from '../records/build';
import type { Supply } from '../records/peripheral';
import { mayHaveMore } from '../circuit/all-pads';
import { spotsOf, type Spot } from '../circuit/plug-pins';
import { cellGround, type OnUsb, type Supplied } from '../circuit/rail-tree';
import { supplyWire } from '../circuit/supply-wire';
import { interval, isKnown, isUnknown, type Interval, type NumberFigure } from '../quantity/figure';
import { ground } from '../quantity/ground';
import { all, atLeast, type Truth } from '../quantity/truth';
import { arrivesShare } from '../trade/comfort';
import type { Reason } from './reason';
import { loadOn, pinRows, type Asked } from './supply-load';
import { bridgeTag, isVideo, way, type Condition, type Way, type Workshop } from './way';

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
    .flatMap((s) =>
      spotsOf(shop.build.policies.joints, shop.board, s.rail).map((spot) => supplyWay(shop, part, supply, s, spot)),
    );
}

function supplyWay(shop: Workshop, part: Part, supply: Supply, from: Supplied, spot: Spot): Way {
  const rail = from.rail.label;
  const unsaid = unsaidDraw(part, supply);
  const desk = onDesk(from, part, supply);
  const wire = alongWire(shop, part, supply, from, spot);
  const { asked } = wire;
  const load = loadOn(shop, from, asked, part.onUsb);
  const dead: Condition = { rung: 6, truth: 'no', reason: { code: 'dead in flight', rail } };
  const hidden: Condition = { rung: 6, truth: 'unknown', reason: { code: 'no pad of the rail drawn', rail } };
  const conditions: Condition[] = [
    ...(from.rail.pads.length > 0 ? [] : [hidden]),
    // Said before its volts, which are those of the desk.
    ...(from.deadInFlight ? [dead] : []),
    {
      rung: 6,
      truth: insideRange(from, supply),
      reason: rangeReason(from, supply),
      grounds: rangeGrounds(part, supply, from),
    },
    ...desk.conditions,
    ...unsaid,
    ...wire.conditions,
    ...tooWeak(part, spot, asked.peakAmps),
    ...load.conditions,
  ];
  const base = way({
    conditions,
    rows: [...load.rows, ...(spot.plug ? pinRows(shop, from.rail.id, spot.plug, asked.peakAmps) : [])],
    margin: rangeMargin(from, supply, shop.world),
    tags: from.bridges.map((b) => bridgeTag(shop, b.bridge, b.position)),
    cost: desk.lost.length + wire.lost.length > 0 ? { compromises: desk.lost.length + wire.lost.length } : {},
    lost: [...desk.lost, ...wire.lost],
    feed: {
      rail: from.rail.id,
      label: rail,
      pads: spot.pads,
      ...(spot.plug ? { plug: spot.plug.plug.id } : {}),
      volts: { low: from.swing.low.low, high: from.swing.high.high },
      ...asked,
      unsaid: unsaid.length > 0,
      usbAmps: deskAmps(from.onUsb, supply, asked.typicalAmps),
      gauge: wire.gauge,
      lostVolts: wire.lostVolts,
    },
  });
  return schooled(shop, part, apart(base, from, part), from);
}

function rangeGrounds(part: Part, supply: Supply, from: Supplied) {
  return [
    ...from.grounds,
    ground(`${part.peripheral.name}, least volts`, supply.minVolts, 'V'),
    ground(`${part.peripheral.name}, most volts`, supply.maxVolts, 'V'),
  ];
}

/** On the desk a part sees USB's volts, asked for or not; one that must live on them may want more than USB's low end. */
function onDesk(from: Supplied, part: Part, supply: Supply): Pick<Way, 'conditions' | 'lost'> {
  const conditions: Condition[] = [];
  const rail = from.rail.label;
  const usb = from.onUsb;
  if (usb && Number.isFinite(usb.volts.high)) {
    const survives = atLeast(interval(supply.maxVolts), { low: usb.volts.high, high: usb.volts.high });
    if (survives !== 'yes') {
      const most = interval(supply.maxVolts).high;
      conditions.push({
        rung: 6,
        truth: survives,
        reason: { code: 'too much on USB', rail, volts: usb.volts.high, maxVolts: most },
      });
    }
  }
  if (!part.onUsb) return { conditions, lost: [] };
  const least = interval(supply.minVolts);
  const known = usb !== null && Number.isFinite(usb.nominal);
  let alive: Truth = 'no';
  if (usb) alive = known ? atLeast({ low: usb.nominal, high: usb.nominal }, least) : 'unknown';
  conditions.push({
    rung: 6,
    truth: alive,
    reason: { code: 'alive on USB', rail, volts: known ? usb.nominal : null, alive },
  });
  const atLowEnd = known && alive === 'yes' && usb.volts.low < least.high;
  return {
    conditions,
    lost: atLowEnd ? [{ code: "USB's low end", rail, volts: usb.volts.low, minVolts: least.high }] : [],
  };
}

/** What the wire takes of the volts. A little less than asked is a matter of the last hundredths, and worth a reading; more is too little. */
function alongWire(
  shop: Workshop,
  part: Part,
  supply: Supply,
  from: Supplied,
  spot: Spot,
): Pick<Way, 'conditions' | 'lost'> & { asked: Asked; gauge: number; lostVolts: number } {
  const least = interval(supply.minVolts);
  const { low } = from.swing.low;
  const family = spot.plug?.family ?? null;
  const drawn = (ohm: number) => ampsAt(supply, 'peakAmps', from, shop.world, ohm);
  const wire = supplyWire(shop.build, shop.board, part, { pads: spot.pads, family, drawn }, low, least.high);
  const arrives: Interval = { low: low - wire.lostVolts, high: from.swing.low.high - wire.lostVolts };
  const asked: Asked = {
    typicalAmps: ampsAt(supply, 'typicalAmps', from, shop.world, wire.ohm),
    peakAmps: drawn(wire.ohm),
  };
  const none = { asked, gauge: wire.gauge, lostVolts: wire.lostVolts, conditions: [], lost: [] };
  const share = (of: number): Interval => ({ low: least.low * of, high: least.high * of });
  if (atLeast(from.swing.low, least) !== 'yes' || atLeast(arrives, share(arrivesShare.enough)) === 'yes') return none;
  const reason: Reason = {
    code: 'volts at the part',
    gauge: wire.gauge,
    mm: wire.mm,
    lostVolts: wire.lostVolts,
    arrives: arrives.low,
    minVolts: least.high,
  };
  const nearly = atLeast(arrives, share(arrivesShare.nearly));
  if (nearly === 'yes') return { ...none, lost: [reason] };
  return { ...none, conditions: [{ rung: 7, truth: nearly, reason }] };
}

function tooWeak(part: Part, { plug }: Spot, peakAmps: number): Condition[] {
  if (!plug) return [];
  const pinAmps = Math.min(plug.amps, plug.groundAmps ?? Infinity);
  if (peakAmps <= pinAmps) return [];
  const reason: Reason = {
    code: 'plug pin too weak',
    part: part.peripheral.name,
    amps: peakAmps,
    plug: plug.plug.label,
    pinAmps,
  };
  return [{ rung: 7, truth: 'no', reason }];
}

/** Two sources on one net are a hazard unless they are known to be kept apart. */
function apart(base: Way, from: Supplied, part: Part): Way {
  if (from.backFeeds === 'no' || !part.onUsb) return base;
  return {
    ...base,
    cost: { ...base.cost, hazards: 1 },
    lost: [...base.lost, { code: 'back-feeds', rail: from.rail.label, tied: from.backFeeds }],
  };
}

/** A part whose draw nobody says: whether anything carries it is open. Where its peak is said, that bounds what it draws. */
export function unsaidDraw(part: Part, supply: Supply): Condition[] {
  return isUnknown(supply.peakAmps)
    ? [
        {
          rung: 7,
          truth: 'unknown',
          reason: { code: 'draw unsaid', part: part.peripheral.name },
          grounds: [ground('Draw', supply.peakAmps, 'A')],
        },
      ]
    : [];
}

/** Amps that a part draws of USB alone; null where it is alive then and nobody says what it draws. */
export function deskAmps(onUsb: OnUsb | null, supply: Supply, typicalAmps: number): number | null {
  if (!onUsb) return 0;
  return isKnown(supply.typicalAmps) || isKnown(supply.peakAmps) ? typicalAmps * onUsb.perAmp : null;
}

/** The policies on what cameras and transmitters are fed from. */
function schooled(shop: Workshop, part: Part, base: Way, from: Supplied): Way {
  const { cameraSupply, videoSupply } = shop.build.policies;
  const compromise = (prefers: Extract<Reason, { code: 'policy' }>['prefers']): Way => ({
    ...base,
    cost: { ...base.cost, compromises: (base.cost.compromises ?? 0) + 1 },
    lost: [...base.lost, { code: 'policy', prefers }],
  });
  const feeders = shop.build.parts.some(
    (p) => p.id !== part.id && p.peripheral.kind === 'video transmitter' && p.peripheral.gives.length > 0,
  );
  if (part.peripheral.kind === 'camera' && cameraSupply === 'transmitter' && feeders)
    return compromise("the transmitter's output");
  const forServos = shop.board.rails.some((r) => r.servos && r.pads.length > 0);
  if (forServos && (part.peripheral.kind === 'servo') !== (from.rail.servos === true)) return compromise('servo rail');
  if (!isVideo(part)) return base;
  if (videoSupply === 'quiet rail first') return from.raw ? compromise('quiet rail') : base;
  if (!from.raw) return compromise('raw pack');
  if (videoSupply === 'raw pack') return base;
  return {
    ...base,
    cost: { ...base.cost, cents: filter.cents, deciGrams: filter.grams * 10, effort: filter.effort },
    lost: [...base.lost, { code: 'policy', prefers: 'filter' }],
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
  const ends = [from.swing.low, from.swing.high, interval(supply.minVolts), interval(supply.maxVolts)];
  if (ends.every(({ low, high }) => Number.isFinite(low) && Number.isFinite(high))) {
    const [least, most] = [interval(supply.minVolts), interval(supply.maxVolts)];
    const swing = { rail, low: from.swing.low.low, high: from.swing.high.high };
    return { code: 'volts hang on a range', swing, minVolts: least, maxVolts: most };
  }
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

/** What is said of a draw; what nobody says of the steady one its peak bounds, and what nobody says of the peak is no less than the steady one. */
function draws(supply: Supply, which: 'peakAmps' | 'typicalAmps', world: Workshop['world']): NumberFigure {
  if (isKnown(supply[which])) return supply[which];
  if (which === 'peakAmps') return supply.typicalAmps;
  return world === 'sure' ? supply.peakAmps : supply.typicalAmps;
}

/**
 * Amps at the pad. A part with a switching regulator of its own draws more at fewer volts: those that are left of the lowest at the end of a wire of so many ohm, out and
 * back. What it draws at peak bounds what it draws else.
 */
export function ampsAt(
  supply: Supply,
  which: 'peakAmps' | 'typicalAmps',
  from: Pick<Supplied, 'swing'>,
  world: Workshop['world'],
  ohm = 0,
): number {
  const figure = draws(supply, which, world);
  if (!isKnown(figure)) return 0;
  const stated = world === 'sure' ? interval(figure).high : interval(figure).low;
  if (supply.draw === 'constant current') return stated;
  const lowest = Math.max(world === 'sure' ? from.swing.low.low : from.swing.low.high, 0.5);
  if (!Number.isFinite(lowest)) return stated;
  // I (V - I R) = P. Where the wire cannot bring so many watts at all, half the volts and more are lost on it: too few arrive.
  const watts = stated * supply.atVolts;
  return (2 * watts) / (lowest + Math.sqrt(Math.max(0, lowest ** 2 - 4 * watts * ohm)));
}
