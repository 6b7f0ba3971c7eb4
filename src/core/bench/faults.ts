import { carriesAmps, gaugeFor } from '../trade/wire';
import { meetings } from '../trade/harness';
import { suppliedName, type WiredPart } from '../wiring/hookup';
import { diode, resistor } from '../simulate/models';
import { limitOverRating, type HookupNetlist } from '../simulate/hookup-netlist';
import { elementOf, nodeOf } from '../simulate/names';
import type { Element } from '../simulate/netlist';
import type { Scene } from '../simulate/scene';
import { netlistOn, without, type Bench } from './on-the-bench';

/** How hard a fault is to find with a meter. */
export type Grade = 'plain' | 'hidden' | 'sly';

export interface BenchFault {
  id: string;
  name: string;
  /** What it does, and what to do about it. */
  says: string;
  grade: Grade;
}

interface Made extends BenchFault {
  /** How it stands in the circuit: on the hookup before, or on the netlist after it is made. */
  hookup?: (bench: Bench) => Bench;
  circuit?: (net: HookupNetlist) => HookupNetlist;
}

/** Ohms of a solder ball, of a joint that is open, of a cold joint: common practice, no source. */
const ohms = { ball: 0.005, open: 1e7, cold: 4 } as const;
/** A worn regulator keeps so much of what it gave: our own choice. */
const wornShare = 0.25;

/** What can go wrong with this hookup: only faults that this board and these parts can have. The first is none at all. */
export function faultsFor(bench: Bench): BenchFault[] {
  return madeFor(bench).map(({ id, name, says, grade }) => ({ id, name, says, grade }));
}

/** The circuit of a scene with a fault in it; one that there is not is none. */
export function faultyNetlist(bench: Bench, fault: string, scene: Scene): HookupNetlist {
  const made = madeFor(bench).find((f) => f.id === fault);
  const net = netlistOn(made?.hookup?.(bench) ?? bench, scene);
  return made?.circuit?.(net) ?? net;
}

function madeFor(bench: Bench): Made[] {
  const { hookup } = bench;
  const wired = hookup.parts.filter((p) => p.mode);
  return [
    { id: 'healthy', name: 'nothing is wrong', says: 'Every reading is as it was worked out.', grade: 'plain' },
    ...wired.flatMap((p) => partFaults(p, bench)),
    ...hookup.bridges.flatMap((b) => bridgeFaults(b, bench)),
    ...boardFaults(bench),
  ];
}

function partFaults(part: WiredPart, { board }: Bench): Made[] {
  const faults: Made[] = [];
  const { id, name } = part;
  const pair = part.links.find((l) => l.link.kind === 'serial' && l.pads.length === 2);
  if (pair) {
    const [a, b] = pair.pads.map((p) => nodeOf.signal(p.pad)) as [string, string];
    const ends = new Set(
      pair.pads.flatMap((p) => [elementOf.partSends(id, pair.id, p.pad), elementOf.partHears(id, pair.id, p.pad)]),
    );
    faults.push({
      id: `swap ${id}`,
      name: `${name}: RX and TX swapped`,
      says: `Two talkers meet on one wire and nobody hears: no frames from ${name}, and the board's hearing pad stays low. Swap the two wires; nothing is burnt.`,
      grade: 'plain',
      circuit: (net) => ({ ...net, elements: net.elements.map((e) => (ends.has(e.id) ? atOther(e, a, b) : e)) }),
    });
  }
  const supply = part.supplies[0];
  if (!supply) return faults;
  const called = suppliedName(part, supply);
  const [plus, minus] = [nodeOf.plus(id, supply.id), nodeOf.minus(id, supply.id)];
  const wire = elementOf.wire(id, supply.id);
  const back = elementOf.back(id, supply.id);
  const ohmOf = (what: string, ohm: (was: number) => number) => (net: HookupNetlist) => ({
    ...net,
    elements: net.elements.map((e) => (e.id === what && e.kind === 'resistor' ? { ...e, ohm: ohm(e.ohm) } : e)),
  });
  faults.push(
    {
      id: `open ${id}`,
      name: `${called}: its ground wire is open`,
      says: `Without a way back no current flows: ${called} is dark, though its supply pin has volts against the board's ground. Solder the ground wire.`,
      grade: 'hidden',
      circuit: ohmOf(back, () => ohms.open),
    },
    {
      id: `cold ${id}`,
      name: `${called}: a cold joint in its supply wire`,
      says: `A few ohm in one joint: at rest the volts look right, under load they fall away. Melt the joint again.`,
      grade: 'sly',
      circuit: ohmOf(wire, (was) => was + ohms.cold),
    },
    {
      id: `reversed ${id}`,
      name: `${called}: plus and ground swapped`,
      says: `${called} conducts backwards and heats up; most parts are destroyed within a second. Check polarity with the meter before power.`,
      grade: 'plain',
      circuit: (net) => ({
        ...net,
        elements: [
          ...net.elements.map((e) => {
            if (e.id === wire) return { ...e, to: minus };
            if (e.id === back) return { ...e, from: plus };
            return e;
          }),
          diode({ id: `body ${id}`, what: `${called}, backwards` }, minus, plus, 0.7),
        ],
      }),
    },
  );
  if (board.rails.some((r) => r.id === supply.rail))
    faults.push({
      id: `short ${id}`,
      name: `${called}: a strand bridges its supply and ground pads`,
      says: `The rail of ${called} is held at nought: its regulator gives all it can into the strand, and everything on the rail is dark. Read ohms before power; pick the strand away.`,
      grade: 'plain',
      circuit: (net) => ({
        ...net,
        elements: [
          ...net.elements,
          resistor({ id: `strand ${id}`, what: 'a strand' }, nodeOf.feed(supply), nodeOf.boardGround, 0.05),
        ],
      }),
    });
  return faults;
}

function atOther(e: Element, a: string, b: string): Element {
  const other = (node: string) => {
    if (node === a) return b;
    return node === b ? a : node;
  };
  return { ...e, from: other(e.from), to: other(e.to) };
}

function bridgeFaults({ bridge, label, position }: Bench['hookup']['bridges'][number], { board }: Bench): Made[] {
  const behind = board.rails.filter((r) => r.source.kind === 'bridge' && r.source.bridge === bridge);
  const others = board.bridges.find((b) => b.id === bridge)?.positions.filter((p) => p.id !== position) ?? [];
  if (behind.length === 0) return [];
  return others.slice(0, 2).map((other) => ({
    id: `bridge ${bridge} ${other.id}`,
    name: `${label} at ${other.label}`,
    says: `Every pad behind ${label} carries the other supply. Measured before a part is joined it costs nothing; after, perhaps the part.`,
    grade: 'plain',
    hookup: (bench) => ({
      ...bench,
      hookup: {
        ...bench.hookup,
        bridges: bench.hookup.bridges.map((b) => (b.bridge === bridge ? { ...b, position: other.id } : b)),
      },
    }),
  }));
}

function boardFaults(bench: Bench): Made[] {
  const { build, board, hookup } = bench;
  const faults: Made[] = [];
  const across = (id: string, ohm: number) => (net: HookupNetlist) => ({
    ...net,
    elements: [
      ...net.elements,
      resistor({ id, what: 'what joins pack and ground' }, nodeOf.pack, nodeOf.boardGround, ohm),
    ],
  });
  const esc = build.motors.ownEsc?.pins ?? board.harness?.escPins ?? [];
  const own = board.escPlug?.pins ?? board.harness?.controllerPins ?? [];
  const burns = meetings(own, esc).filter((m) => m.burns);
  if (burns.length > 0)
    faults.push({
      id: 'plug',
      name: 'ESC plug put straight across different pin orders',
      says: `${burns.map((m) => `${m.board} meets ${m.esc}`).join(', ')}: pack and ground meet through the board. The limiter trips at once; without it the board burns.`,
      grade: 'plain',
      circuit: across('plug', 0.3),
    });
  faults.push({
    id: 'short',
    name: 'a solder ball between pack and ground',
    says: 'Nought ohm between pack plus and minus, before any power. Find the ball; do not plug in.',
    grade: 'plain',
    circuit: across('ball', ohms.ball),
  });
  for (const rail of hookup.rails.filter((r) => r.parts.length > 0 && r.typicalMa > 0)) {
    const source = board.rails.find((r) => r.id === rail.rail)?.source;
    if (source?.kind !== 'regulator') continue;
    const most = (wornShare * Math.min(rail.printedMa ?? Infinity, rail.typicalMa / 0.5)) / 1000;
    faults.push({
      id: `worn ${rail.rail}`,
      name: `${rail.label}: its regulator is worn`,
      says: `${rail.label} stands without load and sinks under it: the regulator gives a fraction of its rating. Move what hangs on it to another rail, or replace the board.`,
      grade: 'sly',
      hookup: (b) => ({
        ...b,
        board: {
          ...b.board,
          rails: b.board.rails.map((r) =>
            r.id === rail.rail && r.source.kind === 'regulator'
              ? {
                  ...r,
                  source: { ...r.source, ratedAmps: { value: most / limitOverRating, origin: 'assumed' as const } },
                }
              : r,
          ),
        },
      }),
    });
  }
  const heavy = hookup.parts
    .flatMap((p) => p.supplies.map((s) => ({ p, s })))
    .filter(({ s }) => s.typicalAmps > carriesAmps(34))
    .sort((x, y) => y.s.typicalAmps - x.s.typicalAmps)[0];
  if (heavy) {
    const { p, s } = heavy;
    faults.push({
      id: `gauge ${p.id}`,
      name: `${suppliedName(p, s)}: wired with 34 AWG both ways`,
      says: `The wire loses volts out and back, and its ground is lifted. ${gaugeFor(s.typicalAmps) ?? 10} AWG or thicker belongs there.`,
      grade: 'sly',
      circuit: (net) => ({
        ...net,
        elements: net.elements.map((e) =>
          e.kind === 'resistor' && (e.id === elementOf.wire(p.id, s.id) || e.id === elementOf.back(p.id, s.id))
            ? { ...e, ohm: e.ohm * 2.0 ** ((34 - s.gauge) / 3) }
            : e,
        ),
      }),
    });
  }
  faults.push(
    {
      id: 'capacitor',
      name: 'the capacitor at the leads is missing',
      says: "At rest nothing shows but the missing microfarads; under throttle the rails get the motors' spikes. Solder it in.",
      grade: 'hidden',
      circuit: (net) => without(net, 'bulk', 'bulk esr'),
    },
    {
      id: 'scale',
      name: 'the battery scale is off',
      says: 'The meter is right and the displayed volts are not: set the voltage scale. Nothing is broken.',
      grade: 'hidden',
    },
  );
  const transmitter = hookup.parts.find((p) => p.mode && sends(bench, p.id));
  if (transmitter)
    faults.push({
      id: `aerial ${transmitter.id}`,
      name: `${transmitter.name} without an aerial`,
      says: `${transmitter.name} draws its usual current but turns the power into heat: its output stage burns within minutes. Power off, fit the aerial.`,
      grade: 'hidden',
    });
  return faults;
}

/** Does the part send pictures by radio? */
export function sends({ build }: Bench, part: string): boolean {
  const kind = build.parts.find((p) => p.id === part)?.peripheral.kind;
  return kind === 'video transmitter' || kind === 'digital video';
}
