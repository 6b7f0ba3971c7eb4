import { compile } from '../wiring/compile';
import { smallestConflict, type Jury } from '../wiring/conflict';
import type { LaidPart } from '../wiring/laid';
import { railLimits, sharedLimits, usbLimitMa } from '../wiring/rail-limits';
import { sharedLabel } from '../records/shared-limit';
import { interval, isKnown } from '../quantity/figure';
import { usbAmps } from '../trade/usb';
import { reasonWords } from '../wiring/reason';
import { isMet, type SolvedRung, type Way, type Workshop, type World } from '../wiring/way';
import type { Rail, SharedLimit } from '../records/board';
import { protocols } from '../trade/protocol';
import { railWords } from '../circuit/rail-words';
import { capital, list, num, rungNames, type Finding, type RungState } from './finding';
import { linkNeeds } from '../wiring/signal-words';
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
      const open = doubts(musts, rung);
      return {
        rung,
        state,
        code: 'unknown figures',
        about: 'Unknown figures',
        sentence: `Whether every must can be wired is open: ${(open.length > 0 ? open : ['nobody states a figure that it hangs on']).join('; ')}.`,
        grounds: [],
      };
    }
    if (known && core.length === known.length) {
      return {
        rung,
        state,
        code: 'nothing new',
        about: 'Nothing new',
        sentence: `What breaks at ${rungNames[failing[0]!.rung - 1]} cannot be wired here either.`,
        grounds: [],
      };
    }
    known ??= core;
    return clash(shop, core, rung, state);
  });
}

/** Why a part that is not a must is left out, given all that is wired. */
export function leftOutFinding(shop: Workshop, works: Jury, wired: LaidPart[], part: LaidPart): Finding {
  const { name } = part.part.peripheral;
  for (const rung of rungs) {
    const core = smallestConflict(works, [...wired, part], rung);
    if (core.length > 0) {
      const finding = clash(shop, core, rung, 'strained', part);
      return {
        ...finding,
        code: 'left out',
        about: name,
        sentence: `${name} (${part.part.priority}) is left out. ${finding.sentence}`,
      };
    }
  }
  return {
    rung: 4,
    state: 'strained',
    code: 'left out',
    about: name,
    sentence: `${name} (${part.part.priority}) is left out: wiring it would cost money, mass or effort, which outranks a ${part.part.priority}.`,
    grounds: [],
    fix: 'Make it a must or a should to have it wired all the same.',
  };
}

function doubts(parts: LaidPart[], rung: SolvedRung): string[] {
  const whys = parts.flatMap((l) =>
    l.modes.flatMap((m) =>
      m.needs.flatMap((n) =>
        n.ways.flatMap((w) =>
          w.conditions.flatMap((c) => (c.rung <= rung && c.truth === 'unknown' ? [reasonWords(c.reason)] : [])),
        ),
      ),
    ),
  );
  return [...new Set(whys)].slice(0, 4);
}

/** `leftOut`: the sentence before names this part, and says that it is left out. */
function clash(shop: Workshop, core: LaidPart[], rung: SolvedRung, state: RungState, leftOut?: LaidPart): Finding {
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
  let sentence: string;
  if (alone && (rung < 7 || noWay(core[0]!, shop.world)))
    sentence = aloneWords(core[0]!, rung, shop.world, core[0] === leftOut ? 'It' : core[0]!.part.peripheral.name);
  else if (rung === 7) sentence = loadWords(shop, core);
  else sentence = clashWords(shop, core, rung);
  return {
    rung,
    state,
    code: 'cannot be wired',
    about: list(core.map((l) => l.part.peripheral.name)),
    sentence,
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
function aloneWords(l: LaidPart, rung: SolvedRung, world: World, name: string): string {
  const tried = l.modes.flatMap((m) =>
    m.needs.flatMap((n) => {
      if (n.kind === 'supply' && rung < 6) return [];
      const failing = n.ways.map((w) => w.conditions.find((c) => c.rung <= rung && !isMet(c, world)));
      if (n.ways.length > 0 && failing.some((f) => !f)) return [];
      // The ways that got furthest say most; of those that failed before, the lead would be another.
      const failed = failing.flatMap((f) => (f ? [f] : []));
      const last = Math.max(...failed.map((f) => f.rung));
      const furthest = failed.filter((f) => f.rung === last);
      const reasons = [...new Set(furthest.map((f) => reasonWords(f.reason)))];
      const before = failed.length - furthest.length;
      if (before > 0 && n.kind === 'supply')
        reasons.push(`${before === 1 ? 'one other is' : `${before} others are`} outside its range`);
      const lacks =
        reasons.length > 0
          ? reasons
          : [n.kind === 'supply' ? 'the board has no supply pads' : 'every port is taken for good or there is none'];
      const supply = last === 7 ? 'a supply that carries it' : 'a supply inside its range';
      const what = n.link ? linkNeeds(n.link) : supply;
      const many =
        lacks.length > 3 ? `${lacks.slice(0, 3).join('; ')}; and ${lacks.length - 3} more` : lacks.join('; ');
      return [`${what}: ${many}`];
    }),
  );
  const first = [...new Set(tried)][0];
  const ways = l.modes.length > 1 ? ` None of its ${l.modes.length} ways works here.` : '';
  return first
    ? `${name} needs ${first}.${ways}`
    : `${name} cannot be wired here: its links and its supply rule each other out.${ways}`;
}

function clashWords(shop: Workshop, core: LaidPart[], rung: SolvedRung): string {
  const names = list(core.map((l) => l.part.peripheral.name));
  if (rung === 6) {
    const bridge = shop.board.bridges.find((b) =>
      core.every((l) =>
        l.modes.some((m) => m.needs.some((n) => n.ways.some((w) => w.tags.some((t) => t.id === bridgeKey(b.id))))),
      ),
    );
    return bridge
      ? `${names} sit behind one bridge: no position of ${bridge.label} suits them all.`
      : `${names} cannot all be supplied and wired at once: each needs pads that rule another's out.`;
  }
  const serial = core.every((l) => l.modes.every((m) => m.needs.some((n) => n.link?.kind === 'serial')));
  if (!serial)
    return `${names} cannot all be wired: ${rivalry(shop, core, rung) ?? 'they compete for the same pads, outputs or inputs'}.`;
  const usable = compile(shop, core, rung).parts.flatMap(({ modes }) =>
    modes.flatMap(({ needs }) =>
      needs.flatMap(({ ways }) => ways.flatMap((w) => (w.link?.kind === 'port' ? [w.link.group] : []))),
    ),
  );
  const groups = new Set(usable);
  const count = [...groups].reduce((sum, g) => sum + (shop.rows.get(portRow(g))?.limit ?? 0), 0);
  const links = core.reduce(
    (sum, l) => sum + Math.min(...l.modes.map((m) => m.needs.filter((n) => n.link?.kind === 'serial').length)),
    0,
  );
  const why =
    rung === 5
      ? ` with the sense each needs${core.some((l) => l.modes.some((m) => m.needs.some((n) => n.link?.kind === 'serial' && protocols[n.link.protocol].sense === 'inverted'))) ? ' (inverted or plain)' : ''}`
      : '';
  return `${capital(names)} need ${links} serial port${links === 1 ? '' : 's'} between them${why}; ${count === 1 ? '1 is' : `${count} are`} there. ${claimWords(shop)}`.trim();
}

/** What all of them want and only one can have: an address, a pad, a timer; null where it is more than one thing. */
function rivalry(shop: Workshop, core: LaidPart[], rung: SolvedRung): string | null {
  const links = core.map((l) => l.modes.flatMap((m) => m.mode.links));
  const address = links[0]!
    .flatMap((l) => (l.kind === 'i2c' ? [l.address] : []))
    .find((a) => a !== undefined && links.every((own) => own.some((l) => l.kind === 'i2c' && l.address === a)));
  if (address !== undefined)
    return `they answer at the same address, 0x${address.toString(16)}, and a bus carries one of them`;
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
  if (pad) return `each wants ${pad.label}, which has one use at a time`;
  const timer = shop.board.outputs.find((o) => all(`timer:${o.timer}`))?.timer;
  return timer === undefined ? null : `each wants outputs of timer ${timer}, which runs at one rate`;
}

/** The shop's count against what is free. */
function claimWords(shop: Workshop): string {
  const claimed = shop.board.claimedPorts;
  const taken = shop.board.ports.filter((p) => p.taken);
  const free = shop.board.ports.length - taken.length;
  if (!('value' in claimed) || claimed.value === free) return '';
  const by = taken.length > 0 ? ` (${list([...new Set(taken.map((p) => `${p.label}: ${p.taken!.by}`))])})` : '';
  return `The board claims ${claimed.value} ports; ${free} ${free === 1 ? 'is' : 'are'} free${by}.`;
}

/** Which sum is too much: what the parts would draw of each regulator they could stand on, of other parts' outputs, and of USB where they must live on it. */
function loadWords(shop: Workshop, core: LaidPart[]): string {
  const { fed } = suppliesFor(core);
  const onUsb = leastOn(core, 'usb') / 1000;
  const weak = weakRails(shop, core);
  const limits: string[] = [];
  let said = '';
  /** What those of the parts that could stand there would draw together, and what it carries. Who they are is said once. */
  const say = (label: string, row: string, steadyMa: number, peakMa: number, why: string) => {
    const able = core.filter((l) => leastOn([l], peakRow(row)) > 0);
    const names = list(able.map((l) => l.part.peripheral.name));
    const [steady, peak] = [apart(leastOn(able, steadyRow(row)), steadyMa), apart(leastOn(able, peakRow(row)), peakMa)];
    limits.push(
      `${names === said ? 'or' : `${names} would draw`} ${steady[0]} A of ${railWords(label)}, ${peak[0]} A at peak; it may carry ${steady[1]} A${why}, ${peak[1]} A for moments`,
    );
    said = names;
  };
  // Where no single sum is too much, but all choices together: every regulator they could stand on is named.
  const usbMa = usbLimitMa(shop);
  const pins = weakPins(shop, core);
  const together = weakTogether(shop, core);
  const enough = weak.length > 0 || together.length > 0 || onUsb * 1000 > usbMa || pins.length > 0;
  for (const r of enough ? weak : railsFor(shop, core)) {
    const { printedMa, share, ownMa, ...limit } = railLimits(shop, r.id);
    const heatMa = Math.min(...heatRows(core, r.id).map((id) => shop.rows.get(id)!.limit));
    const byHeat = heatMa < limit.deratedMa;
    const deratedMa = Math.min(heatMa, limit.deratedMa);
    const own = ownMa > 0 ? `, after the board's own ${num(ownMa / 1000, 2)} A` : '';
    say(
      r.label,
      r.id,
      deratedMa,
      printedMa,
      ` (${byHeat ? 'a linear regulator: more turns into too much heat on the full pack' : `${num(share * 100, 0)} % of its rating`}${own})`,
    );
  }
  for (const limit of together) {
    const { deratedMa, printedMa, share } = sharedLimits(shop, limit);
    const why = share < 1 ? ` (${num(share * 100, 0)} % of its rating)` : '';
    say(sharedLabel(shop.board, limit), togetherKey(limit.rails), deratedMa, printedMa, why);
  }
  for (const label of new Set(fed.map((w) => w.feed!.label))) {
    const row = fed.find((w) => w.feed!.label === label)!.feed!.output;
    if (row === undefined) continue;
    const [steadyMa, peakMa] = [steadyRow(row), peakRow(row)].map((key) => shop.rows.get(key)?.limit);
    if (steadyMa !== undefined && peakMa !== undefined) say(label, row, steadyMa, peakMa, '');
  }
  const drawers = core.filter((l) => leastOn([l], 'usb') > 0);
  if (drawers.length > 0 && (onUsb * 1000 > usbMa || limits.length + pins.length === 0)) {
    const own = usbMa < usbAmps * 1000 ? ` of its ${num(usbAmps, 1)} A, after what the board itself may draw` : '';
    limits.push(
      `${list(drawers.map((l) => l.part.peripheral.name))} would draw ${num(onUsb, 2)} A of USB on the desk; it gives ${num(usbMa / 1000, 2)} A to what must live on it${own}`,
    );
  }
  limits.push(...pins);
  if (limits.length > 0) return `${limits.join('; ')}: too little.`;
  const draw = (which: 'typicalAmps' | 'peakAmps') =>
    num(
      core.reduce((sum, l) => sum + leastWatts(l, which), 0),
      1,
    );
  return `${list(core.map((l) => l.part.peripheral.name))} ${core.length === 1 ? 'takes' : 'take'} ${draw('typicalAmps')} W, ${draw('peakAmps')} W at peak; no choice of supplies carries that.`;
}

/** Pins of plugs that do not carry all these parts at once, where there is nowhere else to join them. */
function weakPins(shop: Workshop, core: LaidPart[]): string[] {
  return shop.board.plugs.flatMap((plug) => {
    const rows = [...shop.rows.values()].filter(
      ({ id }) => id === groundRow(plug.id) || shop.board.rails.some((r) => id === pinRow(r.id, plug.id)),
    );
    return rows.flatMap(({ id, limit }) => {
      const able = core.filter((l) => leastOn([l], id as RowKey) > 0);
      const ma = leastOn(able, id as RowKey);
      if (ma <= limit) return [];
      const way = id === groundRow(plug.id) ? 'back over its ground pins' : 'out over its pins';
      return [
        `${list(able.map((l) => l.part.peripheral.name))} would draw ${num(ma / 1000, 2)} A through the ${plug.label} plug; ${num(limit / 1000, 2)} A go ${way}`,
      ];
    });
  });
}

/** The rows that hold a linear regulator to its heat when these parts load it, one for each way it can be fed. */
function heatRows(core: LaidPart[], rail: string): RowKey[] {
  const rows = core.flatMap((l) => l.modes.flatMap((m) => m.needs.flatMap((n) => n.ways.flatMap((w) => w.rows))));
  return [...new Set(rows.filter((r) => r.load?.kind === 'heat' && r.load.rail === rail).map((r) => r.id))];
}

/** Two currents in A, with as many digits as tell them apart. */
function apart(oneMa: number, otherMa: number): [string, string] {
  const digits = oneMa !== otherMa && num(oneMa / 1000, 2) === num(otherMa / 1000, 2) ? 3 : 2;
  return [num(oneMa / 1000, digits), num(otherMa / 1000, digits)];
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

function fixHint(shop: Workshop, core: LaidPart[], rung: SolvedRung, leftOut?: LaidPart): { fix?: string } {
  if (rung === 7 && leastOn(core, 'usb') > usbLimitMa(shop) && weakRails(shop, core).length === 0)
    return {
      fix: 'Let the largest of them go without USB: untick "Must work from USB alone on the desk" in its sheet.',
    };
  if (rung === 7)
    return {
      fix: `An external regulator for ${core.length === 1 ? 'it' : 'the largest of them'}, or a board with a stronger one.`,
    };
  if (rung === 4 && core.length > 1) {
    const optional = core.filter((l) => l.part.priority !== 'must' && l !== leftOut).map((l) => l.part.peripheral.name);
    if (optional.length > 0) return { fix: `Leave out ${list(optional)}.` };
    const forGood = shop.board.ports.filter((p) => p.taken && !p.taken.release).length;
    return {
      fix: `A board with ${forGood > 0 ? 'fewer ports taken for good' : 'one more free port'}, or one part on another kind of link.`,
    };
  }
  return {};
}
