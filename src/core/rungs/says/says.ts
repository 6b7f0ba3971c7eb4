import type { ClimbSays } from './climb-says';
import type { ComfortSays } from './comfort-says';
import type { DoubtSays } from './doubt-says';
import type { FrameSays } from './frame-says';
import type { LimitSays } from './limit-says';
import type { LoadSays } from './load-says';
import type { MotorSays } from './motor-says';
import type { PackSays } from './pack-says';
import type { SetSays } from './set-says';
import type { UnmetSays } from './unmet-says';
import type { WiredSays } from './wired-says';

/** All that a finding can say: a code with its figures. Code decides by these; `words/finding` turns them into English for people. */
export type Says =
  | FrameSays
  | PackSays
  | MotorSays
  | SetSays
  | WiredSays
  | UnmetSays
  | LoadSays
  | DoubtSays
  | LimitSays
  | ComfortSays
  | ClimbSays;
