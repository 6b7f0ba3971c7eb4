import type { Interval } from '../../quantity/figure';
import type { Side } from '../../records/words';

/** How a hole pattern of the board meets one of the frame. */
export type HolesMeet =
  | 'holes meet'
  | 'isolators take it up'
  | 'pattern unsaid'
  | 'holes apart'
  | 'screw unsaid'
  | 'loose screws'
  | 'screws too thick';

/** What rung 1 says, in mm. */
export type FrameSays =
  | { code: 'taped between standoffs' }
  | { code: 'taped to a tray'; holesStayEmpty: boolean }
  | { code: 'holes on the frame'; offered: string; has: string; meet: HolesMeet }
  | { code: 'stands on'; upper: string; lower: string; by: 'same holes' | "the frame's holes" | 'tape' | 'unsaid' }
  | {
      code: 'in the bay';
      bayMm: [number, number];
      /** Of a set, which member. */
      member: string | null;
      boardMm: [number, number];
      airMm: number;
      turned: 'for its holes' | 'for its size' | null;
      overMm: number;
    }
  | { code: 'height of the bay'; bayMm: number; stackMm: Interval; lines: { what: string; mm: number }[] }
  | { code: 'USB reach'; side: Side | null; comesTo: Side | null; openSides: Side[]; yawOffset: number }
  | { code: 'button behind a closed side'; comesTo: Side }
  | { code: 'cables behind a closed side'; comeTo: Side[] }
  | { code: 'pads out of reach'; labels: string[] };
