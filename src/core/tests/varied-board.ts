import type { Board, Rail } from '../records/board';
import { readData } from '../records/file';
import { dice } from './random-build';

/** A board made from one of the given ones: other figures (some unknown), pads, ports, rails, and now and then another board's ESC. Sound, and repeatable by seed. */
export function variedBoard(seed: number, boards: readonly Board[]): Board {
  for (let attempt = 0; ; attempt++) {
    const read = readData(varied(seed + attempt * 1_000_003, seed, boards), 'rung-board');
    if (read.ok) return read.value;
  }
}

function varied(rolled: number, seed: number, boards: readonly Board[]): Board {
  const roll = dice(rolled * 40503);
  const below = (n: number) => Math.floor(roll() * n);
  const base = structuredClone(boards[seed % boards.length]!);
  const figures = vary(base, roll) as Board;
  const other = boards[below(boards.length)]!;
  const swapped = roll() < 0.15 && (other.esc === undefined) !== (base.esc === undefined);
  const ports = figures.ports.filter(() => roll() > 0.08);
  // One port more, with pads of its own, like one that is there.
  const model = ports[below(Math.max(1, ports.length))];
  const more = model && roll() < 0.3 ? extraPort(model) : null;
  return {
    ...figures,
    id: `varied-${seed}`,
    name: `Varied ${seed}`,
    kind: swapped ? other.kind : figures.kind,
    ...(swapped ? { esc: other.esc, harness: other.harness, escPlug: other.escPlug } : {}),
    ports: more ? [...ports, more.port] : ports,
    buses: figures.buses.filter((b) => !b.sharesPort || ports.some((p) => p.id === b.sharesPort)),
    pads: [...figures.pads, ...(more?.pads ?? [])],
    outputs: figures.outputs.filter(() => roll() > 0.06),
    analogueInputs: figures.analogueInputs.filter(() => roll() > 0.1),
    rails: figures.rails.map((r) => otherVolts(r, roll)),
    offers: figures.offers.map((o) => ({ ...o, cents: Math.round(o.cents * (0.6 + roll())) })),
  };
}

/** Figures of a board, each scaled a little now and then, and sometimes unknown. */
function vary(thing: unknown, roll: () => number): unknown {
  if (Array.isArray(thing)) return thing.map((t) => vary(t, roll));
  if (typeof thing !== 'object' || thing === null) return thing;
  const { value, origin } = thing as { value?: unknown; origin?: unknown };
  if (typeof origin === 'string' && typeof value === 'number') {
    const r = roll();
    if (r < 0.04) return { unknown: true };
    if (r < 0.07) return { low: value * 0.9, high: value * 1.15, origin };
    return r < 0.35 ? { ...thing, value: Number((value * (0.75 + roll() * 0.6)).toPrecision(3)) } : thing;
  }
  if (typeof origin === 'string' && typeof value === 'boolean') {
    const r = roll();
    if (r < 0.05) return { unknown: true };
    if (r < 0.15) return { ...thing, value: !value };
    return thing;
  }
  return Object.fromEntries(
    Object.entries(thing).map(([key, v]) => [key, key === 'mounting' || key === 'packCells' ? v : vary(v, roll)]),
  );
}

function extraPort(like: Board['ports'][number]): { port: Board['ports'][number]; pads: Board['pads'] } {
  const pad = (side: string) => ({
    id: `x-${side}`,
    label: side.toUpperCase(),
    face: 'top' as const,
    form: 'pad' as const,
    size: 'medium' as const,
    edge: 'left' as const,
    order: 40,
    reachable: true,
  });
  const port = {
    ...like,
    id: 'port-x',
    label: 'Port X',
    rx: like.rx.slice(0, 1).map((e) => ({ ...e, pad: 'x-rx' })),
    tx: like.tx.slice(0, 1).map((e) => ({ ...e, pad: 'x-tx' })),
  };
  delete port.taken;
  return { port, pads: [...(port.rx.length > 0 ? [pad('rx')] : []), ...(port.tx.length > 0 ? [pad('tx')] : [])] };
}

function otherVolts(rail: Rail, roll: () => number): Rail {
  if (rail.source.kind !== 'regulator' || roll() > 0.1) return rail;
  const volts = [5, 9, 10, 12][Math.floor(roll() * 4)]!;
  return { ...rail, source: { ...rail.source, outVolts: { value: volts, origin: 'claim' } } };
}
