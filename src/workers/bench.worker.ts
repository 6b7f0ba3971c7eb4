import {
  benchOf,
  firstPower,
  flightTime,
  overThrottle,
  probesWith,
  punchOut,
  roundsFor,
  whatReadingSays,
  type Board,
  type Build,
  type Charge,
  type Climb,
  type Entry,
  type Plugging,
} from '../core';
import { answerWith } from './answered';

export type BenchQuestion =
  | { about: 'first power'; plugging: Plugging }
  | { about: 'throttle'; charge: Charge }
  | { about: 'probes'; fault: string }
  | { about: 'rounds' }
  | { about: 'reading'; entry: Entry };

export interface BenchAnswers {
  'first power': ReturnType<typeof firstPower>;
  throttle: {
    points: ReturnType<typeof overThrottle>;
    punch: ReturnType<typeof punchOut>;
    flight: ReturnType<typeof flightTime>;
  };
  probes: { healthy: ReturnType<typeof probesWith>; now: ReturnType<typeof probesWith> };
  rounds: ReturnType<typeof roundsFor>;
  /** None, or one. */
  reading: NonNullable<ReturnType<typeof whatReadingSays>>[];
}

export interface ToBench {
  build: Build;
  board: Board;
  climb: Climb;
  question: BenchQuestion;
}

/** Runs and solves circuits, which takes a second at times. */
onmessage = ({ data: { build, board, climb, question } }: MessageEvent<ToBench>) =>
  answerWith<BenchAnswers[BenchQuestion['about']]>(() => {
    const bench = benchOf(build, board, climb);
    switch (question.about) {
      case 'first power':
        return firstPower(bench, question.plugging);
      case 'throttle':
        return {
          points: overThrottle(bench, question.charge),
          punch: punchOut(bench, question.charge),
          flight: flightTime(bench),
        };
      case 'probes':
        return { healthy: probesWith(bench, 'healthy'), now: probesWith(bench, question.fault) };
      case 'rounds':
        return roundsFor(bench);
      case 'reading':
        return [whatReadingSays(bench, question.entry) ?? []].flat();
    }
  });
