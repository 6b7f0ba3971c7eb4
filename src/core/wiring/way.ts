import type { Board } from '../records/board';
import type { Build, Part } from '../records/build';
import type { Truth } from '../quantity/truth';
import type { Cost } from '../solver/cost';
import type { Ground } from '../quantity/ground';
import { withoutIdleHarness } from '../circuit/harness-line';
import { budgetWith, spend, type Budget } from '../solver/budget';
import type { Row } from '../solver/problem';
import { bridgeKey, type RowKey, type TagKey } from './keys';
import type { Reason } from './reason';
import { suppliesOf, type Supplied } from '../circuit/rail-tree';

export type SolvedRung = 4 | 5 | 6 | 7;

/** One condition on a way: at which rung it is asked, whether it holds, and the reason. */
export interface Condition {
  rung: SolvedRung;
  truth: Truth;
  reason: Reason;
  grounds?: Ground[];
}

/** Where a link ends on the board. `with`: on the other side of the port that this "part/link" is on. */
export type Place =
  | { kind: 'port'; group: string; rx?: string[]; tx?: string[]; release?: string; with?: string }
  | { kind: 'soft serial'; pads: number; group: string }
  | { kind: 'output'; take: { group: string; count: number }[] }
  | { kind: 'bus'; bus: string }
  | { kind: 'input'; group: string }
  | { kind: 'pad'; pads: string[]; what: string };

/** Where a part takes its power. */
export interface Feed {
  /** The rail's id, or "part:" and the id of the part that feeds this one, as locks name it. */
  rail: string;
  /** Where another part feeds this one, the name under which that part's output is summed up. */
  output?: string;
  label: string;
  pads: string[];
  volts: { low: number; high: number };
  typicalAmps: number;
  peakAmps: number;
  /** Nobody says what it draws: it may be more than these amps. */
  unsaid: boolean;
  /** Typical amps that it draws of USB when nothing else is plugged in; 0 where its rail is dead then, null where nobody says. */
  usbAmps: number | null;
  /** The plug whose pins carry it, where the rail leaves the board by pins alone. */
  plug?: string;
  /** AWG of its wire, and the volts that the wire loses out and back at peak. */
  gauge: number;
  lostVolts: number;
  /** Amps at peak that it draws through the part that feeds it, at that part's own pad. */
  throughHost?: { host: string; amps: number };
}

/** What a way takes of a row. `load`: milliamps, steady or at peak, of a rail or of another part's output; steady ones that heat a linear regulator. */
export interface Taken {
  id: RowKey;
  amount: number;
  rung: SolvedRung;
  load?: { kind: 'peak' | 'steady' | 'heat'; rail: string };
}

/** One way to make one link or one supply of a part. */
export interface Way {
  conditions: Condition[];
  cost: Partial<Cost>;
  lost: Reason[];
  margin: number;
  rows: Taken[];
  tags: { id: TagKey; value: string }[];
  link?: Place;
  feed?: Feed;
}

export function way(part: Partial<Way>): Way {
  return { conditions: [], cost: {}, lost: [], margin: Infinity, rows: [], tags: [], ...part };
}

/**
 * How unknown figures and ranges are read. `sure`: at their worst end, unknown counts against.
 * `hopeful`: at their best end, unknown counts for, and each such reliance is a doubt.
 */
export type World = 'sure' | 'hopeful';

/** Is a condition met, as unknown is read in this world? */
export function isMet({ truth }: Condition, world: World): boolean {
  return truth === 'yes' || (truth === 'unknown' && world === 'hopeful');
}

/** All that the ways of one build on one board refer to, gathered while they are made. */
export interface Workshop {
  build: Build;
  board: Board;
  world: World;
  budget: Budget;
  supplies: Supplied[];
  rows: Map<RowKey, Row>;
  /** For each tag the values it can take and what each costs once. */
  tags: Map<TagKey, Map<string, Partial<Cost>>>;
}

export function workshop(build: Build, board: Board, world: World, budget: Budget = budgetWith()): Workshop {
  return {
    build,
    board: withoutIdleHarness(build, board),
    world,
    budget,
    supplies: suppliesOf(board, build, world === 'sure' ? 'worst' : 'best', (ways) => spend(budget, ways)),
    rows: new Map(),
    tags: new Map(),
  };
}

export function row(shop: Workshop, made: Row & { id: RowKey }): RowKey {
  if (!shop.rows.has(made.id)) shop.rows.set(made.id, made);
  return made.id;
}

export function tag(
  shop: Workshop,
  id: TagKey,
  value: string,
  once: Partial<Cost> = {},
): { id: TagKey; value: string } {
  const values = shop.tags.get(id) ?? new Map<string, Partial<Cost>>();
  if (!values.has(value)) values.set(value, once);
  shop.tags.set(id, values);
  return { id, value };
}

/** A bridge put in a position: free where it is delivered so, else the effort of moving it. */
export function bridgeTag(shop: Workshop, bridge: string, position: string): { id: TagKey; value: string } {
  const b = shop.board.bridges.find((x) => x.id === bridge);
  return tag(shop, bridgeKey(bridge), position, b && b.factory !== position ? { effort: b.effort } : {});
}

export function isVideo(part: Part): boolean {
  return ['camera', 'video transmitter', 'digital video'].includes(part.peripheral.kind);
}
