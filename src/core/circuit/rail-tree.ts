import { feedersOf, mostWaysToFeed } from '../records/board-links';
import type { Board, Rail, Regulator } from '../records/board';
import { plausible } from '../figures/plausible-ends';
import { assumed, exactly, interval, isKnown, type Interval } from '../quantity/figure';
import { any, flag, not, type Truth } from '../quantity/truth';
import { railsFedByEsc } from './esc-supply';
import { packVolts, saggedVolts, type Made, type Powered } from './packs';
import { assumedEfficiency } from '../trade/rating';
import { usbVolts } from '../trade/usb';
import { usbUnsaid } from './all-pads';
import { ground, type Ground } from '../quantity/ground';

/** Lower and upper end of a rail's swing in volts; each end may itself be uncertain. */
export interface Swing {
  low: Interval;
  high: Interval;
}

/** What a rail has when nothing but USB is plugged in. */
export interface OnUsb {
  /** Both ends of what USB may bring; not finite where nobody says whether the rail is alive then. */
  volts: Interval;
  /** Volts when USB has its 5 V. */
  nominal: number;
  /** Amps drawn of USB for one amp at the pad. */
  perAmp: number;
}

/** One way current reaches a rail: bridge positions on the way, regulators it passes, and the volts that arrive. */
export interface Supplied {
  rail: Rail;
  bridges: { bridge: string; position: string }[];
  swing: Swing;
  /** Only USB feeds it: in flight it is dead. */
  deadInFlight: boolean;
  /** null where the rail is dead on USB alone. */
  onUsb: OnUsb | null;
  /** Regulators from the pad up to the pack, with the amps each carries for one amp at the pad, the volts at its input and the bridges before that. */
  regulators: { rail: Rail; source: Regulator; perAmp: number; input: Swing; bridges: Supplied['bridges'] }[];
  /** What a meter reads at the rail when the pack stands at so many volts; a rail of USB alone reads USB's. */
  reads: (packVolts: number) => number;
  /** Comes straight from the pack, with the motors' noise on it. */
  raw: boolean;
  /** Are two sources not kept apart, so that one drives current into the other: USB and a regulator, or two regulators? */
  backFeeds: Truth;
  grounds: Ground[];
}

/** The name of the figure that says how far a pack sags. */
export const cellGround = "One cell's resistance";

/** Which end of what is not known counts for what a child asks of its parent: more amps, or fewer. */
type End = 'worst' | 'best';

/**
 * Every way each rail can be supplied, over all bridge positions that matter to it; each rail is visited once. Rails without a source in the board, and those that
 * are fed from themselves, are left out. `spend` is told how many there are, rail by rail, and may stop it: bridges can make
 * very many. Without it a rail with more ways than a file may have is left out.
 */
export function suppliesOf(
  board: Board,
  build: Powered,
  end: End = 'worst',
  spend?: (ways: number) => void,
): Supplied[] {
  const all = railsFedByEsc(board, build);
  const rails = new Map(all.map((r) => [r.id, r]));
  const known = new Map<string, Supplied[]>();
  const waysOf = (id: string): Supplied[] => {
    const before = known.get(id);
    if (before) return before;
    known.set(id, []);
    const rail = rails.get(id);
    if (!rail) return [];
    const feeders = feedersOf(rail.source).map((f) => waysOf(f).length);
    // What is fed by whichever of several is up combines the ways of each.
    const count =
      rail.source.kind === 'either'
        ? feeders.reduce((product, n) => product * Math.max(1, n), 1)
        : feeders.reduce((sum, n) => sum + n, 0);
    if (spend) spend(count + 1);
    else if (count > mostWaysToFeed) return [];
    const ways = supplied(board, build, rail, end, waysOf).filter(standsOneWay);
    known.set(id, ways);
    return ways;
  };
  return all.flatMap((rail) => waysOf(rail.id));
}

/** No bridge is wanted in two positions at once. */
function standsOneWay({ bridges }: Supplied): boolean {
  return bridges.every((b) => bridges.every((c) => c.bridge !== b.bridge || c.position === b.position));
}

function supplied(board: Board, build: Powered, rail: Rail, end: End, parent: (id: string) => Supplied[]): Supplied[] {
  const source = rail.source;
  switch (source.kind) {
    case 'esc':
      return [];
    case 'pack': {
      const swing = packVolts(build);
      const low = saggedVolts(build, madeBy(board));
      const sags = low.low < swing.low ? [ground(cellGround, build.pack.cellMilliohm ?? { unknown: true }, 'mΩ')] : [];
      return [{ ...bare(rail), swing: { low, high: exactly(swing.high) }, reads: (v) => v, raw: true, grounds: sags }];
    }
    case 'usb': {
      const volts = {
        low: usbVolts.low - source.dropVolts,
        high: usbVolts.high - source.dropVolts,
      };
      const onUsb = { volts, nominal: usbVolts.nominal - source.dropVolts, perAmp: 1 };
      return [
        {
          ...bare(rail),
          swing: { low: exactly(volts.low), high: exactly(volts.high) },
          reads: () => onUsb.nominal,
          deadInFlight: true,
          onUsb,
        },
      ];
    }
    case 'regulator':
      return parent(source.input).map((from) => {
        const made = regulated(rail, source, from, end);
        // As USB has 5 V, so may what a regulator of 5 V feeds.
        return usbUnsaid(board) && interval(source.outVolts).low <= usbVolts.high
          ? { ...made, onUsb: made.onUsb ?? { volts: { low: -Infinity, high: Infinity }, nominal: NaN, perAmp: 1 } }
          : made;
      });
    case 'either':
      return combinations(source.of.map((id) => parent(id).map((s) => behindDiode(s, source, id)))).map((sides) =>
        whicheverIsUp(rail, source, sides),
      );
    case 'bridge':
      return Object.entries(source.byPosition).flatMap(([position, id]) =>
        parent(id).map((s) => ({ ...s, rail, bridges: [...s.bridges, { bridge: source.bridge, position }] })),
      );
  }
}

/** The rails of a board's regulators at their most. */
function madeBy({ rails }: Board): Made[] {
  return rails.flatMap(({ ownAmps, source }) =>
    source.kind === 'regulator'
      ? [
          {
            volts: interval(source.outVolts).high,
            ownAmps: ownAmps && isKnown(source.outVolts) ? plausible(ownAmps, 'ownAmps').high : 0,
          },
        ]
      : [],
  );
}

/** A rail that nothing feeds yet. */
function bare(rail: Rail): Omit<Supplied, 'swing' | 'reads'> {
  return {
    rail,
    bridges: [],
    deadInFlight: false,
    onUsb: null,
    regulators: [],
    raw: false,
    backFeeds: 'no',
    grounds: [],
  };
}

type Either = Extract<Rail['source'], { kind: 'either' }>;

/** One way of each side; a side without any way is left out. */
function combinations(sides: Supplied[][]): Supplied[][] {
  return sides
    .filter((side) => side.length > 0)
    .reduce<Supplied[][]>((all, side) => all.flatMap((head) => side.map((s) => [...head, s])), [[]])
    .filter((chosen) => chosen.length > 0);
}

function behindDiode(from: Supplied, { dropVolts }: Either, id: string): Supplied {
  const drop = dropVolts?.[id] ?? 0;
  if (drop === 0) return from;
  const less = ({ low, high }: Interval) => ({ low: low - drop, high: high - drop });
  // What is not known stays so.
  const dark = (v: number) => (Number.isFinite(v) ? Math.max(0, v) : v);
  const atLeastNone = ({ low, high }: Interval) => ({ low: dark(low), high: dark(high) });
  return {
    ...from,
    swing: { low: atLeastNone(less(from.swing.low)), high: atLeastNone(less(from.swing.high)) },
    reads: (v) => Math.max(0, from.reads(v) - drop),
    onUsb: from.onUsb && { ...from.onUsb, volts: less(from.onUsb.volts), nominal: from.onUsb.nominal - drop },
  };
}

/** The side of the most volts feeds; where it is not certain which has most, each of them must be able to. */
function whicheverIsUp(rail: Rail, source: Either, sides: Supplied[]): Supplied {
  const flying = sides.filter((s) => !s.deadInFlight);
  const most = Math.max(...flying.map((s) => s.swing.low.low));
  const feeding = flying.length > 0 ? flying.filter((s) => !(s.swing.high.high < most)) : sides;
  const highest = (end: keyof Swing): Interval => ({
    low: Math.max(...feeding.map((s) => s.swing[end].low)),
    high: Math.max(...feeding.map((s) => s.swing[end].high)),
  });
  // On the desk all the sides that USB reaches are up at once as well.
  const lit = sides.flatMap((s) => (s.onUsb ? [s.onUsb] : []));
  const brightest = lit.reduce<OnUsb | null>((best, s) => (best && !(s.nominal > best.nominal) ? best : s), null);
  return {
    rail,
    bridges: sides.flatMap((s) => s.bridges),
    swing: { low: highest('low'), high: highest('high') },
    reads: (v) => Math.max(...feeding.map((s) => s.reads(v))),
    deadInFlight: flying.length === 0,
    onUsb: brightest,
    regulators: unique(feeding.flatMap((s) => s.regulators)),
    raw: feeding.some((s) => s.raw),
    backFeeds: any([...sides.map((s) => s.backFeeds), source.isolated ? not(flag(source.isolated)) : 'no']),
    grounds: feeding.flatMap((s) => s.grounds),
  };
}

/** A regulator that lies on several ways carries the most that any of them asks. */
function unique(regulators: Supplied['regulators']): Supplied['regulators'] {
  return regulators.filter(
    (r, i) =>
      !regulators.some(
        (other, j) => other.rail.id === r.rail.id && (other.perAmp > r.perAmp || (other.perAmp === r.perAmp && j < i)),
      ),
  );
}

/**
 * A regulator that steps down or is linear holds its output only while the input stays above output plus drop-out; below, the output follows the input down. One that
 * steps up holds it while the input stays below; above, the input passes through. (Any electronics handbook.)
 */
function regulated(rail: Rail, source: Regulator, from: Supplied, end: End): Supplied {
  const out = interval(source.outVolts);
  const given = (input: Interval): Interval => outputOf(source, out, input);
  const efficiency = source.efficiency ?? assumed(assumedEfficiency, 'common practice where it is not stated');
  const eta = Math.max(0.01, finite(interval(efficiency)[end === 'worst' ? 'low' : 'high'], assumedEfficiency));
  const volts = finite(out[end === 'worst' ? 'high' : 'low'], from.swing.high.high);
  // Against overload the lowest input counts: a switching regulator then draws the most.
  const parentPerAmp = (lowest: number) => {
    if (source.type === 'linear') return 1;
    return Math.min(volts / (eta * Math.max(0.1, finite(lowest, 0.1))), 1e3);
  };
  const flight = parentPerAmp(from.swing.low[end === 'worst' ? 'low' : 'high']);
  return {
    ...bare(rail),
    bridges: from.bridges,
    swing: { low: given(from.swing.low), high: given(from.swing.high) },
    reads: (v) => readsBehind(source, from.reads(v)),
    deadInFlight: from.deadInFlight,
    onUsb: from.onUsb && litThrough(source, out, from.onUsb, parentPerAmp),
    regulators: [
      { rail, source, perAmp: 1, input: from.swing, bridges: from.bridges },
      ...from.regulators.map((r) => ({ ...r, perAmp: r.perAmp * flight })),
    ],
    backFeeds: from.backFeeds,
    grounds: [ground(`${rail.label} volts`, source.outVolts, 'V'), ...from.grounds],
  };
}

/** Volts behind a regulator at one input, of which both ends may be uncertain. */
function outputOf(source: Regulator, out: Interval, input: Interval): Interval {
  const starts = source.inputVolts ? interval(source.inputVolts.min) : exactly(0);
  const drop = plausible(source.dropOutVolts, 'dropOutVolts');
  const at = (volts: number, made: number, lost: number, least: number) => {
    if (volts < least) return 0;
    if (source.type === 'step-up') return Math.max(made, volts);
    if (source.type === 'step-up-down') return made;
    return Math.min(made, Math.max(0, volts - lost));
  };
  return {
    low: at(input.low, out.low, drop.high, starts.high),
    high: at(input.high, out.high, drop.low, starts.low),
  };
}

/** What a meter reads behind a regulator that has so many volts at its input; of a drop-out that nobody says, the most. */
function readsBehind(source: Regulator, volts: number): number {
  return outputOf(source, exactly(interval(source.outVolts).high), exactly(volts)).low;
}

/** A rail behind a regulator is alive on USB where that has enough for it; a little less at USB's low end is still alive. */
function litThrough(
  source: Regulator,
  out: Interval,
  usb: OnUsb,
  parentPerAmp: (lowest: number) => number,
): OnUsb | null {
  const perAmp = usb.perAmp * parentPerAmp(usb.volts.low);
  if (!Number.isFinite(usb.volts.low)) return { ...usb, perAmp };
  const nominal = outputOf(source, out, exactly(usb.nominal));
  const least = source.type === 'step-up' || source.type === 'step-up-down' ? 0.1 : out.low;
  if (nominal.high < least) return null;
  if (nominal.low < least) return { volts: { low: -Infinity, high: Infinity }, nominal: NaN, perAmp };
  return {
    volts: {
      low: outputOf(source, out, exactly(usb.volts.low)).low,
      high: outputOf(source, out, exactly(usb.volts.high)).high,
    },
    nominal: nominal.low,
    perAmp,
  };
}

function finite(value: number, otherwise: number): number {
  return Number.isFinite(value) ? value : otherwise;
}
