import type { Contradiction } from '../simulate/audit';
import { type Finding } from './finding';

/** Where the solved circuit contradicts what the rungs let through, nobody is told that it fits: an error of ours, said as one. */
export function circuitFindings(contradictions: readonly Contradiction[]): Finding[] {
  return contradictions.map((c) => ({
    rung: c.code === 'too few volts' || c.code === 'too many volts' ? 6 : 7,
    state: 'unknown',
    code: 'circuit disagrees',
    about: c.about,
    says: { code: 'circuit disagrees', how: c.code, scene: c.scene, about: c.about, found: c.found, stands: c.stands },
    grounds: [],
  }));
}
