import type { Part } from '../records/build';
import type { Link, Mode, Supply } from '../records/peripheral';
import type { Way } from './way';

/** A need of a part, with all ways to meet it, workable or not. */
export interface LaidNeed {
  kind: 'link' | 'supply';
  /** Of the link or the supply. */
  id: string;
  link?: Link;
  supply?: Supply;
  ways: Way[];
}

export interface LaidMode {
  mode: Mode;
  needs: LaidNeed[];
}

export interface LaidPart {
  part: Part;
  modes: LaidMode[];
  /** What is fixed when the part is left out. */
  unmetTags?: Way['tags'];
}
