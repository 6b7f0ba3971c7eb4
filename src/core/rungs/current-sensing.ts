import { motorAmps } from '../circuit/packs';
import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { exactly, interval, isKnown } from '../quantity/figure';
import { atLeast, type Truth } from '../quantity/truth';
import { ground } from '../quantity/ground';
import { num } from '../quantity/spelled';
import { stateOf, type Finding } from './finding';

type Sensor = NonNullable<Board['currentSensor']>;

/** Whether the board can tell what the motors draw: the range of its sensor, and whether the current passes it at all. */
export function checkSensing(build: Build, board: Board): Finding[] {
  if (!board.currentSensor) return [];
  const separate = build.motors.esc === 'separate';
  if (build.policies.currentSensing === 'none') return separate ? [lost({ code: 'no sensing by policy' })] : [];
  if (!currentIsSensed(build, board))
    return [
      {
        ...lost({ code: "sensor on the stack's ESC" }),
        fix: { code: 'external current sensor' },
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

function lost(says: Finding['says']): Finding {
  return { rung: 3, state: 'strained', code: 'current sensing', about: 'Current sensing', says, grounds: [] };
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
  const carries = through && isKnown(through) ? interval(through) : null;
  let state: 'unknown' | 'holds' | 'strained';
  if (truth === 'yes') state = 'holds';
  else if (truth === 'no') state = 'strained';
  else state = 'unknown';
  return {
    rung: 3,
    state,
    code: 'current sensing',
    about: 'Current sensing',
    says: { code: 'through the shunt', amps: total, carries, enough: truth, watts: heat },
    needed: `${num(total, 0)} A`,
    given: carries ? `${num(carries.low, 0)} A` : 'unknown',
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
    says: {
      code: 'range of the sensor',
      amps: total,
      reads: isKnown(figure) ? interval(figure) : null,
      enough: truth,
    },
    needed: `${num(total, 0)} A`,
    given: `${num(interval(figure).low, 0)} A`,
    grounds: [ground('Sensor full scale', figure, 'A')],
  };
}
