import type { Link } from '../../records/peripheral';
import type { RungName } from '../../trade/rungs';
import type { Reason } from '../../wiring/reason';

/** Why parts cannot be wired together, in counts, mA and watts. */
export type ClashSays =
  | {
      /** One part that no way suits: what it needs, and what the ways that get furthest lack. */
      code: 'no way';
      part: string;
      /** null: its links and its supply rule each other out. */
      needs: Link | 'a supply in its range' | 'a supply that carries it' | null;
      lacks: Reason[];
      /** Supplies that are outside its range, beside those of which `lacks` tells. */
      outside: number;
      modes: number;
    }
  | { code: 'one bridge'; parts: string[]; bridge: string }
  | { code: 'pads rule out'; parts: string[] }
  | {
      code: 'rivals';
      parts: string[];
      over: { address: number } | { pad: string } | { timer: string } | null;
    }
  | {
      code: 'too few ports';
      parts: string[];
      links: number;
      there: number;
      /** At rung 5 the sense counts: does one of them need it inverted? */
      sense: 'any' | 'inverted or plain' | null;
      /** The shop's count, where it is not what is free. */
      claim: { ports: number; free: number; taken: { port: string; by: string }[] } | null;
    }
  | { code: 'too much load'; limits: LoadLimit[] }
  | { code: 'no supply carries'; parts: string[]; watts: number; peakWatts: number };

/** What parts would draw of one thing, and what it gives; in mA. */
export type LoadLimit =
  | {
      of: 'rail';
      parts: string[];
      rail: string;
      steadyMa: number;
      peakMa: number;
      maySteadyMa: number;
      mayPeakMa: number;
      /** Why it may carry so much for long, where that is not its rating. */
      held: { by: 'heat' | 'share'; share: number; ownMa: number } | null;
    }
  | { of: 'USB'; parts: string[]; ma: number; givesMa: number; lessOwn: boolean }
  | { of: 'plug'; parts: string[]; ma: number; plug: string; pinMa: number; over: 'pins' | 'ground pins' };

/** What is said of parts that are not wired. */
export type UnmetSays =
  | ClashSays
  | { code: 'musts open'; reasons: Reason[] }
  | { code: 'fails below'; rung: RungName }
  | {
      code: 'left out';
      part: string;
      priority: 'should' | 'nice' | 'must';
      /** null: wiring it would cost more than its priority is worth. */
      because: ClashSays | null;
    };
