import { motorAmps } from '../circuit/packs';
import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { exactly, interval, isKnown, type NumberFigure } from '../quantity/figure';
import { all, atLeast, type Truth } from '../quantity/truth';
import { ground } from '../quantity/ground';
import { planGrounds } from '../figures/plan-figures';
import { comfort } from '../trade/comfort';
import { ratingShare } from '../trade/rating';
import { counted, num, span } from '../quantity/spelled';
import type { Advice } from './says/advice';
import { marginOf, stateOf, stateWithin, type Finding } from './finding';

/** The figures of an ESC, on the board or the buyer's own. */
export type EscFigures = Pick<NonNullable<Board['esc']>, 'continuousAmps' | 'burstAmps' | 'burstSeconds' | 'channels'>;

/** An ESC against the motors: a channel each, amps for cruise and for full throttle. `fix`: what helps where its channels are too few. */
export function escAgainstMotors(build: Build, esc: EscFigures, whose: string, fix?: Advice): Finding[] {
  return [channels(build, esc, whose, fix), cruise(build, esc), peak(build, esc)];
}

function channels(build: Build, esc: EscFigures, whose: string, fix?: Advice): Finding {
  const figure = esc.channels;
  const truth = atLeast(interval(figure), exactly(build.motors.count));
  return {
    rung: 3,
    state: stateOf(truth),
    code: 'esc channels',
    about: 'ESC channels',
    says: {
      code: 'ESC channels',
      motors: build.motors.count,
      whose,
      channels: isKnown(figure) ? interval(figure).low : null,
    },
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
  return {
    rung: 3,
    state,
    code: 'cruise current',
    about: 'Cruise current',
    says: {
      code: 'cruise',
      amps,
      carries: isKnown(figure) ? usable : null,
      derated: share === 1 ? null : { rated, share },
      margin,
    },
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
  const said = (f: NumberFigure) => (isKnown(f) ? interval(f) : null);
  const gives = said(useBurst ? burstAmps : continuousAmps);
  const forSeconds = useBurst ? said(burstSeconds) : undefined;
  return {
    rung: 3,
    state,
    code: 'full throttle',
    about: 'Full throttle',
    says: {
      code: 'full throttle',
      amps: peakAmps,
      seconds: peakSeconds,
      gives,
      forSeconds,
      burstIgnored: build.policies.burst === 'ignored' && byContinuous !== 'yes',
      margin,
    },
    needed: `${num(peakAmps)} A for ${num(peakSeconds, 0)} s`,
    given: `${gives ? span(gives.low, gives.high, 'A') : 'unknown'}${forSeconds ? ` for ${span(forSeconds.low, forSeconds.high, 's', 0)}` : ''}`,
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
      says: {
        code: 'motor pads',
        amps: motorAmps(build).peak,
        carry: isKnown(figure) ? interval(figure) : null,
        margin,
      },
      needed: `${num(motorAmps(build).peak)} A`,
      given: isKnown(figure) ? `${num(interval(figure).low)} A` : 'unknown',
      ...(margin === undefined ? {} : { margin }),
      grounds: [...planGrounds(build, 'peak amps', 'amps at volts'), ground('Motor pads carry', figure, 'A')],
    },
  ];
}
