import { feedersOf, mostWaysToFeed } from '../records/board-links';
import type { Board, Rail, Regulator } from '../records/board';
import type { Build } from '../records/build';
import { assumed, exactly, interval, type Interval } from '../quantity/figure';
import { any, flag, not, type Truth } from '../quantity/truth';
import { lowestVolts, packSwing } from '../trade/cell';
import { assumedBuckEfficiency } from '../trade/rating';
import { usbUnsaid } from './all-pads';
import { ground, type Ground } from '../quantity/ground';

/** Lower and upper end of a rail's swing in volts; each end may itself be uncertain. */
export interface Swing {
  low: Interval;
  high: Interval;
}

/** One way current reaches a rail: bridge positions on the way, regulators it passes, and the volts that arrive. */
export interface Supplied {
  rail: Rail;
  bridges: { bridge: string; position: string }[];
  swing: Swing;
  /** Volts on USB alone, without ends where nobody says; null where the rail is dead then. */
  onUsb: Interval | null;
  /** Regulators from the pad up to the pack, with the amps each carries for one amp at the pad. */
  regulators: { rail: Rail; source: Regulator; perAmp: number }[];
  /** Comes straight from the pack, with the motors' noise on it. */
  raw: boolean;
  /** Are USB and regulator not kept apart, so that one drives current into the other? */
  backFeeds: Truth;
  grounds: Ground[];
}

/** USB gives 4.75 to 5.25 V (USB 2.0, 7.2.2, from memory). */
const mostUsbVolts = 5.25;

/** The name of the figure that says how far a pack sags. */
export const cellGround = "One cell's resistance";

/** What of a build decides the volts of its rails. */
export interface Powered {
  pack: Pick<Build['pack'], 'cells' | 'chemistry' | 'cellMilliohm' | 'massG'>;
  motors: Pick<Build['motors'], 'count' | 'peakAmps'>;
}

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
  const rails = new Map(board.rails.map((r) => [r.id, r]));
  const known = new Map<string, Supplied[]>();
  const waysOf = (id: string): Supplied[] => {
    const before = known.get(id);
    if (before) return before;
    known.set(id, []);
    const rail = rails.get(id);
    if (!rail) return [];
    const count = feedersOf(rail.source).reduce((sum, f) => sum + waysOf(f).length, 0);
    if (spend) spend(count + 1);
    else if (count > mostWaysToFeed) return [];
    const ways = supplied(board, build, rail, end, waysOf).filter(standsOneWay);
    known.set(id, ways);
    return ways;
  };
  return board.rails.flatMap((rail) => waysOf(rail.id));
}

/** No bridge is wanted in two positions at once. */
function standsOneWay({ bridges }: Supplied): boolean {
  return bridges.every((b) => bridges.every((c) => c.bridge !== b.bridge || c.position === b.position));
}

function supplied(board: Board, build: Powered, rail: Rail, end: End, parent: (id: string) => Supplied[]): Supplied[] {
  const source = rail.source;
  switch (source.kind) {
    case 'pack': {
      const swing = packSwing(build.pack);
      const low = lowestVolts(build.pack, build.motors.count * build.motors.peakAmps);
      const sags = low.low < swing.low ? [ground(cellGround, build.pack.cellMilliohm ?? { unknown: true }, 'mΩ')] : [];
      return [
        {
          rail,
          bridges: [],
          swing: { low, high: exactly(swing.high) },
          onUsb: null,
          regulators: [],
          raw: true,
          backFeeds: 'no',
          grounds: sags,
        },
      ];
    }
    case 'usb': {
      const volts = exactly(5 - source.dropVolts);
      return [
        {
          rail,
          bridges: [],
          swing: { low: volts, high: volts },
          onUsb: volts,
          regulators: [],
          raw: false,
          backFeeds: 'no',
          grounds: [],
        },
      ];
    }
    case 'regulator':
      return parent(source.input).map((from) => {
        const made = regulated(rail, source, from, end);
        // As USB has 5 V, so may what a regulator of 5 V feeds.
        return usbUnsaid(board) && interval(source.outVolts).low <= mostUsbVolts
          ? { ...made, onUsb: made.onUsb ?? { low: -Infinity, high: Infinity } }
          : made;
      });
    case 'either': {
      // In flight the pack's side holds the rail up; on the desk only the USB side does.
      const sides = source.of.map(parent);
      const usb = sides.flat().find((s) => s.onUsb);
      const flight = sides.find((side) => side.some((s) => s.regulators.length > 0 || s.raw)) ?? sides[0] ?? [];
      return flight.map((s) => ({
        ...s,
        rail,
        onUsb: usb?.onUsb ?? null,
        backFeeds: any([s.backFeeds, source.isolated ? not(flag(source.isolated)) : 'no']),
      }));
    }
    case 'bridge':
      return Object.entries(source.byPosition).flatMap(([position, id]) =>
        parent(id).map((s) => ({ ...s, rail, bridges: [...s.bridges, { bridge: source.bridge, position }] })),
      );
  }
}

/**
 * A regulator holds its output only while the input stays above output plus drop-out; below, the output
 * follows the input down. (Definition of drop-out: any electronics handbook.)
 */
function regulated(rail: Rail, source: Regulator, from: Supplied, end: End): Supplied {
  const out = interval(source.outVolts);
  const drop = interval(source.dropOutVolts);
  const faded = (input: Interval): Interval => ({
    low: Math.min(out.low, Math.max(0, input.low - drop.high)),
    high: Math.min(out.high, Math.max(0, input.high - drop.low)),
  });
  // Against overload the lowest input counts: a buck then draws the most.
  const lowest = from.swing.low[end === 'worst' ? 'low' : 'high'];
  const lowestIn = Math.max(0.1, Number.isFinite(lowest) ? lowest : 0.1);
  const efficiency =
    source.efficiency ?? assumed(assumedBuckEfficiency, 'common practice for a buck whose efficiency is not stated');
  const eta = Math.max(0.01, finite(interval(efficiency)[end === 'worst' ? 'low' : 'high'], assumedBuckEfficiency));
  const volts = finite(out[end === 'worst' ? 'high' : 'low'], from.swing.high.high);
  const parentPerAmp = source.type === 'linear' ? 1 : Math.min(volts / (eta * lowestIn), 1e3);
  return {
    rail,
    bridges: from.bridges,
    swing: { low: faded(from.swing.low), high: faded(from.swing.high) },
    onUsb: from.onUsb && from.onUsb.low >= out.high + drop.high ? out : null,
    regulators: [
      { rail, source, perAmp: 1 },
      ...from.regulators.map((r) => ({ ...r, perAmp: r.perAmp * parentPerAmp })),
    ],
    raw: false,
    backFeeds: from.backFeeds,
    grounds: [ground(`${rail.label} volts`, source.outVolts, 'V'), ...from.grounds],
  };
}

function finite(value: number, otherwise: number): number {
  return Number.isFinite(value) ? value : otherwise;
}
