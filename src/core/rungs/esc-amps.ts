import { motorAmps } from '../circuit/packs';
import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { exactly, interval, isKnown, type NumberFigure } from '../quantity/figure';
import { all, atLeast, type Truth } from '../quantity/truth';
import { ground } from '../quantity/ground';
import { planGrounds } from '../figures/plan-figures';
import { comfort } from '../trade/comfort';
import { ratingShare } from '../trade/rating';
import { counted, marginOf, num, onlySpare, span, stateOf, stateWithin, type Finding } from './finding';

/** The figures of an ESC, on the board or the buyer's own. */
export type EscFigures = Pick<NonNullable<Board['esc']>, 'continuousAmps' | 'burstAmps' | 'burstSeconds' | 'channels'>;

/** An ESC against the motors: a channel each, amps for cruise and for full throttle. `fix`: what helps where its channels are too few. */
export function escAgainstMotors(build: Build, esc: EscFigures, whose: string, fix?: string): Finding[] {
  return [channels(build, esc, whose, fix), cruise(build, esc), peak(build, esc)];
}

function channels(build: Build, esc: EscFigures, whose: string, fix?: string): Finding {
  const figure = esc.channels;
  const truth = atLeast(interval(figure), exactly(build.motors.count));
  return {
    rung: 3,
    state: stateOf(truth),
    code: 'esc channels',
    about: 'ESC channels',
    sentence: `${counted(build.motors.count, 'motor')} ${build.motors.count === 1 ? 'needs a channel' : 'need a channel each'}; ${isKnown(figure) ? `${whose} has ${num(interval(figure).low, 0)}` : `nobody says how many ${whose} has`}.`,
    needed: counted(build.motors.count, 'channel'),
    given: counted(interval(figure).low, 'channel'),
    grounds: [ground('ESC channels', figure)],
    ...(truth === 'yes' || !fix ? {} : { fix }),
  };
}

function cruise(build: Build, esc: EscFigures): Finding {
  const figure = esc.continuousAmps;
  const amps = motorAmps(build).cruise;
  const share = ratingShare(figure, build.policies.ratedAmps);
  const rated = interval(figure);
  const usable = { low: rated.low * share, high: rated.high * share };
  const margin = marginOf(usable.low, amps);
  const truth = atLeast(usable, exactly(amps));
  const state = stateWithin(truth, margin, comfort.motors);
  const derated = share === 1 ? '' : ` (${span(rated.low, rated.high, 'A')} x ${num(share * 100, 0)} %)`;
  return {
    rung: 3,
    state,
    code: 'cruise current',
    about: 'Cruise current',
    sentence: isKnown(figure)
      ? `Each motor cruises at ${num(amps)} A; a channel carries ${span(usable.low, usable.high, 'A')}${derated} without end${onlySpare(state, margin)}.`
      : `Each motor cruises at ${num(amps)} A; nobody says what a channel carries.`,
    needed: `${num(amps)} A`,
    given: isKnown(figure) ? span(usable.low, usable.high, 'A') : 'unknown',
    ...(margin === undefined ? {} : { margin }),
    grounds: [...planGrounds(build, 'cruise amps', 'amps at volts'), ground('Continuous rating', figure, 'A')],
  };
}

/** Burst amps count only for their stated seconds; beyond, or by policy, the continuous rating must carry the peak. */
function peak(build: Build, { continuousAmps, burstAmps, burstSeconds }: EscFigures): Finding {
  const { peakSeconds } = build.motors;
  const peakAmps = motorAmps(build).peak;
  const byContinuous = atLeast(interval(continuousAmps), exactly(peakAmps));
  const byBurst: Truth =
    build.policies.burst === 'ignored'
      ? 'no'
      : all([atLeast(interval(burstAmps), exactly(peakAmps)), atLeast(interval(burstSeconds), exactly(peakSeconds))]);
  let truth: Truth;
  if (byContinuous === 'yes' || byBurst === 'yes') truth = 'yes';
  else if (byContinuous === 'no' && byBurst === 'no') truth = 'no';
  else truth = 'unknown';
  const useBurst = byContinuous !== 'yes' && build.policies.burst !== 'ignored';
  const given = interval(useBurst ? burstAmps : continuousAmps).low;
  const margin = marginOf(given, peakAmps);
  const state = stateWithin(truth, margin, comfort.motors);
  const said = (f: typeof burstAmps, unit: string, digits = 1) =>
    isKnown(f) ? span(interval(f).low, interval(f).high, unit, digits) : `an unknown number of ${unit}`;
  const words = useBurst
    ? `${said(burstAmps, 'A')} for ${said(burstSeconds, 's', 0)}`
    : `${said(continuousAmps, 'A')} without end`;
  const ignored =
    build.policies.burst === 'ignored' && byContinuous !== 'yes' ? ' Burst ratings are ignored by policy.' : '';
  return {
    rung: 3,
    state,
    code: 'full throttle',
    about: 'Full throttle',
    sentence: `Full throttle draws ${num(peakAmps)} A a motor for up to ${num(peakSeconds, 0)} s; a channel gives ${words}${onlySpare(state, margin)}.${ignored}`,
    needed: `${num(peakAmps)} A for ${num(peakSeconds, 0)} s`,
    given: words,
    ...(margin === undefined ? {} : { margin }),
    grounds: [
      ...planGrounds(build, 'peak amps', 'peak seconds', 'amps at volts'),
      ground('Continuous rating', continuousAmps, 'A'),
      ground('Burst rating', burstAmps, 'A'),
      ground('Burst time', burstSeconds, 's'),
    ],
  };
}

/** Corner and motor pads may carry less than the transistors behind them. */
export function padLimit(build: Build, figure: NumberFigure | undefined): Finding[] {
  if (!figure) return [];
  const truth = atLeast(interval(figure), exactly(motorAmps(build).peak));
  const margin = marginOf(interval(figure).low, motorAmps(build).peak);
  const state = stateWithin(truth, margin, comfort.motors);
  return [
    {
      rung: 3,
      state,
      code: 'motor pads',
      about: 'Motor pads',
      sentence: `Full throttle puts ${num(motorAmps(build).peak)} A through each motor pad; ${isKnown(figure) ? `the pads carry ${span(interval(figure).low, interval(figure).high, 'A')}${onlySpare(state, margin)}` : 'nobody says what the pads carry'}.`,
      needed: `${num(motorAmps(build).peak)} A`,
      given: isKnown(figure) ? `${num(interval(figure).low)} A` : 'unknown',
      ...(margin === undefined ? {} : { margin }),
      grounds: [...planGrounds(build, 'peak amps', 'amps at volts'), ground('Motor pads carry', figure, 'A')],
    },
  ];
}
