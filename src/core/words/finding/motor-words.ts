import { counted, list, num, span } from '../../quantity/spelled';
import type { MotorSays } from '../../rungs/says/motor-says';
import { airCelsius, sleeveMostCelsius } from '../../trade/wire';
import { undrawn } from '../reason-words';
import { onlySpare, type WordsOf } from './words-of';

export const motorWords: WordsOf<MotorSays> = {
  'no motors': () => 'The build has no motors on the board.',
  'no ESC on the board': ({ motors }) =>
    `The build counts on ESCs on the board for ${counted(motors, 'motor')}; this board has none.`,
  'ESC channels': ({ motors, whose, channels }) =>
    `${counted(motors, 'motor')} ${motors === 1 ? 'needs a channel' : 'need a channel each'}; ${channels === null ? `nobody says how many ${whose} has` : `${whose} has ${num(channels, 0)}`}.`,
  cruise: ({ amps, carries, derated, margin }, state) => {
    if (!carries) return `Each motor cruises at ${num(amps)} A; nobody says what a channel carries.`;
    const share = derated
      ? ` (${span(derated.rated.low, derated.rated.high, 'A')} x ${num(derated.share * 100, 0)} %)`
      : '';
    return `Each motor cruises at ${num(amps)} A; a channel carries ${span(carries.low, carries.high, 'A')}${share} without end${onlySpare(state, margin)}.`;
  },
  'full throttle': ({ amps, seconds, gives, forSeconds, burstIgnored, margin }, state) =>
    `Full throttle draws ${num(amps)} A a motor for up to ${num(seconds, 0)} s; a channel gives ${channelGives(gives, forSeconds)}${onlySpare(state, margin)}.${burstIgnored ? ' Burst ratings are ignored by policy.' : ''}`,
  'motor pads': ({ amps, carry, margin }, state) =>
    `Full throttle puts ${num(amps)} A through each motor pad; ${carry ? `the pads carry ${span(carry.low, carry.high, 'A')}${onlySpare(state, margin)}` : 'nobody says what the pads carry'}.`,
  'ESC on the board idle': () =>
    'The build counts on separate ESCs: the one on the board is paid for and carried for nothing.',
  'outputs for separate ESCs': ({ escs, there, drawn }) =>
    `${escs === 1 ? 'The separate ESC needs a motor output' : `${escs} separate ESCs need a motor output each`}; ${drawn === 'unknown' ? `${there} are drawn, and ${undrawn}` : `the board has ${there}`}.`,
  'ESC not named': ({ motors }) =>
    `${motors === 1 ? 'The motor needs an ESC' : `The ${motors} motors need ESCs`}, and the build names none: whether they carry the motors is open.`,
  'volts of the ESC': ({ cells, fullVolts, esc, standsVolts, standsCells }, state) => {
    const takes =
      standsCells === null
        ? `${num(standsVolts, 2)} V`
        : `${counted(standsCells, 'cell')}, ${num(standsVolts, 2)} V full`;
    const open = state === 'unknown' ? ': whether it takes cells of a higher voltage, nobody says' : '';
    return `${counted(cells, 'cell')} reach ${num(fullVolts, 2)} V when full; ${Number.isFinite(standsVolts) ? `${esc} takes ${takes}${open}` : `nobody says how many volts or cells ${esc} takes`}.`;
  },
  'no plug for an ESC': () => 'The board has no plug for a four-in-one ESC: its wires are soldered one by one.',
  'pin orders alike': () => 'Both ends of the ESC harness have the same pin order.',
  'pin orders differ': ({ pins, meet, burns }) =>
    `The pin orders differ at ${counted(pins, 'pin')}. Plugged straight, ${list(meet.map((m) => `${m.board} would meet ${m.esc}`))}${burns ? ': that burns a board' : ''}. Re-pin the plug first; the build sheet has the table.`,
  'plugs of two families': ({ esc, board }) =>
    `The plug of the ESC is ${esc}, that of the board ${board}: they do not go into each other, so make a cable with one of each.`,
  'no sensing by policy': () => 'By policy the pack goes straight to the ESC: the board senses no current.',
  "sensor on the stack's ESC": () =>
    'The current sensor of this stack is on its own ESC: what separate ESCs draw does not pass it.',
  'through the shunt': ({ amps, carries, enough, watts }) => {
    const says = carries
      ? `trace and pads carry ${span(carries.low, carries.high, 'A', 0)}`
      : 'nobody says what trace and pads carry';
    return `To be sensed, ${num(amps, 0)} A must run through the board's shunt and back on an equal ground wire; ${says}${enough === 'no' ? ', so go straight to the ESC and lose sensing' : ''}${watts === null ? '' : `; the shunt burns ${num(watts)} W at that`}.`;
  },
  'range of the sensor': ({ amps, reads, enough }) =>
    `All motors together peak at ${num(amps, 0)} A; ${reads ? `the sensor reads up to ${span(reads.low, reads.high, 'A', 0)}${enough === 'no' ? ', so it under-reads at full throttle' : ''}` : 'nobody says how far the sensor reads'}.`,
  capacitor: ({ packVolts, microfarads, ratedVolts, usualVolts, asksMicrofarads }) =>
    `The pack reaches ${num(packVolts, 1)} V; the capacitor of ${num(microfarads, 0)} uF is rated ${num(ratedVolts, 0)} V${ratedVolts >= usualVolts ? '' : `, ${usualVolts} V is usual on this pack`}${asksMicrofarads === null ? '' : `; the ESC's maker asks for ${num(asksMicrofarads, 0)} uF or more`}.`,
  'pack leads': ({ gauge, carriesAmps, cruiseAmps, peakAmps, mm, lostVolts, celsius }, state) =>
    `The leads are ${gauge} AWG: good for ${num(carriesAmps, 0)} A steady by the usual table; the motors cruise at ${num(cruiseAmps, 0)} A and peak at ${num(peakAmps, 0)} A, when ${num(mm, 0)} mm out and back lose ${num(lostVolts, 2)} V.${celsius === null ? '' : heatOf(celsius, state === 'breaks')}`,
  'pack plug': ({ plug, amps, momentAmps, cruiseAmps, peakAmps }) =>
    `The pack's ${plug} plug carries ${num(amps, 0)} A for long; the motors cruise at ${num(cruiseAmps, 0)} A and peak at ${num(peakAmps, 0)} A${peakAmps > momentAmps ? `, more than the ${num(momentAmps, 0)} A that it carries for moments` : ''}.`,
  'pack amps': ({ gives, cruiseAmps, peakAmps }, state) =>
    `The pack gives ${num(gives, 0)} A without end; the motors cruise at ${num(cruiseAmps, 0)} A and peak at ${num(peakAmps, 0)} A${state === 'strained' ? ': for moments more than it gives for long' : ''}.`,
};

type Throttle = Extract<MotorSays, { code: 'full throttle' }>;

/** Amps of a channel, and for how long. */
function channelGives(gives: Throttle['gives'], forSeconds: Throttle['forSeconds']): string {
  const said = (f: Throttle['gives'], unit: string, digits = 1) =>
    f ? span(f.low, f.high, unit, digits) : `an unknown number of ${unit}`;
  return forSeconds === undefined
    ? `${said(gives, 'A')} without end`
    : `${said(gives, 'A')} for ${said(forSeconds, 's', 0)}`;
}

function heatOf(celsius: number, tooHot: boolean): string {
  const hot = Number.isFinite(celsius) ? `settle near ${num(celsius, 0)} C` : 'never stop getting hotter';
  return ` Cruising they ${hot} in air of ${airCelsius} C${tooHot ? `, more than the ${sleeveMostCelsius} C that silicone stands` : ''}.`;
}
