import { motorAmps } from '../circuit/packs';
import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { exactly, interval, isKnown } from '../quantity/figure';
import { atLeast, type Truth } from '../quantity/truth';
import { ground } from '../quantity/ground';
import { num, span, stateOf, type Finding } from './finding';

type Sensor = NonNullable<Board['currentSensor']>;

/** Whether the board can tell what the motors draw: the range of its sensor, and whether the current passes it at all. */
export function checkSensing(build: Build, board: Board): Finding[] {
  if (!board.currentSensor) return [];
  const separate = build.motors.esc === 'separate';
  if (build.policies.currentSensing === 'none')
    return separate ? [lost('By policy the pack goes straight to the ESC: the board senses no current.')] : [];
  if (!currentIsSensed(build, board))
    return [
      {
        ...lost('The current sensor of this stack is on its own ESC: what separate ESCs draw does not pass it.'),
        fix: 'An external current sensor, where the board has a current input.',
      },
    ];
  return [
    ...(separate && board.kind === 'all-in-one' ? [shunt(build, board.currentSensor)] : []),
    range(build, board.currentSensor),
  ];
}

/** Does what the motors draw pass the board's sensor? A stack's is on its ESC board (common practice, no source). */
export function currentIsSensed(build: Build, board: Board): boolean {
  if (!board.currentSensor || build.policies.currentSensing === 'none') return false;
  return build.motors.esc === 'on the board' || board.kind !== 'stack' || !board.esc;
}

function lost(sentence: string): Finding {
  return { rung: 3, state: 'strained', code: 'current sensing', about: 'Current sensing', sentence, grounds: [] };
}

/** An all-in-one's own shunt senses a separate ESC only if the ESC's current runs through it, within what trace and pads carry. */
function shunt(build: Build, sensor: Sensor): Finding {
  const total = build.motors.count * motorAmps(build).peak;
  const through = sensor.throughAmps;
  const truth: Truth = through ? atLeast(interval(through), exactly(total)) : 'unknown';
  const heat =
    sensor.shuntMilliohm && isKnown(sensor.shuntMilliohm)
      ? (interval(sensor.shuntMilliohm).high / 1000) * total ** 2
      : null;
  const says =
    through && isKnown(through)
      ? `trace and pads carry ${span(interval(through).low, interval(through).high, 'A', 0)}`
      : 'nobody says what trace and pads carry';
  let state: 'unknown' | 'holds' | 'strained';
  if (truth === 'yes') state = 'holds';
  else if (truth === 'no') state = 'strained';
  else state = 'unknown';
  return {
    rung: 3,
    state,
    code: 'current sensing',
    about: 'Current sensing',
    sentence: `To be sensed, ${num(total, 0)} A must run through the board's shunt and back on an equal ground wire; ${says}${truth === 'no' ? ', so go straight to the ESC and lose sensing' : ''}${heat === null ? '' : `; the shunt burns ${num(heat)} W at that`}.`,
    needed: `${num(total, 0)} A`,
    given: through && isKnown(through) ? `${num(interval(through).low, 0)} A` : 'unknown',
    grounds: through ? [ground('Through the shunt', through, 'A')] : [],
  };
}

/** A sensor that ends below the full draw still flies, but under-reads. */
function range(build: Build, sensor: Sensor): Finding {
  const figure = sensor.fullScaleAmps;
  const total = build.motors.count * motorAmps(build).peak;
  const truth = atLeast(interval(figure), exactly(total));
  return {
    rung: 3,
    state: truth === 'no' ? 'strained' : stateOf(truth),
    code: 'current sensor',
    about: 'Current sensor',
    sentence: `All motors together peak at ${num(total, 0)} A; ${isKnown(figure) ? `the sensor reads up to ${span(interval(figure).low, interval(figure).high, 'A', 0)}${truth === 'no' ? ', so it under-reads at full throttle' : ''}` : 'nobody says how far the sensor reads'}.`,
    needed: `${num(total, 0)} A`,
    given: `${num(interval(figure).low, 0)} A`,
    grounds: [ground('Sensor full scale', figure, 'A')],
  };
}
