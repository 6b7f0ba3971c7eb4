import { padWords } from '../circuit/pad-words';
import { asItLies } from '../circuit/turn';
import { suppliedName } from '../wiring/hookup';
import type { Ground } from '../quantity/ground';
import { figuresBehind } from '../simulate/behind';
import { elementOf, nodeOf } from '../simulate/names';
import { voltsBetween, type Bench } from './on-the-bench';
import { ohmsBetween, type BenchState } from './probes';

/** Where a probe can be held: a pad of the board or a pin of a part. */
export interface Spot {
  id: string;
  words: string;
  /** null: nothing of the circuit is joined there. */
  node: string | null;
  pad?: string;
  /** The element through which current passes there, where there is just one. */
  through?: string;
}

/** All pads of the board and all supply and ground pins of parts, in the order in which they lie. */
export function spotsOn(bench: Bench): Spot[] {
  const { board, build, hookup } = bench;
  const lying = asItLies(build, board);
  const pads = board.pads.map((pad): Spot => {
    const rail = board.rails.find((r) => r.pads.includes(pad.id));
    const feeding = rail?.source.kind === 'regulator' ? elementOf.regulator(rail.id) : undefined;
    const through = rail?.source.kind === 'pack' ? elementOf.pack : feeding;
    return {
      id: `pad ${pad.id}`,
      words: padWords(lying, pad.id),
      node: nodeOfPad(bench, pad.id),
      pad: pad.id,
      ...(through === undefined ? {} : { through }),
    };
  });
  const pins = hookup.parts.flatMap((p) =>
    p.supplies.flatMap((s): Spot[] => [
      {
        id: `plus ${p.id} ${s.id}`,
        words: `${suppliedName(p, s)}, supply pin`,
        node: nodeOf.plus(p.id, s.id),
        through: elementOf.wire(p.id, s.id),
      },
      {
        id: `minus ${p.id} ${s.id}`,
        words: `${suppliedName(p, s)}, ground pin`,
        node: nodeOf.minus(p.id, s.id),
        through: elementOf.back(p.id, s.id),
      },
    ]),
  );
  return [...pads, ...pins];
}

/** The node of the circuit that a pad belongs to; null where nothing is joined to it. */
export function nodeOfPad({ board, hookup }: Bench, pad: string): string | null {
  const rail = board.rails.find((r) => r.pads.includes(pad));
  if (rail) return nodeOf.rail(rail.id);
  if (board.grounds.includes(pad)) return nodeOf.boardGround;
  const joined = hookup.parts.some((p) => p.links.some((l) => l.pads.some((x) => x.pad === pad)));
  return joined ? nodeOf.signal(pad) : null;
}

export type MeterKind = 'volts' | 'ohms' | 'amps';

/** What the meter shows with its red probe on one spot and its black one on another, and what that means. Amps are read in the wire at the red probe. */
export function meterReads(
  state: BenchState,
  kind: MeterKind,
  red: Spot,
  black: Spot,
): { value: number | null; unit: 'V' | 'ohm' | 'A'; words: string } {
  const nothing = [red, black].find((s) => s.node === null);
  switch (kind) {
    case 'volts': {
      if (nothing)
        return { value: 0, unit: 'V', words: `Nothing is joined to ${nothing.words}: the meter floats near nought.` };
      if (!state.solved)
        return { value: null, unit: 'V', words: 'The circuit does not come to rest: there is no reading.' };
      return { value: round(voltsBetween(state.solved, red.node!, black.node!)), unit: 'V', words: '' };
    }
    case 'ohms': {
      if (nothing)
        return { value: null, unit: 'ohm', words: `Nothing is joined to ${nothing.words}: the meter shows no end.` };
      const ohms = ohmsBetween(state, red.node!, black.node!);
      const open = ohms === null || ohms > 1e6;
      return {
        value: open ? null : round(ohms, 1),
        unit: 'ohm',
        words: open ? 'No end: the two are not joined.' : 'Read with nothing plugged in.',
      };
    }
    case 'amps': {
      const through = red.through;
      if (through === undefined)
        return {
          value: null,
          unit: 'A',
          words: 'Amps are read in a wire: choose a supply pad or a pin of a part for red.',
        };
      if (!state.solved)
        return { value: null, unit: 'A', words: 'The circuit does not come to rest: there is no reading.' };
      return {
        value: round(Math.abs(state.solved.amps.get(through) ?? 0), 3),
        unit: 'A',
        words: 'The wire is opened and the meter lies in it.',
      };
    }
  }
}

function round(value: number, digits = 2): number {
  return Math.round(value * 10 ** digits) / 10 ** digits + 0;
}

/** The figures that what the meter shows hangs on: behind both probes. */
export function figuresRead({ live }: BenchState, red: Spot, black: Spot): Ground[] {
  const nodes = [red, black].flatMap((s) => (s.node === null || s.node === nodeOf.boardGround ? [] : [s.node]));
  const all = nodes.flatMap((node) => figuresBehind(live, node, nodeOf.boardGround));
  return all.filter((g, i) => all.findIndex((other) => other.what === g.what) === i);
}

/** Where the probes lie at first: pack plus and the board's ground, as far as their pads are drawn. Null where no place is. */
export function firstSpots(spots: readonly Spot[]): { red: Spot; black: Spot } | null {
  const [any] = spots;
  if (!any) return null;
  const at = (is: (s: Spot) => boolean) => spots.find(is) ?? any;
  return { red: at((s) => s.through === elementOf.pack), black: at((s) => s.node === nodeOf.boardGround) };
}

/** Volts of a place against the board's ground; null where nothing is joined, or the circuit has no rest. */
export function voltsAt({ solved }: BenchState, { node }: Spot): number | null {
  return solved && node !== null ? voltsBetween(solved, node, nodeOf.boardGround) : null;
}
