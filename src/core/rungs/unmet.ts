import equal from 'fast-deep-equal';
import { compile } from '../wiring/compile';
import { smallestConflict, type Jury } from '../wiring/conflict';
import type { LaidPart } from '../wiring/laid';
import { railLimits, sharedLimits, usbLimitMa } from '../wiring/rail-limits';
import { sharedLabel } from '../records/shared-limit';
import { interval, isKnown } from '../quantity/figure';
import { usbAmps } from '../trade/usb';
import type { Reason } from '../wiring/reason';
import type { Advice } from './says/advice';
import type { ClashSays, LoadLimit } from './says/unmet-says';
import { isMet, type SolvedRung, type Way, type Workshop, type World } from '../wiring/way';
import type { Rail, SharedLimit } from '../records/board';
import { protocols } from '../trade/protocol';
import { list } from '../quantity/spelled';
import { rungNames, type Finding, type RungState } from './finding';
import {
  bridgeKey,
  groundRow,
  peakRow,
  pinRow,
  portRow,
  steadyRow,
  togetherKey,
  type RowKey,
  type TagKey,
} from '../wiring/keys';

const rungs = [4, 5, 6, 7] as const;

/**
 * Why not every must can be wired: a finding for each rung of 4 to 7 that fails, lowest first. What clashes at the
 * lowest also clashes above, so only what is new there is said again.
 */
export function mustFindings(
  shop: Workshop,
  works: Jury,
  laid: LaidPart[],
  failing: { rung: SolvedRung; state: RungState }[],
): Finding[] {
  let known: LaidPart[] | null = null;
  return failing.map(({ rung, state }) => {
    const musts = laid.filter((l) => l.part.priority === 'must');
    const core = smallestConflict(works, known ?? musts, rung);
    if (core.length === 0) {
      return {
        rung,
        state,
        code: 'unknown figures',
        about: 'Unknown figures',
        says: { code: 'musts open', reasons: doubts(musts, rung) },
        grounds: [],
      };
    }
    if (known && core.length === known.length) {
      return {
        rung,
        state,
        code: 'nothing new',
        about: 'Nothing new',
        says: { code: 'fails below', rung: rungNames[failing[0]!.rung - 1]! },
        grounds: [],
      };
    }
    known ??= core;
    return clash(shop, core, rung, state);
  });
}

/** Why a part that is not a must is left out, given all that is wired. */
export function leftOutFinding(shop: Workshop, works: Jury, wired: LaidPart[], part: LaidPart): Finding {
  const { priority, peripheral } = part.part;
  const base = { code: 'left out', about: peripheral.name } as const;
  const says = (because: ClashSays | null): Finding['says'] => ({
    code: 'left out',
    part: peripheral.name,
    priority,
    because,
  });
  for (const rung of rungs) {
    const core = smallestConflict(works, [...wired, part], rung);
    if (core.length > 0) {
      const finding = clash(shop, core, rung, 'strained', part);
      return { ...finding, ...base, says: says(finding.says) };
    }
  }
  return { rung: 4, state: 'strained', ...base, says: says(null), grounds: [], fix: { code: 'make it a should' } };
}

/** What nobody says of their ways, four things at most. */
function doubts(parts: LaidPart[], rung: SolvedRung): Reason[] {
  const reasons = parts.flatMap((l) =>
    l.modes.flatMap((m) =>
      m.needs.flatMap((n) =>
        n.ways.flatMap((w) => w.conditions.flatMap((c) => (c.rung <= rung && c.truth === 'unknown' ? [c.reason] : []))),
      ),
    ),
  );
  return different(reasons).slice(0, 4);
}

function different(reasons: readonly Reason[]): Reason[] {
  return reasons.filter((r, i) => reasons.findIndex((other) => equal(other, r)) === i);
}

type Clash = Finding & { says: ClashSays };

/** `leftOut`: the part of which the finding says that it is left out. */
function clash(shop: Workshop, core: LaidPart[], rung: SolvedRung, state: RungState, leftOut?: LaidPart): Clash {
  const alone = core.length === 1;
  const grounds = core.flatMap((l) =>
    l.modes.flatMap((m) =>
      m.needs.flatMap((n) =>
        n.ways.flatMap((w) =>
          w.conditions.flatMap((c) => (c.rung === rung && !isMet(c, shop.world) ? (c.grounds ?? []) : [])),
        ),
      ),
    ),
  );
  let says: ClashSays;
  if (alone && (rung < 7 || noWay(core[0]!, shop.world))) says = aloneSays(core[0]!, rung, shop.world);
  else if (rung === 7) says = loadSays(shop, core);
  else says = clashSays(shop, core, rung);
  return {
    rung,
    state,
    code: 'cannot be wired',
    about: list(namesOf(core)),
    says,
    grounds: grounds
      .filter((g, i) => grounds.findIndex((h) => h.what === g.what && h.figure === g.figure) === i)
      .slice(0, 6),
    ...fixHint(shop, core, rung, leftOut),
  };
}

/** Is there a need of each mode that no single way meets, loads aside? */
function noWay(l: LaidPart, world: World): boolean {
  return l.modes.every((m) => m.needs.some((n) => n.ways.every((w) => w.conditions.some((c) => !isMet(c, world)))));
}

/** One part that no way suits: for the mode that gets furthest, what each way lacks. */
function aloneSays(l: LaidPart, rung: SolvedRung, world: World): ClashSays {
  const base = { code: 'no way', part: l.part.peripheral.name, modes: l.modes.length } as const;
  for (const { kind, link, ways } of l.modes.flatMap((m) => m.needs)) {
    if (kind === 'supply' && rung < 6) continue;
    const failing = ways.map((w) => w.conditions.find((c) => c.rung <= rung && !isMet(c, world)));
    if (ways.length > 0 && failing.some((f) => !f)) continue;
    // The ways that got furthest say most; of those that failed before, the lead would be another.
    const failed = failing.flatMap((f) => (f ? [f] : []));
    const last = Math.max(...failed.map((f) => f.rung));
    const furthest = failed.filter((f) => f.rung === last);
    return {
      ...base,
      needs: link ?? (last === 7 ? 'a supply that carries it' : 'a supply in its range'),
      lacks: different(furthest.map((f) => f.reason)),
      outside: kind === 'supply' ? failed.length - furthest.length : 0,
    };
  }
  return { ...base, needs: null, lacks: [], outside: 0 };
}

const namesOf = (parts: readonly LaidPart[]) => parts.map((l) => l.part.peripheral.name);

function clashSays(shop: Workshop, core: LaidPart[], rung: SolvedRung): ClashSays {
  const parts = namesOf(core);
  if (rung === 6) {
    const bridge = shop.board.bridges.find((b) =>
      core.every((l) =>
        l.modes.some((m) => m.needs.some((n) => n.ways.some((w) => w.tags.some((t) => t.id === bridgeKey(b.id))))),
      ),
    );
    return bridge ? { code: 'one bridge', parts, bridge: bridge.label } : { code: 'pads rule out', parts };
  }
  const serial = core.every((l) => l.modes.every((m) => m.needs.some((n) => n.link?.kind === 'serial')));
  if (!serial) return { code: 'rivals', parts, over: rivalry(shop, core, rung) };
  const usable = compile(shop, core, rung).parts.flatMap(({ modes }) =>
    modes.flatMap(({ needs }) =>
      needs.flatMap(({ ways }) => ways.flatMap((w) => (w.link?.kind === 'port' ? [w.link.group] : []))),
    ),
  );
  const inverted = core.some((l) =>
    l.modes.some((m) =>
      m.needs.some((n) => n.link?.kind === 'serial' && protocols[n.link.protocol].sense === 'inverted'),
    ),
  );
  const sense = inverted ? 'inverted or plain' : 'any';
  return {
    code: 'too few ports',
    parts,
    links: core.reduce(
      (sum, l) => sum + Math.min(...l.modes.map((m) => m.needs.filter((n) => n.link?.kind === 'serial').length)),
      0,
    ),
    there: [...new Set(usable)].reduce((sum, g) => sum + (shop.rows.get(portRow(g))?.limit ?? 0), 0),
    sense: rung === 5 ? sense : null,
    claim: claimOf(shop),
  };
}

/** What all of them want and only one can have: an address, a pad, a timer; null where it is more than one thing. */
function rivalry(shop: Workshop, core: LaidPart[], rung: SolvedRung): Extract<ClashSays, { code: 'rivals' }>['over'] {
  const links = core.map((l) => l.modes.flatMap((m) => m.mode.links));
  const address = links[0]!
    .flatMap((l) => (l.kind === 'i2c' ? [l.address] : []))
    .find((a) => a !== undefined && links.every((own) => own.some((l) => l.kind === 'i2c' && l.address === a)));
  if (address !== undefined) return { address };
  const all = (id: TagKey) =>
    core.every((l) =>
      l.modes.every((m) =>
        m.needs.some((n) => {
          const able = n.ways.filter((w) => w.conditions.every((c) => c.rung > rung || isMet(c, shop.world)));
          return able.length > 0 && able.every((w) => w.tags.some((t) => t.id === id));
        }),
      ),
    );
  const pad = shop.board.pads.find((p) => all(`pad:${p.id}`));
  if (pad) return { pad: pad.label };
  const timer = shop.board.outputs.find((o) => all(`timer:${o.timer}`))?.timer;
  return timer === undefined ? null : { timer };
}

/** The shop's count, where it is not what is free. */
function claimOf({ board }: Workshop): Extract<ClashSays, { code: 'too few ports' }>['claim'] {
  const taken = board.ports.filter((p) => p.taken);
  const free = board.ports.length - taken.length;
  if (!('value' in board.claimedPorts) || board.claimedPorts.value === free) return null;
  return { ports: board.claimedPorts.value, free, taken: taken.map((p) => ({ port: p.label, by: p.taken!.by })) };
}

/** Which sum is too much: what the parts would draw of each regulator they could stand on, of other parts' outputs, and of USB where they must live on it. */
function loadSays(shop: Workshop, core: LaidPart[]): ClashSays {
  const { fed } = suppliesFor(core);
  const onUsb = leastOn(core, 'usb');
  const weak = weakRails(shop, core);
  const limits: LoadLimit[] = [];
  /** What those of the parts that could stand there would draw together, and what it carries. */
  const say = (rail: string, row: string, maySteadyMa: number, mayPeakMa: number, held: HeldTo) => {
    const able = core.filter((l) => leastOn([l], peakRow(row)) > 0);
    limits.push({
      of: 'rail',
      parts: namesOf(able),
      rail,
      steadyMa: leastOn(able, steadyRow(row)),
      peakMa: leastOn(able, peakRow(row)),
      maySteadyMa,
      mayPeakMa,
      held,
    });
  };
  // Where no single sum is too much, but all choices together: every regulator they could stand on is named.
  const usbMa = usbLimitMa(shop);
  const pins = weakPins(shop, core);
  const together = weakTogether(shop, core);
  const enough = weak.length > 0 || together.length > 0 || onUsb > usbMa || pins.length > 0;
  for (const r of enough ? weak : railsFor(shop, core)) {
    const { printedMa, share, ownMa, deratedMa } = railLimits(shop, r.id);
    const heatMa = Math.min(...heatRows(core, r.id).map((id) => shop.rows.get(id)!.limit));
    const by = heatMa < deratedMa ? 'heat' : 'share';
    say(r.label, r.id, Math.min(heatMa, deratedMa), printedMa, { by, share, ownMa });
  }
  for (const limit of together) {
    const { deratedMa, printedMa, share } = sharedLimits(shop, limit);
    const held = share < 1 ? { by: 'share' as const, share, ownMa: 0 } : null;
    say(sharedLabel(shop.board, limit), togetherKey(limit.rails), deratedMa, printedMa, held);
  }
  for (const label of new Set(fed.map((w) => w.feed!.label))) {
    const row = fed.find((w) => w.feed!.label === label)!.feed!.output;
    if (row === undefined) continue;
    const [steadyMa, peakMa] = [steadyRow(row), peakRow(row)].map((key) => shop.rows.get(key)?.limit);
    if (steadyMa !== undefined && peakMa !== undefined) say(label, row, steadyMa, peakMa, null);
  }
  const drawers = core.filter((l) => leastOn([l], 'usb') > 0);
  if (drawers.length > 0 && (onUsb > usbMa || limits.length + pins.length === 0))
    limits.push({
      of: 'USB',
      parts: namesOf(drawers),
      ma: onUsb,
      givesMa: usbMa,
      lessOwn: usbMa < usbAmps * 1000,
    });
  limits.push(...pins);
  if (limits.length > 0) return { code: 'too much load', limits };
  const draw = (which: 'typicalAmps' | 'peakAmps') => core.reduce((sum, l) => sum + leastWatts(l, which), 0);
  return {
    code: 'no supply carries',
    parts: namesOf(core),
    watts: draw('typicalAmps'),
    peakWatts: draw('peakAmps'),
  };
}

type HeldTo = Extract<LoadLimit, { of: 'rail' }>['held'];

/** Pins of plugs that do not carry all these parts at once, where there is nowhere else to join them. */
function weakPins(shop: Workshop, core: LaidPart[]): LoadLimit[] {
  return shop.board.plugs.flatMap((plug) => {
    const rows = [...shop.rows.values()].filter(
      ({ id }) => id === groundRow(plug.id) || shop.board.rails.some((r) => id === pinRow(r.id, plug.id)),
    );
    return rows.flatMap(({ id, limit }): LoadLimit[] => {
      const able = core.filter((l) => leastOn([l], id as RowKey) > 0);
      const ma = leastOn(able, id as RowKey);
      const over = id === groundRow(plug.id) ? 'ground pins' : 'pins';
      return ma > limit ? [{ of: 'plug', parts: namesOf(able), ma, plug: plug.label, pinMa: limit, over }] : [];
    });
  });
}

/** The rows that hold a linear regulator to its heat when these parts load it, one for each way it can be fed. */
function heatRows(core: LaidPart[], rail: string): RowKey[] {
  const rows = core.flatMap((l) => l.modes.flatMap((m) => m.needs.flatMap((n) => n.ways.flatMap((w) => w.rows))));
  return [...new Set(rows.filter((r) => r.load?.kind === 'heat' && r.load.rail === rail).map((r) => r.id))];
}

/** The supplies whose volts suit these parts: on the board's rails, and from other parts. */
function suppliesFor(core: LaidPart[]): { direct: Way[]; fed: Way[] } {
  const ways = core
    .flatMap((l) => l.modes.flatMap((m) => m.needs.flatMap((n) => n.ways)))
    .filter((w) => w.conditions.every((c) => c.rung > 6 || c.truth === 'yes'));
  const isFed = (w: Way) => w.feed?.output !== undefined;
  return { direct: ways.filter((w) => !isFed(w)), fed: ways.filter(isFed) };
}

/** Regulators that these parts could stand on. */
function railsFor(shop: Workshop, core: LaidPart[]): Rail[] {
  const able = new Set(suppliesFor(core).direct.flatMap((w) => w.rows.map((r) => r.id)));
  return shop.board.rails.filter((r) => r.source.kind === 'regulator' && able.has(peakRow(r.id)));
}

/** Those of them that do not carry them all together. */
function weakRails(shop: Workshop, core: LaidPart[]): Rail[] {
  const carries = (rail: string) =>
    [peakRow(rail), steadyRow(rail), ...heatRows(core, rail)].every(
      (key) => leastOn(core, key) <= (shop.rows.get(key)?.limit ?? 0),
    );
  return railsFor(shop, core).filter((r) => !carries(r.id));
}

/** Regulators that do not carry them all together, whatever each does alone. */
function weakTogether(shop: Workshop, core: LaidPart[]): SharedLimit[] {
  return (shop.board.sharedLimits ?? []).filter(({ rails }) =>
    [peakRow(togetherKey(rails)), steadyRow(togetherKey(rails))].some(
      (key) => leastOn(core, key) > (shop.rows.get(key)?.limit ?? Infinity),
    ),
  );
}

/** Loads aside, nothing speaks against this way. */
function couldStand({ conditions }: Way): boolean {
  return conditions.every((c) => c.rung > 6 || c.truth !== 'no');
}

/** The least that these parts together put on a row, in mA, wherever they put anything on it. */
function leastOn(core: LaidPart[], id: RowKey): number {
  const amounts = (l: LaidPart) =>
    l.modes.flatMap((m) =>
      m.needs.flatMap((n) =>
        n.ways.filter(couldStand).flatMap((w) => w.rows.filter((r) => r.id === id).map((r) => r.amount)),
      ),
    );
  return core.reduce((sum, l) => sum + (amounts(l).length > 0 ? Math.min(...amounts(l)) : 0), 0);
}

function leastWatts(l: LaidPart, which: 'typicalAmps' | 'peakAmps'): number {
  const watts = l.modes.map(({ mode }) =>
    mode.supplies.reduce((sum, s) => sum + (isKnown(s[which]) ? interval(s[which]).low * s.atVolts : 0), 0),
  );
  return Math.min(...watts);
}

function fixHint(shop: Workshop, core: LaidPart[], rung: SolvedRung, leftOut?: LaidPart): { fix?: Advice } {
  if (rung === 7 && leastOn(core, 'usb') > usbLimitMa(shop) && weakRails(shop, core).length === 0)
    return { fix: { code: 'go without USB' } };
  if (rung === 7) return { fix: { code: 'external regulator', several: core.length > 1 } };
  if (rung === 4 && core.length > 1) {
    const optional = core.filter((l) => l.part.priority !== 'must' && l !== leftOut);
    if (optional.length > 0) return { fix: { code: 'leave out', parts: namesOf(optional) } };
    return { fix: { code: 'another board', portsTaken: shop.board.ports.some((p) => p.taken && !p.taken.release) } };
  }
  return {};
}
