import type { Board } from '../model/board';
import type { Build } from '../model/build';
import { interval, isKnown } from '../model/figure';
import { all, atLeast, type Truth } from '../model/truth';
import { ground } from '../hookup/ground';
import { comfort } from '../trade/comfort';
import { ratingShare } from '../trade/rating';
import { marginOf, num, stateOf, stateWithin, type Finding } from './finding';

const exactly = (n: number) => ({ low: n, high: n });

/** Rung 3: enough ESC channels or motor outputs, and amps for cruise and for full throttle. */
export function checkMotors(build: Build, board: Board): Finding[] {
  const { motors } = build;
  if (motors.count === 0) return [{ rung: 3, state: 'holds', about: 'Motors', sentence: 'The build has no motors on the board.', grounds: [] }];
  if (motors.esc === 'separate') return [outputs(build, board), ...sensor(build, board)];
  if (!board.esc) {
    return [
      {
        rung: 3,
        state: 'breaks',
        about: 'ESC channels',
        sentence: `The build counts on ESCs on the board for ${motors.count} motors; this board has none.`,
        needed: `${motors.count} channels`,
        given: 'none',
        grounds: [],
        fix: 'A separate four-in-one ESC under the board: set the build to separate ESCs and add its price and mass.',
      },
    ];
  }
  return [channels(build, board), cruise(build, board), peak(build, board), ...sensor(build, board)];
}

function outputs(build: Build, board: Board): Finding {
  const there = board.outputs.filter((o) => o.can.includes('motor')).length;
  const { count } = build.motors;
  return {
    rung: 3,
    state: there >= count ? 'holds' : 'breaks',
    about: 'Motor outputs',
    sentence: `${count} separate ESCs need a motor output each; the board has ${there}.`,
    needed: `${count} outputs`,
    given: `${there} outputs`,
    grounds: [],
  };
}

function channels(build: Build, board: Board): Finding {
  const figure = board.esc!.channels;
  const truth = atLeast(interval(figure), exactly(build.motors.count));
  return {
    rung: 3,
    state: stateOf(truth),
    about: 'ESC channels',
    sentence: `${build.motors.count} motors need a channel each; the board has ${num(interval(figure).low, 0)}.`,
    needed: `${build.motors.count} channels`,
    given: `${num(interval(figure).low, 0)} channels`,
    grounds: [ground('ESC channels', figure)],
  };
}

function cruise(build: Build, board: Board): Finding {
  const figure = board.esc!.continuousAmps;
  const share = ratingShare(figure, build.policies.ratedAmps);
  const rated = interval(figure);
  const usable = { low: rated.low * share, high: rated.high * share };
  const margin = marginOf(usable.low, build.motors.cruiseAmps);
  const truth = atLeast(usable, exactly(build.motors.cruiseAmps));
  const derated = share === 1 ? '' : ` (${num(rated.low)} A x ${num(share * 100, 0)} %)`;
  return {
    rung: 3,
    state: stateWithin(truth, margin, comfort.motors),
    about: 'Cruise current',
    sentence: isKnown(figure)
      ? `Each motor cruises at ${num(build.motors.cruiseAmps)} A; a channel carries ${num(usable.low)} A${derated} without end.`
      : `Each motor cruises at ${num(build.motors.cruiseAmps)} A; nobody says what a channel carries.`,
    needed: `${num(build.motors.cruiseAmps)} A`,
    given: isKnown(figure) ? `${num(usable.low)} A` : 'unknown',
    ...(margin === undefined ? {} : { margin }),
    grounds: [ground('Continuous rating', figure, 'A')],
  };
}

/** Burst amps count only for their stated seconds; beyond, or by policy, the continuous rating must carry the peak. */
function peak(build: Build, board: Board): Finding {
  const { continuousAmps, burstAmps, burstSeconds } = board.esc!;
  const { peakAmps, peakSeconds } = build.motors;
  const byContinuous = atLeast(interval(continuousAmps), exactly(peakAmps));
  const byBurst: Truth =
    build.policies.burst === 'ignored' ? 'no' : all([atLeast(interval(burstAmps), exactly(peakAmps)), atLeast(interval(burstSeconds), exactly(peakSeconds))]);
  const truth: Truth = byContinuous === 'yes' || byBurst === 'yes' ? 'yes' : byContinuous === 'no' && byBurst === 'no' ? 'no' : 'unknown';
  const useBurst = byContinuous !== 'yes' && build.policies.burst !== 'ignored';
  const given = interval(useBurst ? burstAmps : continuousAmps).low;
  const margin = marginOf(given, peakAmps);
  const burstWords = `${num(interval(burstAmps).low)} A for ${num(interval(burstSeconds).low, 0)} s`;
  const words = useBurst ? burstWords : `${num(given)} A without end`;
  const ignored = build.policies.burst === 'ignored' && byContinuous !== 'yes' ? ' Burst ratings are ignored by policy.' : '';
  return {
    rung: 3,
    state: stateWithin(truth, margin, comfort.motors),
    about: 'Full throttle',
    sentence: `Full throttle draws ${num(peakAmps)} A a motor for up to ${num(peakSeconds, 0)} s; a channel gives ${words}.${ignored}`,
    needed: `${num(peakAmps)} A for ${num(peakSeconds, 0)} s`,
    given: words,
    ...(margin === undefined ? {} : { margin }),
    grounds: [ground('Continuous rating', continuousAmps, 'A'), ground('Burst rating', burstAmps, 'A'), ground('Burst time', burstSeconds, 's')],
  };
}

/** A sensor that ends below the full draw still flies, but under-reads. */
function sensor(build: Build, board: Board): Finding[] {
  if (!board.currentSensor || build.policies.currentSensing === 'none') return [];
  const figure = board.currentSensor.fullScaleAmps;
  const total = build.motors.count * build.motors.peakAmps;
  const truth = atLeast(interval(figure), exactly(total));
  return [
    {
      rung: 3,
      state: truth === 'no' ? 'strained' : stateOf(truth),
      about: 'Current sensor',
      sentence: `All motors together peak at ${num(total, 0)} A; ${isKnown(figure) ? `the sensor reads up to ${num(interval(figure).low, 0)} A${truth === 'no' ? ', so it under-reads at full throttle' : ''}` : 'nobody says how far the sensor reads'}.`,
      needed: `${num(total, 0)} A`,
      given: `${num(interval(figure).low, 0)} A`,
      grounds: [ground('Sensor full scale', figure, 'A')],
    },
  ];
}
