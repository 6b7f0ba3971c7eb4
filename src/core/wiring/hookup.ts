import type { Port } from '../records/board';
import type { Build, Part, Priority } from '../records/build';
import type { Link } from '../records/peripheral';
import type { Compiled } from './compile';
import { addCosts, cost, noCost, type Cost } from '../solver/cost';
import { outputId, outputLimits } from './fed-by-part';
import { heldPads } from './held-pads';
import { outputGroups } from './output-ways';
import { inputGroups } from './pad-ways';
import { analogueKinds } from '../records/board-lists';
import { isKnown } from '../quantity/figure';
import { routeMm } from '../circuit/route';
import { joinsOf } from './joins';
import type { Solution } from '../solver/problem';
import { portGroups } from './serial-ways';
import type { Reason } from './reason';
import { sameOnPort } from './same-on-port';
import { sharedLabel } from '../records/shared-limit';
import type { Supplied } from '../circuit/rail-tree';
import { heatLimitMa, railLimits, sharedLimits } from './rail-limits';
import type { Condition, Feed, Place, Workshop } from './way';
import { bridgeKey, releaseKey, togetherKey } from './keys';

/** A link as it is wired: which port, bus, input or output, and which pads. */
export interface WiredLink {
  id: string;
  link: Link;
  /** What it ends on, in words: "Port 2", "I2C", "Outputs 5 and 6". */
  on: string;
  /** Id of the port, bus, input kind or output it ends on. */
  to: string[];
  pads: { pad: string; does: string }[];
  conditions: Condition[];
  lost: Reason[];
}

export interface WiredSupply extends Feed {
  id: string;
  /** Which of the part's supplies, where it takes several. */
  which?: string;
  on: string;
  conditions: Condition[];
  lost: Reason[];
  margin: number | null;
}

export interface WiredPart {
  id: string;
  name: string;
  priority: Priority;
  /** null: left out. */
  mode: { id: string; label: string; lost: string[]; needs?: string } | null;
  links: WiredLink[];
  supplies: WiredSupply[];
}

/** What is fed there: the part, and which of its supplies where it takes several. */
export function suppliedName(part: Pick<WiredPart, 'name'>, { which }: Pick<WiredSupply, 'which'>): string {
  return which === undefined ? part.name : `${part.name} (${which})`;
}

export interface PortLine {
  port: string;
  label: string;
  hears: boolean;
  talks: boolean;
  takenBy: string | null;
  released: boolean;
  usedBy: string[];
}

export interface RailLine {
  rail: string;
  label: string;
  printedMa: number | null;
  usableMa: number | null;
  ownMa: number;
  share: number;
  /** Heat in a linear regulator ends it sooner than its rating does. */
  byHeat: boolean;
  typicalMa: number;
  peakMa: number;
  /** The peak goes beyond what is usable, into the reserve. */
  over: boolean;
  /** Nobody says what some part draws: the sums may be more. */
  atLeast: boolean;
  /** `unsaid`: nobody says what the part draws, and it may be more. */
  parts: { part: string; name: string; peakMa: number; typicalMa: number; unsaid: boolean }[];
}

/** The best wiring of a build on a board, with its ledgers. */
export interface Hookup {
  parts: WiredPart[];
  bridges: { bridge: string; label: string; position: string; positionLabel: string; moved: boolean }[];
  releases: { port: string; what: string; lost: string }[];
  ports: PortLine[];
  rails: RailLine[];
  /** What several regulators carry together, where the board says a limit of that. */
  together: RailLine[];
  /** The supplies that parts hand on, as far as something hangs on them. */
  outputs: RailLine[];
  cost: Cost;
  /** Smallest margin in whole per cent; what reaches the cap counts as equal. */
  marginPercent: number;
  freePorts: number;
  /** Pads that the board itself holds, and by what. */
  held: { pad: string; by: string }[];
}

/** Every part left out, nothing said of the board. */
export function nothingWired(build: Build): Hookup {
  const parts = build.parts.map(({ id, peripheral, priority }): WiredPart => ({
    id,
    name: peripheral.name,
    priority,
    mode: null,
    links: [],
    supplies: [],
  }));
  const unmet = parts.reduce((sum, p) => addCosts(sum, cost({ [p.priority]: 1 })), noCost);
  return {
    parts,
    bridges: [],
    releases: [],
    ports: [],
    rails: [],
    together: [],
    outputs: [],
    cost: unmet,
    marginPercent: 0,
    freePorts: 0,
    held: [],
  };
}

/** Turns the solver's picks into wires: alike ports are handed out in the order of the parts list, the nearest first. */
export function hookupOf(shop: Workshop, compiled: Compiled, solution: Solution): Hookup {
  const ports = new Map(portGroups(shop).map((g) => [g.id, [...g.ports]]));
  const outputs = new Map(outputGroups(shop).map((g) => [g.id, [...g.outputs]]));
  const inputs = new Map(
    analogueKinds.flatMap((kind) =>
      inputGroups(shop, kind).map((g): [string, typeof g.inputs] => [g.id, [...g.inputs]]),
    ),
  );
  const joined = joinsOf(shop, compiled, solution);
  const tags = new Map<string, string>();
  const usedBy = new Map<string, string[]>();
  /** The port that each "part/link" has been given, for those that ride on its other side. */
  const hosts = new Map<string, Port>();
  const loads = new Map<string, RailLine['parts']>();

  const parts = compiled.parts.map(({ laid, modes }, p): WiredPart => {
    const pick = solution.picks[p];
    const mode = pick ? modes[pick.mode]! : null;
    const wired: WiredPart = {
      id: laid.part.id,
      name: laid.part.peripheral.name,
      priority: laid.part.priority,
      mode: null,
      links: [],
      supplies: [],
    };
    if (!mode || !pick) return wired;
    const m = mode.laid.mode;
    wired.mode = { id: m.id, label: m.label, lost: m.lost, ...(m.needs ? { needs: m.needs } : {}) };
    mode.needs.forEach((need, i) => {
      const w = need.ways[pick.choices[i]!]!;
      for (const t of w.tags) tags.set(t.id, t.value);
      for (const r of w.rows) {
        if (!r.load || r.load.kind === 'heat') continue;
        const { kind, rail } = r.load;
        const lines = loads.get(rail) ?? [];
        let line = lines.find((l) => l.part === wired.id);
        if (!line)
          lines.push(
            (line = { part: wired.id, name: wired.name, peakMa: 0, typicalMa: 0, unsaid: w.feed?.unsaid ?? false }),
          );
        if (kind === 'peak') line.peakMa += r.amount;
        else line.typicalMa += r.amount;
        loads.set(rail, lines);
      }
      if (need.laid.link && w.link) {
        const ended = endOf(w.link, `${wired.id}/${need.laid.id}`, laid.part);
        for (const id of ended.to) usedBy.set(id, [...(usedBy.get(id) ?? []), wired.name]);
        const port = w.link.kind === 'port' ? hosts.get(`${wired.id}/${need.laid.id}`)! : null;
        const said = port && w.link.kind === 'port' ? sameOnPort(shop.board, firstOf(w.link.group), port) : null;
        wired.links.push({
          id: need.laid.id,
          link: need.laid.link,
          ...ended,
          conditions: said ? w.conditions.map(said.condition) : w.conditions,
          lost: said ? w.lost.map(said.reason) : w.lost,
        });
      } else if (w.feed) {
        const margin = Number.isFinite(w.margin) ? w.margin : null;
        const which = need.laid.supply?.label;
        wired.supplies.push({
          ...w.feed,
          id: need.laid.id,
          ...(which === undefined ? {} : { which }),
          pads: w.feed.pads.length > 0 ? [joined(wired.id, w.feed)] : [],
          on: w.feed.label,
          conditions: w.conditions,
          lost: w.lost,
          margin,
        });
      }
    });
    return wired;
  });

  function firstOf(group: string): Port {
    return portGroups(shop).find((g) => g.id === group)!.ports[0]!;
  }

  /** Of ports that are alike the one whose pads lie nearest to the part, the lowest of equals. It is taken out. */
  function nearest(alike: Port[], part: Part): Port {
    const mm = (port: Port) =>
      [...port.rx, ...port.tx].reduce((sum, { pad }) => sum + routeMm(shop.build, shop.board, part, pad), 0);
    const best = alike.length > 1 ? alike.reduce((a, b) => (mm(b) < mm(a) ? b : a)) : alike[0]!;
    alike.splice(alike.indexOf(best), 1);
    return best;
  }

  function endOf(place: Place, link: string, part: Part): Pick<WiredLink, 'on' | 'to' | 'pads'> {
    switch (place.kind) {
      case 'port': {
        const first = firstOf(place.group);
        const seat = place.with ? hosts.get(place.with) : undefined;
        const port = seat ?? nearest(ports.get(place.group)!, part);
        hosts.set(link, port);
        // The way names the pads of the group's first port; the same places on this port are meant.
        const same = (ids: string[] | undefined, side: 'rx' | 'tx') =>
          (ids ?? []).map((id) => ({
            pad: port[side][first[side].findIndex((e) => e.pad === id)]!.pad,
            does: side === 'rx' ? 'board hears' : 'board talks',
          }));
        const pads = [...same(place.rx, 'rx'), ...same(place.tx, 'tx')];
        return { on: pads.length > 0 ? port.label : `${port.label}, by the harness`, to: [port.id], pads };
      }
      case 'soft serial':
      case 'output': {
        const take = place.kind === 'output' ? place.take : [{ group: place.group, count: place.pads }];
        const taken = take.flatMap((t) => outputs.get(t.group)!.splice(0, t.count));
        const does = place.kind === 'output' ? 'output' : 'soft serial';
        return {
          on: taken.map((o) => o.label).join(', '),
          to: taken.map((o) => o.id),
          pads: taken.map((o) => ({ pad: o.pad, does })),
        };
      }
      case 'bus': {
        const bus = shop.board.buses.find((b) => b.id === place.bus)!;
        return { on: bus.label, to: [bus.id], pads: bus.pads.map((pad) => ({ pad, does: 'bus' })) };
      }
      case 'input': {
        const input = inputs.get(place.group)!.shift()!;
        return { on: input.label, to: [input.id], pads: [{ pad: input.pad, does: 'board measures' }] };
      }
      case 'pad': {
        if (place.pads.length === 0) return { on: place.what, to: [], pads: [] };
        const free = place.pads.find((p) => !usedBy.has(p)) ?? place.pads[0]!;
        return {
          on: shop.board.pads.find((x) => x.id === free)?.label ?? place.what,
          to: [free],
          pads: [{ pad: free, does: place.what }],
        };
      }
    }
  }

  // What no part asks of a bridge leaves it as it is delivered.
  const positionOf = (id: string) => tags.get(bridgeKey(id)) ?? shop.board.bridges.find((b) => b.id === id)?.factory;
  // Fed as its bridges stand in this hookup.
  const standing = shop.supplies.filter((s) =>
    s.bridges.every((b) => (positionOf(b.bridge) ?? b.position) === b.position),
  );
  const lines = shop.board.ports.map((p) => portLine(p, usedBy.get(p.id) ?? [], tags.get(releaseKey(p.id)) === 'free'));
  return {
    parts,
    bridges: shop.board.bridges.map((b) => {
      const position = tags.get(bridgeKey(b.id)) ?? b.factory;
      return {
        bridge: b.id,
        label: b.label,
        position,
        positionLabel: b.positions.find((x) => x.id === position)?.label ?? position,
        moved: position !== b.factory,
      };
    }),
    releases: shop.board.ports.flatMap((p) =>
      p.taken?.release && tags.get(releaseKey(p.id)) === 'free'
        ? [{ port: p.label, what: p.taken.release.what, lost: p.taken.release.lost }]
        : [],
    ),
    ports: lines,
    rails: railLines(shop, loads, standing),
    together: togetherLines(shop, loads, standing),
    outputs: outputLines(shop, loads),
    cost: solution.cost,
    marginPercent: solution.margin,
    // The other side of a port that is taken may carry something all the same.
    held: heldPads(shop)
      .filter(
        ({ pad, freedBy }) =>
          !lines.some((l) => l.port === freedBy && l.released) &&
          !parts.some((p) => p.links.some((l) => l.pads.some((x) => x.pad === pad))),
      )
      .map(({ pad, by }) => ({ pad, by })),
    freePorts: lines.filter((l) => l.usedBy.length === 0 && (!l.takenBy || l.released)).length,
  };
}

function portLine(port: Port, usedBy: string[], released: boolean): PortLine {
  return {
    port: port.id,
    label: port.label,
    hears: port.rx.length > 0,
    talks: port.tx.length > 0,
    takenBy: port.taken?.by ?? null,
    released,
    usedBy,
  };
}

function railLines(shop: Workshop, loads: Map<string, RailLine['parts']>, standing: Supplied[]): RailLine[] {
  return shop.board.rails.flatMap((rail) => {
    const { source } = rail;
    if (source.kind !== 'regulator') return [];
    const limits = railLimits(shop, rail.id, standing);
    const known = (ma: number) => (Number.isFinite(ma) && isKnown(source.ratedAmps) ? ma : null);
    const fed = standing.find((s) => s.rail.id === rail.id);
    const heatMa = fed?.regulators[0] ? heatLimitMa(shop, fed.regulators[0]) : Infinity;
    const usableMa = known(Math.min(limits.deratedMa, heatMa));
    return [
      {
        rail: rail.id,
        label: rail.label,
        printedMa: known(limits.printedMa),
        usableMa,
        ownMa: limits.ownMa,
        share: limits.share,
        byHeat: heatMa < limits.deratedMa,
        ...loadOf(loads.get(rail.id), usableMa),
      },
    ];
  });
}

function togetherLines(shop: Workshop, loads: Map<string, RailLine['parts']>, standing: Supplied[]): RailLine[] {
  return (shop.board.sharedLimits ?? []).map((limit) => {
    const rail = togetherKey(limit.rails);
    const { printedMa, deratedMa, ownMa, share } = sharedLimits(shop, limit, standing);
    const known = (ma: number) => (isKnown(limit.amps) ? ma : null);
    return {
      rail,
      label: sharedLabel(shop.board, limit),
      printedMa: known(printedMa),
      usableMa: known(deratedMa),
      ownMa,
      share,
      byHeat: false,
      ...loadOf(loads.get(rail), known(deratedMa)),
    };
  });
}

function outputLines(shop: Workshop, loads: Map<string, RailLine['parts']>): RailLine[] {
  return shop.build.parts.flatMap(({ id, peripheral }) =>
    peripheral.gives.flatMap((give) => {
      const rail = outputId(id, give);
      const limits = outputLimits(shop, give);
      return limits && loads.has(rail)
        ? [
            {
              rail,
              label: `${give.label} of ${peripheral.name}`,
              printedMa: limits.printedMa,
              usableMa: limits.deratedMa,
              ownMa: 0,
              share: limits.share,
              byHeat: false,
              ...loadOf(loads.get(rail), limits.deratedMa),
            },
          ]
        : [];
    }),
  );
}

function loadOf(
  parts: RailLine['parts'] = [],
  usableMa: number | null,
): Pick<RailLine, 'typicalMa' | 'peakMa' | 'over' | 'atLeast' | 'parts'> {
  const sum = (key: 'peakMa' | 'typicalMa') => parts.reduce((total, l) => total + l[key], 0);
  const peakMa = sum('peakMa');
  return {
    typicalMa: sum('typicalMa'),
    peakMa,
    over: usableMa !== null && peakMa > usableMa,
    atLeast: parts.some((p) => p.unsaid),
    parts,
  };
}
