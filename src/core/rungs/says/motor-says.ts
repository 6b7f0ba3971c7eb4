import type { Truth } from '../../quantity/truth';

type Span = { low: number; high: number };

/** What rung 3 says of ESCs, leads and sensors: amps, volts, seconds, counts. null: nobody says. */
export type MotorSays =
  | { code: 'no motors' }
  | { code: 'no ESC on the board'; motors: number }
  | { code: 'ESC channels'; motors: number; whose: string; channels: number | null }
  | {
      code: 'cruise';
      amps: number;
      carries: Span | null;
      /** The rating, where only a share of it counts. */
      derated: { rated: Span; share: number } | null;
      margin: number | undefined;
    }
  | {
      code: 'full throttle';
      amps: number;
      seconds: number;
      gives: Span | null;
      /** undefined: without end; null: for nobody says how long. */
      forSeconds: Span | null | undefined;
      burstIgnored: boolean;
      margin: number | undefined;
    }
  | { code: 'motor pads'; amps: number; carry: Span | null; margin: number | undefined }
  | { code: 'ESC on the board idle' }
  | { code: 'outputs for separate ESCs'; escs: number; there: number; drawn: Truth }
  | { code: 'ESC not named'; motors: number }
  | {
      code: 'volts of the ESC';
      cells: number;
      fullVolts: number;
      esc: string;
      standsVolts: number;
      /** The ESC says cells, not volts. */
      standsCells: number | null;
    }
  | { code: 'no plug for an ESC' }
  | { code: 'pin orders alike' }
  | { code: 'pin orders differ'; pins: number; meet: { board: string; esc: string }[]; burns: boolean }
  | { code: 'plugs of two families'; esc: string; board: string }
  | { code: 'no sensing by policy' }
  | { code: "sensor on the stack's ESC" }
  | { code: 'through the shunt'; amps: number; carries: Span | null; enough: Truth; watts: number | null }
  | { code: 'range of the sensor'; amps: number; reads: Span | null; enough: Truth }
  | {
      code: 'capacitor';
      packVolts: number;
      microfarads: number;
      ratedVolts: number;
      usualVolts: number;
      /** What the ESC asks for, where it is too small for that. */
      asksMicrofarads: number | null;
    }
  | {
      code: 'pack leads';
      gauge: number;
      carriesAmps: number;
      cruiseAmps: number;
      peakAmps: number;
      mm: number;
      lostVolts: number;
      /** Where they settle, if the usual table says that they are too thin. */
      celsius: number | null;
    }
  | { code: 'pack plug'; plug: string; amps: number; momentAmps: number; cruiseAmps: number; peakAmps: number }
  | { code: 'pack amps'; gives: number; cruiseAmps: number; peakAmps: number };
