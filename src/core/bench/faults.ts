import type { Climb } from '../evaluate/climb';
import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { cellVolts } from '../trade/cell';
import { meetings } from '../trade/harness';
import { level } from '../trade/level';
import { steadyPackAmps } from './power-up';

/** A place where a meter can be held, and what it reads there. */
export interface Probe {
  id: string;
  where: string;
  unit: 'V' | 'ohm' | 'A' | 'frames/s' | 'C';
  value: number;
}

export interface BenchFault {
  id: string;
  name: string;
  /** What happens, in words, and what to do. */
  says: string;
}

/** What can go wrong with this hookup: only faults that this board and these parts can have. The first is none at all. */
export function faultsFor(build: Build, board: Board, climb: Climb): BenchFault[] {
  const faults: BenchFault[] = [
    { id: 'healthy', name: 'nothing is wrong', says: 'Every reading is as the ledgers say.' },
  ];
  for (const p of climb.hookup.parts) {
    const link = p.links.find((l) => l.link.kind === 'serial' && l.pads.length === 2);
    if (link)
      faults.push({
        id: `swap ${p.id}`,
        name: `${p.name}: RX and TX swapped`,
        says: `Two talkers meet on one wire and nobody hears: no frames from ${p.name}, and the board's hearing pad stays low. Swap the two wires; nothing is burnt.`,
      });
  }
  for (const b of climb.hookup.bridges) {
    const behind = board.rails.filter((r) => r.source.kind === 'bridge' && r.source.bridge === b.bridge);
    if (behind.length > 0)
      faults.push({
        id: `bridge ${b.bridge}`,
        name: `${b.label} in the wrong position`,
        says: `Every pad behind ${b.label} carries the other supply. Measured before a part is joined it costs nothing; after, perhaps the part.`,
      });
  }
  const esc = build.motors.ownEsc?.pins ?? board.harness?.escPins ?? [];
  const own = board.escPlug?.pins ?? board.harness?.controllerPins ?? [];
  if (meetings(own, esc).some((m) => m.burns))
    faults.push({
      id: 'plug straight',
      name: 'ESC plug put straight across different pin orders',
      says: `${meetings(own, esc)
        .filter((m) => m.burns)
        .map((m) => `${m.board} meets ${m.esc}`)
        .join(', ')}: pack and ground meet through the board. The limiter trips at once; without it the board burns.`,
    });
  faults.push({
    id: 'short',
    name: 'a solder ball between pack and ground',
    says: 'Nought ohm between pack plus and minus, before any power. Find the ball; do not plug in.',
  });
  const rail = climb.hookup.rails.find((r) => r.parts.length > 1);
  if (rail)
    faults.push({
      id: `overload ${rail.rail}`,
      name: `${rail.label} overloaded`,
      says: `${rail.label} sags a fifth below its volts and gets hot: more hangs on it than it carries. Move the largest part to another rail.`,
    });
  const transmitter = climb.hookup.parts.find(
    (p) =>
      p.mode &&
      ['video transmitter', 'digital video'].includes(build.parts.find((x) => x.id === p.id)?.peripheral.kind ?? ''),
  );
  if (transmitter)
    faults.push({
      id: `aerial ${transmitter.id}`,
      name: `${transmitter.name} without an aerial`,
      says: `${transmitter.name} draws its usual current but turns the power into heat: its output stage burns within minutes. Power off, fit the aerial.`,
    });
  faults.push({
    id: 'scale',
    name: 'the battery scale is off',
    says: 'The meter is right and the displayed volts are not: set the voltage scale. Nothing is broken.',
  });
  return faults;
}

/** What a meter reads everywhere with this fault: a prediction, with the pack at its nominal volts through a limiter of 2 A. */
export function probesWith(build: Build, board: Board, climb: Climb, fault: string): Probe[] {
  const [kind, which = ''] = split(fault);
  const dead = kind === 'short' || kind === 'plug straight';
  const pack = dead ? 0.1 : build.pack.cells * cellVolts[build.pack.chemistry].nominal;
  const steady = steadyPackAmps(board, climb, pack || 1);
  let value: number;
  if (kind === 'short') value = 0.2;
  else if (kind === 'plug straight') value = 1.5;
  else value = 14_000;
  const probes: Probe[] = [
    {
      id: 'ohm',
      where: 'pack plus to pack minus, before power',
      unit: 'ohm',
      value,
    },
    { id: 'pack', where: 'pack pads', unit: 'V', value: pack },
    { id: 'amps', where: 'in the pack lead', unit: 'A', value: dead ? 2 : steady * (kind === 'overload' ? 1.5 : 1) },
    {
      id: 'shown',
      where: 'battery volts as the board shows them',
      unit: 'V',
      value: kind === 'scale' ? pack * 0.91 : pack,
    },
  ];
  const voltsOf = (rail: string, high: number) => {
    if (dead) return 0;
    if (kind === 'overload' && rail === which) return high * 0.8;
    const behind = board.rails.find((r) => r.id === rail);
    if (kind === 'bridge' && behind?.source.kind === 'bridge' && behind.source.bridge === which)
      return wrongVolts(board, climb, behind, pack) ?? high;
    return Math.min(high, pack);
  };
  const seen = new Set<string>();
  for (const p of climb.hookup.parts) {
    for (const supply of p.supplies) {
      if (seen.has(supply.rail)) continue;
      seen.add(supply.rail);
      probes.push({
        id: `rail ${supply.rail}`,
        where: `supply pads: ${supply.on}`,
        unit: 'V',
        value: voltsOf(supply.rail, supply.volts.high),
      });
    }
    const link = p.links.find((l) => l.link.kind === 'serial' && l.pads.some((x) => x.does === 'board hears'));
    if (link) {
      const swapped = kind === 'swap' && which === p.id;
      const label =
        board.pads.find((x) => x.id === link.pads.find((y) => y.does === 'board hears')!.pad)?.label ?? link.on;
      let value: number;
      if (dead) value = 0;
      else if (swapped) value = 0.3;
      else value = level.supplyVolts;
      probes.push({
        id: `idle ${p.id}`,
        where: `${label}, idle, ${p.name} powered`,
        unit: 'V',
        value,
      });
      probes.push({
        id: `frames ${p.id}`,
        where: `frames heard from ${p.name}`,
        unit: 'frames/s',
        value: dead || swapped ? 0 : 50,
      });
    }
    if (
      kind === 'aerial' ||
      ['video transmitter', 'digital video'].includes(build.parts.find((x) => x.id === p.id)?.peripheral.kind ?? '')
    ) {
      if (
        ['video transmitter', 'digital video'].includes(build.parts.find((x) => x.id === p.id)?.peripheral.kind ?? '')
      )
        probes.push({
          id: `heat ${p.id}`,
          where: `${p.name}, case, after one minute`,
          unit: 'C',
          value: caseCelsius(dead, kind === 'aerial' && which === p.id),
        });
    }
  }
  return probes.map((p) => ({ ...p, value: Number(p.value.toPrecision(3)) }));
}

function split(fault: string): [string, string?] {
  if (fault === 'plug straight') return ['plug straight'];
  const at = fault.indexOf(' ');
  return at < 0 ? [fault] : [fault.slice(0, at), fault.slice(at + 1)];
}

function wrongVolts(board: Board, climb: Climb, rail: Board['rails'][number], pack: number): number | null {
  if (rail.source.kind !== 'bridge') return null;
  const source = rail.source;
  const now = climb.hookup.bridges.find((b) => b.bridge === source.bridge)?.position;
  const other = Object.entries(source.byPosition).find(([position]) => position !== now)?.[1];
  const feeding = board.rails.find((r) => r.id === other);
  if (!feeding) return null;
  if (feeding.source.kind === 'pack') return pack;
  const regulator =
    feeding.source.kind === 'either'
      ? board.rails.find(
          (r) => feeding.source.kind === 'either' && feeding.source.of.includes(r.id) && r.source.kind === 'regulator',
        )
      : feeding;
  return regulator?.source.kind === 'regulator' && 'value' in regulator.source.outVolts
    ? regulator.source.outVolts.value
    : null;
}

/** The faults that agree with what has been read so far. */
export function stillPossible(
  build: Build,
  board: Board,
  climb: Climb,
  readings: { id: string; value: number }[],
): BenchFault[] {
  return faultsFor(build, board, climb).filter((f) => {
    const probes = new Map(probesWith(build, board, climb, f.id).map((p) => [p.id, p.value]));
    return readings.every((r) => probes.get(r.id) === r.value);
  });
}

/** A transmitter after a minute: cold when dead, hot without an aerial. Common practice, no source. */
function caseCelsius(dead: boolean, withoutAerial: boolean): number {
  if (dead) return 20;
  return withoutAerial ? 88 : 46;
}
