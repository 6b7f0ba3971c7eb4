import type { Entry } from '../records/build';
import { limitOverRating, type HookupNetlist } from '../simulate/hookup-netlist';
import { elementOf, nodeOf } from '../simulate/names';
import type { Element } from '../simulate/netlist';
import { operatingPoint } from '../simulate/operating-point';
import { benchScene } from '../simulate/scene';
import { num as constant, times } from '../simulate/expression';
import { spotsOn } from './meter';
import { netlistOn, voltsBetween, type Bench } from './on-the-bench';
import { num } from '../quantity/spelled';

/** One figure that would make the circuit read what was read, and how much speaks for it against the others. */
export interface Explanation {
  /** What it is of, and what it would have to be. */
  says: string;
  /** 0 to 1; all together 1. */
  share: number;
}

export interface ReadingSays {
  where: string;
  predictedVolts: number;
  /** Empty where the reading is as predicted. */
  explanations: Explanation[];
}

/** Volts by which a reading may miss the prediction before it says anything: a usual meter, a wire's hundredths. */
const meterVolts = 0.05;

/**
 * A figure that may be other than said: how it stands in the circuit at `by` times its value, and how far from 1 such a figure usually strays, as a standard deviation of its logarithm (our own
 * choice: volts of a regulator within 2 %, what a regulator gives within a factor of two, a draw by half as much again, a joint by a factor of four).
 */
interface Suspect {
  strays: number;
  from: number;
  to: number;
  says: (by: number) => string;
  change: (bench: Bench, by: number) => HookupNetlist;
}

/** What volts read at a rail, a pad or a part's pin say of the figures behind; null where the entry is no such reading. */
export function whatReadingSays(bench: Bench, entry: Entry): ReadingSays | null {
  const place = placeOf(bench, entry);
  if (!place || entry.reading?.unit !== 'V') return null;
  const { plus, minus, where } = place;
  const net = netlistOn(bench, benchScene({}));
  const read = (changed: HookupNetlist) => {
    const solved = operatingPoint(changed);
    return solved.ok ? voltsBetween(solved, plus, minus) : NaN;
  };
  const predictedVolts = read(net);
  const measured = entry.reading.value;
  if (!Number.isFinite(predictedVolts)) return null;
  if (Math.abs(predictedVolts - measured) <= meterVolts) return { where, predictedVolts, explanations: [] };
  const found = suspectsAt(bench, place).flatMap((s) => {
    const by = solveFor((x) => read(s.change(bench, x)) - measured, s.from, s.to);
    return by === null ? [] : [{ says: s.says(by), weight: Math.exp(-((Math.log(by) / s.strays) ** 2) / 2) }];
  });
  const all = found.reduce((sum, f) => sum + f.weight, 0);
  const explanations = found
    .map(({ says, weight }) => ({ says, share: all > 0 ? weight / all : 1 / found.length }))
    .sort((a, b) => b.share - a.share);
  return { where, predictedVolts, explanations };
}

interface Place {
  plus: string;
  minus: string;
  where: string;
  rail: string | null;
  part: { id: string; supply: string } | null;
}

/** Where an entry was read: at the rail whose volts it is of, or at the pad, rail or part that it names. */
function placeOf(bench: Bench, { about, reading }: Entry): Place | null {
  const { board, hookup } = bench;
  const field = /^rails\[(\d+)\]\.source\.outVolts$/.exec(reading?.field ?? '');
  const named = (label: string) => label.toLowerCase() === about.trim().toLowerCase();
  const part = hookup.parts.find((p) => named(p.name) && p.supplies.length > 0);
  if (part && !field) {
    const supply = part.supplies[0]!;
    const rail = supply.output === undefined ? supply.rail : null;
    const pins = { plus: nodeOf.plus(part.id, supply.id), minus: nodeOf.minus(part.id, supply.id) };
    return { ...pins, where: part.name, rail, part: { id: part.id, supply: supply.id } };
  }
  const spot = spotsOn(bench).find((s) => s.pad !== undefined && named(s.words));
  const rail =
    (field ? board.rails[Number(field[1])] : undefined) ??
    board.rails.find((r) => named(r.label) || (spot?.pad !== undefined && r.pads.includes(spot.pad)));
  return rail
    ? { plus: nodeOf.rail(rail.id), minus: nodeOf.boardGround, where: rail.label, rail: rail.id, part: null }
    : null;
}

function suspectsAt({ board }: Bench, { rail, part }: Place): Suspect[] {
  return [...regulatorSuspects(board, rail), ...loadSuspects(rail), ...(part ? wireSuspects(part) : [])];
}

function regulatorSuspects(board: Bench['board'], rail: string | null): Suspect[] {
  const through = board.rails.find((r) => r.id === rail);
  // What stands behind a rail that takes whichever of several is up.
  const either = through?.source.kind === 'either' ? through.source.of : [];
  const feeding = board.rails.find((r) => (r.id === rail || either.includes(r.id)) && r.source.kind === 'regulator');
  if (feeding?.source.kind !== 'regulator') return [];
  const { label, id, source } = feeding;
  const suspect = (
    which: 'outVolts' | 'ratedAmps',
    was: number,
    rest: Pick<Suspect, 'strays' | 'from' | 'to' | 'says'>,
  ): Suspect => ({
    ...rest,
    change: (bench, by) => netlistOn({ ...bench, board: withFigure(bench.board, id, which, was * by) }, benchScene({})),
  });
  const volts = 'value' in source.outVolts ? source.outVolts.value : null;
  const amps = 'value' in source.ratedAmps ? source.ratedAmps.value : 3;
  const gives = suspect('ratedAmps', amps, {
    strays: 0.7,
    from: 0.02,
    to: 1,
    says: (by) =>
      `the regulator of ${label} gives no more than ${num(amps * by * limitOverRating, 2)} A (rated ${num(amps, 2)} A)`,
  });
  if (volts === null) return [gives];
  const says = (by: number) => `the regulator of ${label} is set to ${num(volts * by, 2)} V, not ${num(volts, 2)} V`;
  return [suspect('outVolts', volts, { strays: 0.02, from: 0.3, to: 1.6, says }), gives];
}

function withFigure(
  board: Bench['board'],
  rail: string,
  which: 'outVolts' | 'ratedAmps',
  value: number,
): Bench['board'] {
  const figure = { value, origin: 'assumed' as const };
  return {
    ...board,
    rails: board.rails.map((r) =>
      r.id === rail && r.source.kind === 'regulator' ? { ...r, source: { ...r.source, [which]: figure } } : r,
    ),
  };
}

/** All that hangs on the rail draws more, or less, than said. */
function loadSuspects(rail: string | null): Suspect[] {
  if (rail === null) return [];
  const onRail = ({ hookup }: Bench) =>
    new Set(
      hookup.parts.flatMap((p) =>
        p.supplies.filter((s) => s.output === undefined && s.rail === rail).map((s) => elementOf.load(p.id, s.id)),
      ),
    );
  return [
    {
      strays: 0.4,
      from: 0.05,
      to: 20,
      says: (by) => `what hangs on the rail draws ${num(by, 1)} times what is said`,
      change: (bench, by) => {
        const loads = onRail(bench);
        return withElements(bench, (e) =>
          loads.has(e.id) && e.kind === 'amps' ? { ...e, formula: times(constant(by), e.formula) } : e,
        );
      },
    },
  ];
}

/** Wire and joints of one part. */
function wireSuspects({ id, supply }: { id: string; supply: string }): Suspect[] {
  const wires = [elementOf.wire(id, supply), elementOf.back(id, supply)];
  return [
    {
      strays: 1.4,
      from: 0.2,
      to: 2000,
      says: (by) => `wire and joints of the part have ${num(by, by < 10 ? 1 : 0)} times the ohms they should have`,
      change: (bench, by) =>
        withElements(bench, (e) => (wires.includes(e.id) && e.kind === 'resistor' ? { ...e, ohm: e.ohm * by } : e)),
    },
  ];
}

function withElements(bench: Bench, change: (e: Element) => Element): HookupNetlist {
  const net = netlistOn(bench, benchScene({}));
  return { ...net, elements: net.elements.map(change) };
}

/** Where a function passes nought between two ends, by halving the ratio between them; null where it has one sign at both. */
function solveFor(f: (x: number) => number, from: number, to: number): number | null {
  let [low, high] = [from, to];
  const atLow = f(low);
  const atHigh = f(high);
  if (!Number.isFinite(atLow) || !Number.isFinite(atHigh) || Math.sign(atLow) === Math.sign(atHigh)) return null;
  for (let step = 0; step < 24; step++) {
    const middle = Math.sqrt(low * high);
    if (Math.sign(f(middle)) === Math.sign(atLow)) low = middle;
    else high = middle;
  }
  return Math.sqrt(low * high);
}
