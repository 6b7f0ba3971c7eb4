import type { Truth } from '../quantity/truth';

/** A port or a pad of the board: what it is called may change with the port that is handed out, what it is does not. */
export interface Named {
  id: string;
  label: string;
}

/**
 * Why a way to connect goes or does not, and what it gives up: a code with its figures, in volts, amps and counts. Code decides by these; `reasonWords` turns them
 * into English for people.
 */
export type Reason =
  | { code: 'as the file says'; text: string }
  | { code: 'nothing to wire' }
  | { code: 'port lacks a side'; port: Named; has: 'hear' | 'talk' | 'nothing' | 'no one-wire pad' }
  | { code: 'hears only'; port: Named; loses: string }
  | { code: 'sense as it stands'; port: Named; sense: 'plain' | 'inverted' }
  | { code: 'turned by the processor'; port: Named; oneWire: boolean }
  | { code: 'inverter unsaid'; port: Named }
  | { code: 'processor unsaid' }
  | { code: 'no inverter'; port: Named; twoWay: boolean }
  | { code: 'fixed inverter'; port: Named }
  | { code: 'two-way inverter'; port: Named }
  | { code: 'one wire both ways'; port: Named }
  | { code: 'pad stands the signal'; pad: Named; volts: number; stands: Truth }
  | { code: 'speaks the radio'; radio: string; part: string | null; speaks: Truth }
  | { code: 'input stands'; input: string; volts: number; maxVolts: number }
  | { code: 'light data low'; output: string; volts: number; hearsFromVolts: number }
  | { code: 'signal too low'; volts: number; reaches: 'just' | 'not' }
  | { code: 'soft serial refuses'; because: 'control' | 'inverted' | 'speed' }
  | { code: 'soft serial is slow' }
  | { code: 'pad held'; pad: Named; by: string }
  | { code: 'two positions at once' }
  | { code: 'one pad twice' }
  | { code: 'pad not drawn' }
  | { code: 'rail not drawn' }
  | { code: 'no pad of the rail drawn'; rail: string }
  | { code: 'inverted pad not drawn'; port: Named }
  | { code: 'board has none'; what: string }
  | { code: 'input taken by the ESC'; input: string }
  | { code: 'address taken'; bus: string; by: string; address: number }
  | { code: 'address unsaid'; bus: string }
  | { code: 'overlay chip'; there: Truth }
  | { code: 'motor wires'; carry: 'revolutions' | 'current'; able: Truth }
  | { code: 'ESC sends telemetry'; sends: Truth }
  | { code: 'ESC reports current'; reports: Truth }
  | { code: 'outputs may drive the ESC' }
  | { code: 'too few outputs'; there: number; othersHeld: boolean }
  | { code: 'volts of a rail'; swing: SwingSaid; minVolts: number; maxVolts: number; fit: 'inside' | 'above' | 'below' }
  | { code: 'sag may be too deep'; rail: string; volts: number; minVolts: number }
  | {
      code: 'volts hang on a range';
      swing: SwingSaid;
      minVolts: { low: number; high: number };
      maxVolts: { low: number; high: number };
    }
  | { code: 'volts unsaid'; rail: string }
  | { code: 'dead in flight'; rail: string }
  | { code: 'too much on USB'; rail: string; volts: number; maxVolts: number }
  | { code: "USB's low end"; rail: string; volts: number; minVolts: number }
  | {
      code: 'volts at the part';
      gauge: number;
      mm: number;
      lostVolts: number;
      arrives: number;
      minVolts: number;
    }
  | { code: 'alive on USB'; rail: string; volts: number | null; alive: Truth }
  | { code: 'plug pin too weak'; part: string; amps: number; plug: string; pinAmps: number }
  | { code: 'draw unsaid'; part: string }
  | { code: 'rating unsaid'; rail: string }
  | { code: 'back-feeds'; rail: string; tied: Truth }
  | { code: 'policy'; prefers: "the transmitter's output" | 'quiet rail' | 'raw pack' | 'filter' | 'servo rail' }
  | {
      code: 'fed by a part';
      output: string;
      host: string;
      volts: { low: number; high: number };
      guest: string;
      fit: Truth;
    }
  | { code: 'host on USB'; host: string; alive: Truth }
  | { code: 'output unsaid'; output: string; host: string }
  | { code: 'dark with its host'; host: string };

/** Volts of a rail as they are said: low and high ends, not finite where nobody says. */
export interface SwingSaid {
  rail: string;
  low: number;
  high: number;
}

/** The same reason about another port: a way is worked out for the first of alike ports. */
export function onOtherPort(reason: Reason, port: Named, padOf: (id: string) => Named): Reason {
  if ('port' in reason) return { ...reason, port };
  return 'pad' in reason ? { ...reason, pad: padOf(reason.pad.id) } : reason;
}

/** Does the board's processor turn the signal round by a setting of the port? */
export function turnsInside(reasons: readonly Reason[]): boolean {
  return reasons.some((r) => r.code === 'turned by the processor');
}
