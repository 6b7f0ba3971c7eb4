import { marginStep } from './margin-steps';
import type { Cost } from './cost';

/**
 * The hookup as a bare choice problem, with nothing of the trade left in it:
 * each part takes one mode or stays unmet; each need of the mode takes one choice;
 * sums on a row stay within its limit; a tag carries at most one value; costs add up.
 */
export interface Problem {
  parts: ProblemPart[];
  rows: Row[];
  tags: Tag[];
}

export interface ProblemPart {
  id: string;
  /** What leaving the part out costs, and the tag values this fixes. */
  unmet: Cost;
  unmetTags?: TagUse[];
  modes: ProblemMode[];
}

export interface ProblemMode {
  id: string;
  cost: Cost;
  needs: Need[];
}

export interface Need {
  id: string;
  choices: Choice[];
}

export interface Choice {
  cost: Cost;
  /** Whole per cent; `marginCapPercent` and above count as equal. */
  margin: number;
  uses: RowUse[];
  tags: TagUse[];
}

export type RowUse = readonly [row: number, amount: number];
export type TagUse = readonly [tag: number, value: number];

/** A sum that must stay within `limit`; whole numbers. */
export interface Row {
  id: string;
  limit: number;
  /** Where given, the row has a margin: per cent of `comfort` left free. May be below `limit`: then the margin is negative. */
  comfort?: number;
  /** Rows of one pool are alike, so that a bound counts together what is left of them. Changes speed only. */
  pool?: string;
}

/** A thing that stands one way at a time: a bridge, a release, a timer's rate. `once` is paid when any choice takes the value. */
export interface Tag {
  id: string;
  once: Cost[];
}

/** Per part the chosen mode and the choice of each of its needs, or null where it stays unmet. */
export interface Solution {
  picks: (Pick | null)[];
  cost: Cost;
  /** Smallest margin, whole per cent, capped. */
  margin: number;
  steps: number;
}

export interface Pick {
  mode: number;
  choices: number[];
}

/** The margin step of a row when `used` of it is taken. */
export function rowMargin(row: Row, used: number): number {
  if (row.comfort === undefined || used === 0) return Infinity;
  return row.comfort === 0 ? marginStep(-1) : marginStep((100 * (row.comfort - used)) / row.comfort);
}

/** A row's limit for hookups of at least this margin step. */
export function limitAt(row: Row, step: number): number {
  return row.comfort === undefined || step < 0
    ? row.limit
    : Math.min(row.limit, Math.floor((row.comfort * (100 - step)) / 100 + 1e-9));
}
