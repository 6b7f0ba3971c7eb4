import { interval } from '../quantity/figure';
import type { Peripheral, Supply } from '../records/peripheral';
import { assumedEfficiency, ratingShare } from '../trade/rating';
import { all, type Truth } from '../quantity/truth';
import { ground } from '../quantity/ground';
import type { LaidPart } from './laid';
import type { Supplied } from '../circuit/rail-tree';
import { railPlugs } from '../circuit/plug-pins';
import { gaugeFor } from '../trade/wire';
import { loadOn, pinRows, sumRows } from './supply-load';
import { ampsAt, deskAmps, insideRange, unsaidDraw } from './supply-ways';
import { tag, way, type Condition, type Way, type Workshop } from './way';
import { bridgeKey, feedKey } from './keys';

/** A supply that a part hands on. */
type Output = Peripheral['gives'][number];

/**
 * Lets a part take its supply from another part's output (a transmitter's 5 V feeding a camera). The host's supply ways say by a tag where the host
 * stands; the guest's way wants the same tag and loads the host's rail through the host. Only a host on a rail of the board feeds others: no chains.
 */
export function feedFromParts(shop: Workshop, laid: LaidPart[]): void {
  const hosts = laid.filter(
    (l) => l.part.peripheral.gives.length > 0 && l.modes.every((m) => m.mode.supplies.length > 0),
  );
  const seats = hosts.map((host) => ({
    host,
    id: feedKey(host.part.id),
    // Of a part with several supplies the first carries what it hands on.
    ways: supplyNeeds(host).flatMap((n) => (n.first ? n.ways : [])),
  }));
  for (const { host, id, ways } of seats) {
    for (const w of ways) w.tags = [...w.tags, tag(shop, id, placeOf(shop, w))];
    host.unmetTags = [...(host.unmetTags ?? []), tag(shop, id, 'nowhere')];
  }
  for (const guest of laid) {
    for (const need of supplyNeeds(guest)) {
      const supply = need.supply;
      for (const { host, ways } of seats) {
        if (host === guest) continue;
        const own = seats.find((s) => s.host === guest);
        const made = host.part.peripheral.gives.flatMap((give) =>
          uniqueByPlace(shop, ways).flatMap((w) => fedWay(shop, guest, supply, host, give, w)),
        );
        need.add(
          own && need.first ? made.map((w) => ({ ...w, tags: [...w.tags, tag(shop, own.id, 'elsewhere')] })) : made,
        );
      }
    }
  }
}

function supplyNeeds(l: LaidPart): { supply: Supply; first: boolean; ways: Way[]; add: (more: Way[]) => void }[] {
  return l.modes.flatMap((m) =>
    m.needs
      .flatMap((n) => (n.supply ? [{ supply: n.supply, need: n }] : []))
      .map(({ supply, need }, i) => ({
        supply,
        first: i === 0,
        ways: [...need.ways],
        add: (more: Way[]) => need.ways.push(...more),
      })),
  );
}

/** The supply behind a host's way. */
function supplyOf(shop: Workshop, w: Way): Supplied | undefined {
  return shop.supplies.find(
    (s) =>
      s.rail.id === w.feed!.rail &&
      s.bridges.every((b) => w.tags.some((t) => t.id === bridgeKey(b.bridge) && t.value === b.position)),
  );
}

/** Where a host stands, as far as its guests can tell: which regulators they load and how much, at how many volts, alive on USB or not. The bridges behind it the host itself asks for. */
function placeOf(shop: Workshop, w: Way): string {
  const from = supplyOf(shop, w);
  const regulators = from?.regulators.map((r) => `${r.rail.id} ${r.perAmp}`) ?? [];
  const plug = w.feed!.plug === undefined ? '' : `by ${w.feed!.plug}`;
  return [...regulators, w.feed!.volts.low, from?.onUsb ? 'on USB' : '', plug].join(';');
}

function uniqueByPlace(shop: Workshop, ways: Way[]): Way[] {
  const places = ways.map((w) => placeOf(shop, w));
  return ways.filter((_, i) => places.indexOf(places[i]!) === i);
}

/** The name under which a part's output is summed up. */
export function outputId(part: string, give: Output): string {
  return `part:${part}:${give.id}`;
}

/** What a part's output may carry: printed and derated, in mA; null where nobody says. */
export function outputLimits(
  shop: Workshop,
  give: Output,
): { printedMa: number; deratedMa: number; share: number } | null {
  const rated = interval(give.amps)[shop.world === 'sure' ? 'low' : 'high'];
  if (!Number.isFinite(rated)) return null;
  const share = ratingShare(give.amps, shop.build.policies.ratedAmps);
  const printedMa = Math.floor(rated * 1000 + 1e-6);
  return { printedMa, deratedMa: Math.floor(printedMa * share + 1e-6), share };
}

function fedWay(shop: Workshop, guest: LaidPart, supply: Supply, host: LaidPart, give: Output, seat: Way): Way[] {
  const from = supplyOf(shop, seat);
  if (!from) return [];
  const hostName = host.part.peripheral.name;
  const volts = interval(give.volts);
  const at = { swing: { low: volts, high: volts } };
  const inside = insideRange(at, supply);
  const conditions: Condition[] = [
    {
      rung: 6,
      truth: inside,
      reason: {
        code: 'fed by a part',
        output: give.label,
        host: hostName,
        volts,
        guest: guest.part.peripheral.name,
        fit: inside,
      },
      grounds: [ground(`${hostName}, ${give.label}`, give.volts, 'V')],
    },
  ];
  if (guest.part.onUsb) {
    let rail: Truth;
    if (from.onUsb === null) rail = 'no';
    else if (Number.isFinite(from.onUsb.nominal)) rail = 'yes';
    else rail = 'unknown';
    const alive = all([host.part.onUsb ? 'yes' : 'no', rail]);
    conditions.push({ rung: 6, truth: alive, reason: { code: 'host on USB', host: hostName, alive } });
  }
  const unsaid = unsaidDraw(guest.part, supply);
  conditions.push(...unsaid);
  const typicalAmps = ampsAt(supply, 'typicalAmps', at, shop.world);
  const peakAmps = ampsAt(supply, 'peakAmps', at, shop.world);
  const limits = outputLimits(shop, give);
  if (!limits)
    conditions.push({
      rung: 7,
      truth: 'unknown',
      reason: { code: 'output unsaid', output: give.label, host: hostName },
      grounds: [ground(`${hostName}, ${give.label}`, give.amps, 'A')],
    });
  const output = outputId(host.part.id, give);
  const rows = limits ? sumRows(shop, output, limits, { typicalAmps, peakAmps }) : [];
  // The host draws for its guest what its own regulator loses as well.
  const lowest = Math.max(0.5, from.swing.low[shop.world === 'sure' ? 'low' : 'high']);
  const through = (Number.isFinite(volts.high) ? volts.high : lowest) / (assumedEfficiency * lowest);
  const asked = { typicalAmps: typicalAmps * through, peakAmps: peakAmps * through };
  const load = loadOn(shop, from, asked, guest.part.onUsb);
  const plug = railPlugs(shop.board, from.rail).find((p) => p.plug.id === seat.feed!.plug);
  const pins = plug ? pinRows(shop, from.rail.id, plug, asked.peakAmps) : [];
  const preferred =
    guest.part.peripheral.kind === 'camera' &&
    shop.build.policies.cameraSupply === 'transmitter' &&
    host.part.peripheral.kind === 'video transmitter';
  return [
    way({
      conditions: [...conditions, ...load.conditions],
      rows: [...rows, ...load.rows, ...pins],
      tags: [tag(shop, feedKey(host.part.id), placeOf(shop, seat))],
      cost: preferred ? {} : { compromises: 1 },
      lost: preferred ? [] : [{ code: 'dark with its host', host: hostName }],
      feed: {
        rail: `part:${host.part.id}`,
        output,
        label: `${give.label} of ${hostName}`,
        pads: [],
        volts: { low: volts.low, high: volts.high },
        typicalAmps,
        peakAmps,
        unsaid: unsaid.length > 0,
        usbAmps: deskAmps(from.onUsb, supply, asked.typicalAmps),
        gauge: gaugeFor(peakAmps) ?? 10,
        lostVolts: 0,
        throughHost: { host: host.part.id, amps: asked.peakAmps },
      },
    }),
  ];
}
