import { isPack, railWords } from './rail-words';
import type { Truth } from '../quantity/truth';
import { softSerialMaxBaud } from '../trade/protocol';
import type { Reason, SwingSaid } from '../wiring/reason';

export const undrawn = 'not all pads of the board are drawn';

/** A reason in plain English, to stand in a sentence: no capital, no stop. */
export function reasonWords(r: Reason): string {
  switch (r.code) {
    case 'as the file says':
      return r.text;
    case 'nothing to wire':
      return 'nothing to wire';
    case 'port lacks a side':
      return `${r.port.label} ${{ hear: 'can hear, not talk', talk: 'can talk, not hear', nothing: 'has no pads', 'no one-wire pad': 'has no pad that talks, which one-wire links sit on' }[r.has]}`;
    case 'hears only':
      return `${r.port.label} can hear, not talk: ${r.loses}`;
    case 'sense as it stands':
      return `${r.port.label} is ${r.sense} as it stands`;
    case 'turned by the processor':
      return `the processor turns the ${r.oneWire ? 'one wire' : 'signal'} round inside ${r.port.label}`;
    case 'inverter unsaid':
      return `nobody says whether ${r.port.label} has an inverter`;
    case 'processor unsaid':
      return 'nobody says which processor family the board has';
    case 'no inverter':
      return `${r.port.label} has no inverter${r.twoWay ? ' that works both ways' : ''} and this processor cannot turn a signal round`;
    case 'fixed inverter':
      return `${r.port.label} has a fixed inverter in the line`;
    case 'two-way inverter':
      return `${r.port.label} has an inverter that works both ways`;
    case 'one wire both ways':
      return `${r.port.label} runs both ways on its one wire`;
    case 'pad stands the signal':
      return {
        yes: `${r.pad.label} stands the ${r.volts} V signal`,
        no: `the part sends ${r.volts} V, more than ${r.pad.label} stands: a level shifter is needed`,
        unknown: `nobody says whether ${r.pad.label} stands a ${r.volts} V signal`,
      }[r.stands];
    case 'speaks the radio':
      return r.part === null
        ? `nobody says what it speaks; the radio speaks ${r.radio}`
        : `it speaks ${r.part}, the radio ${r.radio}${r.speaks === 'unknown' ? ': whether they meet is open' : ''}`;
    case 'input stands':
      return `the part puts up to ${r.volts} V on ${r.input}, which stands ${r.maxVolts} V: a divider is needed`;
    case 'light data low':
      return `it takes ${r.hearsFromVolts} V for high, ${r.output} sends ${r.volts} V`;
    case 'signal too low':
      return `the part takes ${r.volts} V for high, which a 3.3 V pad ${r.reaches === 'just' ? 'just reaches' : 'does not reach'}`;
    case 'soft serial refuses':
      return {
        control: 'soft serial never carries the control link',
        inverted: 'soft serial does not carry an inverted wire both ways',
        speed: `soft serial ends at ${softSerialMaxBaud} baud`,
      }[r.because];
    case 'soft serial is slow':
      return 'runs on soft serial: slow, and it costs the processor time';
    case 'pad held':
      return `${r.pad.label} is in use: ${r.by} has it`;
    case 'one pad twice':
      return 'two of its wires would share one pad';
    case 'two positions at once':
      return 'it would need a bridge in two positions at once';
    case 'pad not drawn':
      return undrawn;
    case 'rail not drawn':
      return 'a rail that is not drawn: nobody says whether there is one';
    case 'no pad of the rail drawn':
      return `${railWords(r.rail)}, of which no pad is drawn`;
    case 'inverted pad not drawn':
      return `${undrawn}: nobody says whether ${r.port.label} has one for inverted signals`;
    case 'board has none':
      return `the board has no ${r.what}`;
    case 'input taken by the ESC':
      return `the sensor of the ESC on the board is on ${r.input} already`;
    case 'address taken':
      return `${r.bus} already has ${r.by} at address 0x${r.address.toString(16)}`;
    case 'address unsaid':
      return `nobody says its address, and it is not alone on ${r.bus}`;
    case 'overlay chip':
      return r.there === 'no' ? 'the board has no overlay chip' : 'nobody says whether the board has an overlay chip';
    case 'motor wires':
      return motorWireWords(r.carry, r.able);
    case 'ESC sends telemetry':
      return r.sends === 'no'
        ? 'the ESC sends no telemetry: nothing would drive this line'
        : 'nobody says whether the ESC sends telemetry';
    case 'ESC reports current':
      return {
        yes: 'each ESC reports its current',
        no: 'the ESCs do not report their current',
        unknown: 'nobody says whether the ESCs report their current',
      }[r.reports];
    case 'outputs may drive the ESC':
      return 'nobody says whether the motor outputs on pads drive the ESC on the board';
    case 'too few outputs':
      return outputWords(r.there, r.othersHeld);
    case 'volts of a rail':
      return voltWords(r);
    case 'sag may be too deep':
      return `${railWords(r.rail)} ${r.volts > 0 ? `may fall to ${volts(r.volts)} V at full throttle, below the ${volts(r.minVolts)} V it needs` : 'may go out at full throttle'}: nobody says one cell's resistance, and a tired pack has much`;
    case 'volts hang on a range':
      return `${swingWords(r.swing)}, and it takes ${outputVolts(r.minVolts)} at least and ${outputVolts(r.maxVolts)} at most: that hangs on a figure that is only known as a range`;
    case 'volts unsaid':
      return `nobody says enough about the volts of ${railWords(r.rail)} or of the part`;
    case 'dead in flight':
      return `only USB feeds ${railWords(r.rail)}: it is dead in flight`;
    case 'too much on USB':
      return `${railWords(r.rail)} has up to ${volts(r.volts)} V when USB is plugged in, above the ${volts(r.maxVolts)} V it survives`;
    case "USB's low end":
      return `on USB at its low end ${railWords(r.rail)} has ${volts(r.volts)} V, and it wants ${volts(r.minVolts)} V: read the volts on your own desk`;
    case 'volts at the part':
      return `${r.mm} mm of ${r.gauge} AWG out and back lose ${volts(r.lostVolts)} V at peak: ${volts(r.arrives)} V arrive, it wants ${volts(r.minVolts)} V`;
    case 'alive on USB':
      if (r.alive === 'no' && r.volts === null) return `${railWords(r.rail)} is dead on USB alone`;
      return r.volts === null
        ? `nobody says whether ${railWords(r.rail)} is alive on USB alone`
        : `${railWords(r.rail)} carries ${volts(r.volts)} V on USB alone`;
    case 'plug pin too weak':
      return `${r.part} takes ${volts(r.amps)} A, and the ${r.plug} plug passes ${volts(r.pinAmps)} A`;
    case 'draw unsaid':
      return `nobody says what ${r.part} draws`;
    case 'rating unsaid':
      return `nobody says what ${railWords(r.rail)} is rated for`;
    case 'back-feeds':
      return `${r.tied === 'yes' ? `${railWords(r.rail)} ties USB and regulator together` : `nobody says whether ${railWords(r.rail)} keeps USB and regulator apart`}: unplug the pack before USB`;
    case 'policy':
      return {
        "the transmitter's output": "fed from the board, where the build prefers the transmitter's output",
        'quiet rail': 'on the raw pack: motor noise can show in the picture',
        'raw pack': 'on a regulator, where the build prefers the raw pack',
        'servo rail': 'servos belong on the servo rail, and nothing else does: their pulses disturb others',
        filter: 'an LC filter goes between the pad and the part',
      }[r.prefers];
    case 'fed by a part':
      return `${r.output} of ${r.host} gives ${outputVolts(r.volts)}${r.fit === 'no' ? `, outside what ${r.guest} takes` : ''}`;
    case 'host on USB':
      return {
        yes: `${r.host} is alive on USB and feeds it`,
        no: `${r.host} need not be alive on USB`,
        unknown: `nobody says whether ${r.host} is alive on USB`,
      }[r.alive];
    case 'output unsaid':
      return `nobody says what ${r.output} of ${r.host} may carry`;
    case 'dark with its host':
      return `fed through ${r.host}: it is dark when that is`;
  }
}

function motorWireWords(carry: 'revolutions' | 'current', able: Truth): string {
  if (able === 'unknown') return 'nobody says what runs on the motor wires';
  if (carry === 'revolutions') return `the motor wires report ${able === 'yes' ? 'back' : 'nothing back'}`;
  return `the motor wires are ${able === 'yes' ? '' : 'not '}digital`;
}

function outputWords(there: number, othersHeld: boolean): string {
  const some = there === 0 ? 'none' : `only ${there}`;
  if (!othersHeld) return `the board has ${some}`;
  return `${some} ${there > 1 ? 'are' : 'is'} free, the others drive the ESC on the board or share a timer with one that does`;
}

function voltWords({ swing, minVolts, maxVolts, fit }: Extract<Reason, { code: 'volts of a rail' }>): string {
  const pad = swingWords(swing, fit === 'below');
  if (fit === 'above') return `${pad}, above the ${volts(maxVolts)} V it survives`;
  if (fit === 'below') return `${pad}, below the ${volts(minVolts)} V it needs`;
  return `${pad}, inside ${volts(minVolts)} to ${volts(maxVolts)} V`;
}

/** `lowEnd`: it is the lower end that matters, so where that comes from is said. */
function swingWords({ rail, low, high }: SwingSaid, lowEnd = false): string {
  if (!Number.isFinite(high)) return `${railWords(rail)} has unknown volts`;
  if (low === high) return `${railWords(rail)} gives ${volts(high)} V`;
  const why = lowEnd && isPack(rail) ? ' V (empty, at full throttle)' : '';
  return `${railWords(rail)} swings ${volts(low)}${why} to ${volts(high)} V`;
}

function outputVolts({ low, high }: { low: number; high: number }): string {
  if (!Number.isFinite(low)) return 'unknown volts';
  return `${low === high ? low : `${low} to ${high}`} V`;
}

function volts(v: number): string {
  return Number.isFinite(v) ? String(Math.round(v * 100) / 100) : '?';
}
