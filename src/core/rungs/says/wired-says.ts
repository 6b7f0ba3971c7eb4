import type { Link } from '../../records/peripheral';
import type { Reason } from '../../wiring/reason';

/** What rungs 4 to 7 say of what the hookup wires: counts, and mA of rails. */
export type WiredSays =
  | {
      code: 'serial ports';
      ports: number;
      usable: number;
      used: number;
      free: number;
      released: { what: string; lost: string }[];
    }
  | { code: 'wired another way'; part: string; mode: string; lost: string[] }
  | {
      code: 'link';
      part: string;
      link: Link;
      on: string;
      /** What it gives up. */
      lost: Reason[];
      /** What nobody says. */
      open: Reason[];
    }
  | { code: 'signal'; part: string; link: Link; on: string; reasons: Reason[] }
  | {
      code: 'supply';
      part: string;
      reasons: Reason[];
      /** What is left to its limits, where that is little. */
      leftPercent: number | null;
    }
  | { code: 'load hangs on'; reason: Reason }
  | { code: 'set the bridge'; bridge: string; position: string }
  | {
      code: 'rail load';
      rail: string;
      parts: string[];
      typicalMa: number;
      peakMa: number;
      usableMa: number;
      /** Of the rating; the board's own draw is taken off after it. */
      share: number;
      printedMa: number;
      ownMa: number;
      /** Heat holds it to less than its rating does. */
      byHeat: boolean;
      /** The peak goes beyond what may be drawn for long. */
      intoReserve: boolean;
      /** Parts whose draw nobody says: it is at least so much. */
      unsaid: string[];
      free: number;
    };
