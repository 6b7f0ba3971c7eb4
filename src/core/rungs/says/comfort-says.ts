import type { Truth } from '../../quantity/truth';

/** What rung 10 says. */
export type ComfortSays =
  | { code: 'no wishes' }
  | { code: 'on board'; what: 'barometer' | 'compass'; there: Truth }
  | { code: 'storage'; givenMb: number; wantedMb: number; enough: Truth }
  | { code: 'gyro'; quiet: Truth; mountedSoft: boolean }
  | { code: 'spare ports'; free: number; wanted: number }
  | { code: 'plugs'; count: number }
  | { code: 'underside'; labels: string[] }
  | { code: 'button'; reached: Truth }
  | { code: 'pack leads first'; able: Truth }
  | { code: 'firmware ended' }
  | { code: 'old processor'; family: string }
  | { code: 'many serial links'; links: number; family: string };
