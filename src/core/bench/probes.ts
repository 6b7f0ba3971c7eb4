import { padWords } from '../circuit/pad-words';
import { asItLies } from '../circuit/turn';
import { level } from '../trade/level';
import { suppliedName } from '../wiring/hookup';
import { type HookupNetlist } from '../simulate/hookup-netlist';
import { elementOf, nodeOf } from '../simulate/names';
import { source } from '../simulate/models';
import { operatingPoint } from '../simulate/operating-point';
import type { Solved } from '../simulate/newton';
import { benchScene } from '../simulate/scene';
import { faultyNetlist, sends } from './faults';
import { isBurnt, isDark, suppliesOn, voltsBetween, type Bench } from './on-the-bench';

/** A place where a meter can be held, and what it reads there. */
export interface Probe {
  id: string;
  where: string;
  unit: 'V' | 'ohm' | 'A' | 'uF' | 'frames/s' | 'C';
  /** null: the circuit gives no reading there. */
  value: number | null;
  /** Needs the pack, through a limiter of 2 A: that takes time, and may burn something. */
  powered: boolean;
}

/** The pack at its nominal volts behind the limiter that one uses for a first look. */
const limiterAmps = 2;
const powered = benchScene({ pack: { charge: 'nominal', limiterAmps } });
const unpowered = benchScene({ says: 'nothing plugged in', pack: null });

/** A part of the bench in a state: powered and not, with one fault in it. Solved once, read often. */
export interface BenchState {
  bench: Bench;
  fault: string;
  solved: Solved | null;
  live: HookupNetlist;
  dead: HookupNetlist;
}

export function stateWith(bench: Bench, fault: string): BenchState {
  const live = faultyNetlist(bench, fault, powered);
  const solved = operatingPoint(live);
  return { bench, fault, solved: solved.ok ? solved : null, live, dead: faultyNetlist(bench, fault, unpowered) };
}

/** What an ohmmeter does: 0.3 V behind 1 kilohm, too little for any chip to wake. */
const ohmmeter = { volts: 0.3, ohm: 1000 };

/** Ohms between two nodes, nothing plugged in; null where they are not joined at all. */
export function ohmsBetween({ dead }: BenchState, plus: string, minus: string): number | null {
  const meter = source({ id: 'meter', what: 'the meter' }, plus, minus, ohmmeter);
  const solved = operatingPoint({ ...dead, elements: [...dead.elements, meter] });
  if (!solved.ok) return null;
  const amps = -solved.amps.get('meter')!;
  const across = voltsBetween(solved, plus, minus);
  return amps < 1e-8 ? null : Math.max(0, across / amps);
}

/** The readings that tell faults apart, everywhere a builder would hold a meter. */
export function probesWith(bench: Bench, fault: string): Probe[] {
  const state = stateWith(bench, fault);
  const { solved, dead } = state;
  const lying = asItLies(bench.build, bench.board);
  const volts = (plus: string, minus: string) => (solved ? voltsBetween(solved, plus, minus) : null);
  const pack = volts(nodeOf.pack, nodeOf.boardGround);
  const probes: Probe[] = [
    {
      id: 'ohm',
      where: 'pack plus to pack minus',
      unit: 'ohm',
      value: ohmsBetween(state, nodeOf.pack, nodeOf.boardGround),
      powered: false,
    },
    { id: 'farad', where: 'pack plus to pack minus', unit: 'uF', value: microfarads(dead), powered: false },
    { id: 'pack', where: 'pack pads', unit: 'V', value: pack, powered: true },
    {
      id: 'amps',
      where: 'in the pack lead',
      unit: 'A',
      value: solved && -solved.amps.get(elementOf.pack)!,
      powered: true,
    },
    {
      id: 'shown',
      where: 'battery volts as the board shows them',
      unit: 'V',
      value: pack === null ? null : pack * (fault === 'scale' ? 0.91 : 1),
      powered: true,
    },
  ];
  const feeds = new Map(bench.hookup.parts.flatMap((p) => p.supplies.map((s) => [nodeOf.feed(s), s.on] as const)));
  for (const [node, on] of feeds) {
    probes.push(
      {
        id: `ohm ${node}`,
        where: `supply pads ${on} to ground`,
        unit: 'ohm',
        value: ohmsBetween(state, node, nodeOf.boardGround),
        powered: false,
      },
      {
        id: `rail ${node}`,
        where: `supply pads ${on} to ground`,
        unit: 'V',
        value: volts(node, nodeOf.boardGround),
        powered: true,
      },
    );
  }
  const standing = solved ? suppliesOn(bench, solved) : [];
  for (const p of bench.hookup.parts) {
    for (const s of p.supplies)
      probes.push({
        id: `part ${p.id} ${s.id}`,
        where: `${suppliedName(p, s)}, from its supply pin to its ground pin`,
        unit: 'V',
        value: volts(nodeOf.plus(p.id, s.id), nodeOf.minus(p.id, s.id)),
        powered: true,
      });
    const heard = p.links.find((l) => l.link.kind === 'serial' && l.pads.some((x) => x.does === 'board hears'));
    const pad = heard?.pads.find((x) => x.does === 'board hears')?.pad;
    if (pad !== undefined && solved?.volts.has(nodeOf.signal(pad))) {
      const idle = volts(nodeOf.signal(pad), nodeOf.boardGround)!;
      const dark = standing.some((s) => s.part === p.id && (isDark(s) || isBurnt(s)));
      const talks = fault !== `swap ${p.id}` && !dark && (solved.volts.get(nodeOf.pack) ?? 0) > 2;
      probes.push(
        {
          id: `idle ${p.id}`,
          where: `${padWords(lying, pad)}, idle`,
          unit: 'V',
          value: Math.min(idle, level.supplyVolts * 2),
          powered: true,
        },
        {
          id: `frames ${p.id}`,
          where: `frames heard from ${p.name}`,
          unit: 'frames/s',
          value: talks ? 50 : 0,
          powered: true,
        },
      );
    }
    if (sends(bench, p.id)) {
      const dark = standing.some((s) => s.part === p.id && isDark(s));
      probes.push({
        id: `heat ${p.id}`,
        where: `${p.name}, case, after one minute`,
        unit: 'C',
        value: caseCelsius(dark || !solved, fault === `aerial ${p.id}`),
        powered: true,
      });
    }
  }
  return probes.map((p) => ({ ...p, value: p.value === null ? null : asRead(p.value, p.unit) }));
}

/** What would have burnt by powering up with a fault, in words. */
export function burntWith(bench: Bench, fault: string): string[] {
  const { solved } = stateWith(bench, fault);
  return solved
    ? suppliesOn(bench, solved)
        .filter(isBurnt)
        .map((s) => s.name)
    : [];
}

/** A capacitance meter at the pack pads sees what stands there. */
function microfarads({ elements }: HookupNetlist): number {
  const there = elements.filter((e) => e.id === 'bulk' || e.id === 'board input');
  return there.reduce((sum, e) => sum + (e.kind === 'capacitor' ? e.farad * 1e6 : 0), 0);
}

/** As a usual meter shows it: three figures, no less than a hundredth. */
function asRead(value: number, unit: Probe['unit']): number {
  const kept = Number(value.toPrecision(3));
  const least = unit === 'ohm' ? 0.1 : 0.01;
  return Math.abs(kept) < least ? 0 : Math.round(kept * 100) / 100;
}

/** A transmitter after a minute: cold when dead, hot without an aerial. Common practice, no source. */
function caseCelsius(dead: boolean, withoutAerial: boolean): number {
  if (dead) return 20;
  return withoutAerial ? 88 : 46;
}

/** Two readings that a meter would not tell apart: within 2 % or the last digit. */
export function readsAlike(a: number | null, b: number | null): boolean {
  if (a === null || b === null) return a === b;
  return Math.abs(a - b) <= Math.max(0.02, 0.02 * Math.max(Math.abs(a), Math.abs(b)));
}
