import type { Contradiction } from '../../simulate/audit';

type Span = { low: number; high: number };

/** What is said of lights, the board's own draw, USB on the desk, plugs, wires and the solved circuit: amps, volts, counts. */
export type LoadSays =
  | { code: 'long chain'; part: string; lights: number; most: number }
  | { code: 'lights at full white'; part: string; lights: number; whiteAmps: number; statedAmps: number }
  | { code: 'own draw'; rail: string; amps: Span; carries: Span }
  /** `esc`: the one that makes no 5 V; null: there is none. `usb`: on the desk the rail is alive. */
  | { code: 'nothing feeds the board'; rail: string; esc: string | null; usb: boolean; drawn: boolean }
  /** `volts`: what the ESC gives to a board that runs on it; null: nobody says. */
  | { code: 'fed by the ESC'; esc: string | null; volts: Span | null; takes: Span }
  | { code: 'USB on the desk'; amps: number; gives: number; others: { name: string; amps: number | null }[] }
  | {
      code: 'over the pins';
      parts: string[];
      /** null: nobody says. */
      amps: number | null;
      pins: number;
      plug: string;
      /** null: the plug names none. */
      groundPins: number | null;
      family: string;
      ampsPerPin: number;
    }
  | { code: 'no wire carries it'; part: string; amps: number }
  | { code: 'wire loses volts'; part: string; gauge: number; lostVolts: number; railVolts: number }
  | ({ code: 'circuit disagrees'; how: Contradiction['code'] } & Omit<Contradiction, 'code'>);
