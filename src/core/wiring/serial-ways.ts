import { padStands } from './pad-stands';
import type { Port } from '../records/board';
import { isUnknown } from '../quantity/figure';
import type { Link } from '../records/peripheral';
import { type Truth } from '../quantity/truth';
import { level } from '../trade/level';
import { processors } from '../trade/processor';
import { protocols, softSerialCarries, type Protocol } from '../trade/protocol';
import { ground, type Ground } from '../quantity/ground';
import { broughtByHarness, escSendsTelemetry } from '../circuit/harness-line';
import { bridgeTag, row, tag, way, type Condition, type Way, type Workshop } from './way';
import { ableGroups } from './output-ways';
import { sharedPads } from '../circuit/shared-pads';
import type { Named, Reason } from './reason';
import { portRow, outputRow, releaseKey } from './keys';

type End = Port['rx'][number] & { twoWayInverter?: boolean };

/** The protocol as this link of this part speaks it. */
export type Spoken = Protocol & { sendsVolts?: number | undefined; hearsFromVolts?: number | undefined };

export function spoken(link: Extract<Link, { kind: 'serial' }>): Spoken {
  let said = speech.get(link);
  if (!said) {
    const usual = protocols[link.protocol];
    const { sense = usual.sense, sendsVolts, hearsFromVolts } = link;
    speech.set(link, (said = { ...usual, sense, sendsVolts, hearsFromVolts }));
  }
  return said;
}

/** A link is asked for once for every other link and every port. */
const speech = new WeakMap<object, Spoken>();

/** Ports that no way can tell apart, so that the search need not either. */
export interface PortGroup {
  id: string;
  ports: Port[];
}

/** Groups ports by everything that decides what they can carry. A port that stands apart by name (a lock, a bus on its pads) stays alone. */
export function portGroups(shop: Workshop): PortGroup[] {
  let groups = grouped.get(shop);
  if (!groups) grouped.set(shop, (groups = groupPorts(shop)));
  return groups;
}

const grouped = new WeakMap<Workshop, PortGroup[]>();

function groupPorts(shop: Workshop): PortGroup[] {
  const named = new Set([
    ...(shop.build.locks[shop.board.id] ?? []).flatMap((l) => (l.kind === 'link' ? [l.to] : [])),
    ...shop.board.buses.flatMap((b) => (b.sharesPort ? [b.sharesPort] : [])),
    ...shop.board.ports
      // Each port that is taken is freed, and paid for, by itself.
      .filter((p) => p.taken || [...p.rx, ...p.tx].some((e) => sharedPads(shop.board).has(e.pad)))
      .map((p) => p.id),
  ]);
  const groups = new Map<string, PortGroup>();
  for (const port of shop.board.ports) {
    const strip = (ends: End[]) =>
      ends.map(({ pad, sense, switch: s, twoWayInverter }) => [
        sense,
        s,
        twoWayInverter,
        shop.board.pads.find((p) => p.id === pad)?.toleratesVolts,
      ]);
    const key = JSON.stringify([strip(port.rx), strip(port.tx), named.has(port.id) ? port.id : '']);
    const group = groups.get(key);
    if (group) group.ports.push(port);
    else groups.set(key, { id: port.id, ports: [port] });
  }
  return [...groups.values()];
}

/** Whether the processor can turn a signal round inside the port (RXINV/TXINV, see trade/processor). */
export function invertsInside(shop: Workshop): Truth {
  const p = shop.board.processor;
  if (isUnknown(p)) return 'unknown';
  if (processors[p.value].invertsInside) return 'yes';
  return 'no';
}

export function serialWays(shop: Workshop, link: Extract<Link, { kind: 'serial' }>): Way[] {
  const protocol = spoken(link);
  const ways = portGroups(shop).flatMap((group) =>
    broughtByHarness(shop.build, group.ports[0]!, link.protocol)
      ? [harnessWay(shop, group)]
      : portWays(shop, group, protocol),
  );
  const all = [...ways, ...softSerialWays(shop, protocol)];
  const sends = link.protocol === 'esc-telemetry' ? escSendsTelemetry(shop.build, shop.board) : 'yes';
  if (sends === 'yes') return all;
  const silent: Condition = { rung: 5, truth: sends, reason: { code: 'ESC sends telemetry', sends } };
  return all.map((w) => ({ ...w, conditions: [...w.conditions, silent] }));
}

/** The port is taken as it is: nothing to wire, to free or to pay. */
function harnessWay(shop: Workshop, group: PortGroup): Way {
  const port = group.ports[0]!;
  return way({
    conditions: [{ rung: 5, truth: 'yes', reason: { code: 'nothing to wire' } }],
    rows: [{ id: row(shop, { id: portRow(group.id), limit: group.ports.length, pool: 'port' }), amount: 1, rung: 4 }],
    tags: port.taken!.release ? [tag(shop, releaseKey(port.id), 'kept')] : [],
    link: { kind: 'port', group: group.id },
  });
}

function portWays(shop: Workshop, group: PortGroup, protocol: Spoken): Way[] {
  const port = group.ports[0]!;
  if (port.taken && !port.taken.release) return [];
  const onPort = way({
    cost: { ports: 1 },
    rows: [{ id: row(shop, { id: portRow(group.id), limit: group.ports.length, pool: 'port' }), amount: 1, rung: 4 }],
  });
  const release = port.taken?.release;
  const base = release ? freeing(shop, port, onPort) : onPort;
  if (shop.board.buses.some((b) => b.sharesPort === port.id))
    base.tags = [...base.tags, tag(shop, `shared:${port.id}`, 'serial')];
  const releaseOf = release ? { release: port.id } : {};
  const hear = port.rx.flatMap((end) => endWays(shop, end, protocol, port, 'hear'));
  const talk = port.tx.flatMap((end) => endWays(shop, end, protocol, port, 'talk'));
  const missing = (has: Extract<Reason, { code: 'port lacks a side' }>['has']): Way => ({
    ...base,
    conditions: [{ rung: 4, truth: 'no', reason: { code: 'port lacks a side', port: named(port), has } }],
  });
  const put = (ends: Way[], sides: { rx?: boolean; tx?: boolean }): Way[] =>
    ends.map((e) => ({
      ...base,
      conditions: e.conditions,
      cost: addTo(base.cost, e.cost),
      lost: [...base.lost, ...e.lost],
      tags: [...base.tags, ...e.tags],
      link: {
        kind: 'port' as const,
        group: group.id,
        ...(sides.rx ? { rx: e.link!.kind === 'pad' ? e.link!.pads : [] } : {}),
        ...(sides.tx ? { tx: e.link!.kind === 'pad' ? e.link!.pads : [] } : {}),
        ...releaseOf,
      },
    }));

  switch (protocol.wires) {
    case 'hear':
      return hear.length ? put(hear, { rx: true }) : [missing('talk')];
    case 'talk':
      return talk.length ? put(talk, { tx: true }) : [missing('hear')];
    case 'one wire': {
      const oneWire = port.tx.flatMap((end) => oneWireEnd(shop, end, protocol, port));
      return oneWire.length ? put(oneWire, { tx: true }) : [missing('no one-wire pad')];
    }
    case 'both': {
      const pairs: Way[] = hear.flatMap((h) =>
        talk.map((t) => ({
          ...base,
          conditions: [...h.conditions, ...t.conditions],
          cost: addTo(addTo(base.cost, h.cost), t.cost),
          lost: [...base.lost, ...h.lost, ...t.lost],
          tags: [...base.tags, ...h.tags, ...t.tags],
          link: { kind: 'port' as const, group: group.id, rx: padsOf(h), tx: padsOf(t), ...releaseOf },
        })),
      );
      if (pairs.length > 0) return pairs;
      if (hear.length > 0 && protocol.hearOnlyLoses) {
        return put(hear, { rx: true }).map((w) => ({
          ...w,
          cost: { ...w.cost, compromises: (w.cost.compromises ?? 0) + 1 },
          lost: [...w.lost, { code: 'hears only', port: named(port), loses: protocol.hearOnlyLoses! }],
        }));
      }
      if (hear.length > 0) return [missing('hear')];
      return [missing(talk.length > 0 ? 'talk' : 'nothing')];
    }
  }
}

/** A way that wants a port which something on the board holds: what freeing it costs and gives up. */
export function freeing(shop: Workshop, port: Port, w: Way): Way {
  const { cents, grams, effort, lost } = port.taken!.release!;
  return {
    ...w,
    cost: addTo(w.cost, { cents, deciGrams: Math.round(grams * 10), effort, compromises: 1 }),
    lost: [...w.lost, { code: 'as the file says', text: lost }],
    tags: [...w.tags, tag(shop, releaseKey(port.id), 'free')],
  };
}

/** What a 5 V signal does to a 3.3 V pad, and a 3.3 V pad to a part that wants more (trade/level). */
function levelled(
  shop: Workshop,
  padId: string,
  { sendsVolts, hearsFromVolts }: Spoken,
  hears: boolean,
  talks: boolean,
  w: Way,
): Way {
  const conditions = [
    ...w.conditions,
    ...(hears && sendsVolts !== undefined ? padStands(shop, padId, sendsVolts) : []),
  ];
  if (!talks || hearsFromVolts === undefined || hearsFromVolts <= level.highLoadedVolts) return { ...w, conditions };
  if (hearsFromVolts <= level.highUnloadedVolts) {
    return {
      ...w,
      conditions,
      cost: addTo(w.cost, { compromises: 1 }),
      lost: [...w.lost, { code: 'signal too low', volts: hearsFromVolts, reaches: 'just' }],
    };
  }
  conditions.push({
    rung: 5,
    truth: 'no',
    reason: { code: 'signal too low', volts: hearsFromVolts, reaches: 'not' },
  });
  return { ...w, conditions };
}

/** What a reason says of a port or a pad. */
function named({ id, label }: Named): Named {
  return { id, label };
}

function addTo(a: Way['cost'], b: Way['cost']): Way['cost'] {
  const sum = { ...a };
  for (const [key, n] of Object.entries(b) as [keyof Way['cost'], number][]) sum[key] = (sum[key] ?? 0) + n;
  return sum;
}

function padsOf(w: Way): string[] {
  return w.link?.kind === 'pad' ? w.link.pads : [];
}

/** The ways one side of a group's port can carry a protocol that uses that side alone. */
export function sideWays(shop: Workshop, group: PortGroup, protocol: Spoken, side: 'rx' | 'tx'): Way[] {
  const port = group.ports[0]!;
  return port[side].flatMap((end) => endWays(shop, end, protocol, port, side === 'rx' ? 'hear' : 'talk'));
}

/** The ways one pad can carry the sense the protocol wants: as it is, by the processor, or by a bridge. */
function endWays(shop: Workshop, end: End, protocol: Spoken, port: Port, verb: 'hear' | 'talk'): Way[] {
  const native = invertsInside(shop);
  const at = (conditions: Condition[], tags: Way['tags'] = []) =>
    levelled(
      shop,
      end.pad,
      protocol,
      verb === 'hear',
      verb === 'talk',
      way({
        conditions,
        tags,
        link: { kind: 'pad', pads: [end.pad], what: verb },
      }),
    );
  if (end.switch) {
    const { bridge, plainAt, invertedAt } = end.switch;
    return [
      ...(['plain', 'inverted'] as const).map((sense) =>
        at(
          [senseCondition(shop, sense, protocol, named(port), native)],
          [bridgeTag(shop, bridge, sense === 'plain' ? plainAt : invertedAt)],
        ),
      ),
    ];
  }
  return [at([senseCondition(shop, end.sense, protocol, named(port), native)])];
}

function senseCondition(
  shop: Workshop,
  sense: End['sense'],
  protocol: Protocol,
  port: Named,
  native: Truth,
): Condition {
  const wanted = protocol.sense;
  const grounds = [processorGround(shop)];
  if (sense === wanted) return { rung: 5, truth: 'yes', reason: { code: 'sense as it stands', port, sense: wanted } };
  if (native === 'yes')
    return { rung: 5, truth: 'yes', reason: { code: 'turned by the processor', port, oneWire: false }, grounds };
  if (sense === 'unknown' || native === 'unknown') {
    const reason: Reason = native === 'unknown' ? { code: 'processor unsaid' } : { code: 'inverter unsaid', port };
    return { rung: 5, truth: 'unknown', reason, grounds };
  }
  const reason: Reason =
    wanted === 'inverted' ? { code: 'no inverter', port, twoWay: false } : { code: 'fixed inverter', port };
  return { rung: 5, truth: 'no', reason, grounds };
}

function oneWireEnd(shop: Workshop, end: End, protocol: Spoken, on: Port): Way[] {
  const port = named(on);
  const native = invertsInside(shop);
  const at = (condition: Condition) =>
    levelled(
      shop,
      end.pad,
      protocol,
      true,
      true,
      way({
        conditions: [condition],
        link: { kind: 'pad', pads: [end.pad], what: 'one wire' },
      }),
    );
  const grounds = [processorGround(shop)];
  if (protocol.sense === 'plain') {
    if (end.sense === 'inverted' && native !== 'yes')
      return [at({ rung: 5, truth: native, reason: { code: 'fixed inverter', port }, grounds })];
    return [
      at({
        rung: 5,
        truth: end.sense === 'unknown' && native !== 'yes' ? 'unknown' : 'yes',
        reason: { code: 'one wire both ways', port },
      }),
    ];
  }
  if (end.twoWayInverter) return [at({ rung: 5, truth: 'yes', reason: { code: 'two-way inverter', port } })];
  let reason: Reason = { code: 'processor unsaid' };
  if (native === 'yes') reason = { code: 'turned by the processor', port, oneWire: true };
  if (native === 'no') reason = { code: 'no inverter', port, twoWay: true };
  return [at({ rung: 5, truth: native, reason, grounds })];
}

function softSerialWays(shop: Workshop, protocol: Protocol): Way[] {
  if (protocol.onTimerPad) {
    const timed = [...ableGroups(shop, 'channel in'), ...ableGroups(shop, 'soft serial')];
    return timed
      .filter(({ group }, i) => timed.findIndex((t) => t.group === group) === i)
      .map(({ group: g, conditions }) => way({ conditions, ...softOn(shop, g.id, g.limit, g.timer, 1, 'channel in') }));
  }
  const groups = ableGroups(shop, 'soft serial');
  if (!softSerialCarries(protocol)) {
    let because: 'control' | 'inverted' | 'speed' = 'speed';
    if (protocol.control) because = 'control';
    else if (protocol.sense === 'inverted') because = 'inverted';
    const reason: Reason = { code: 'soft serial refuses', because };
    return groups.slice(0, 1).map(() => way({ conditions: [{ rung: 4, truth: 'no', reason }] }));
  }
  const pads = protocol.wires === 'both' ? 2 : 1;
  return groups
    .filter(({ group }) => group.limit >= pads)
    .map(({ group: g, conditions }) =>
      way({
        conditions,
        ...softOn(shop, g.id, g.limit, g.timer, pads),
        cost: { effort: 2, compromises: 1 },
        lost: [{ code: 'soft serial is slow' }],
      }),
    );
}

function softOn(
  shop: Workshop,
  group: string,
  limit: number,
  timer: string,
  pads: number,
  rate: 'soft serial' | 'channel in' = 'soft serial',
): Partial<Way> {
  return {
    rows: [{ id: row(shop, { id: outputRow(group), limit, pool: 'output' }), amount: pads, rung: 4 }],
    tags: [tag(shop, `timer:${timer}`, rate)],
    link: { kind: 'soft serial', pads, group },
  };
}

export function processorGround(shop: Workshop): Ground {
  const p = shop.board.processor;
  const said = ground('Processor family', p);
  return isUnknown(p) ? said : { ...said, figure: `${p.value} (${processors[p.value].source})` };
}
