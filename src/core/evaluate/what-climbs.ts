import type { Build } from '../records/build';
import { whatWires } from './what-wires';

/** The fields of a build that a climb depends on; `memory.test.ts` holds that there are no others. */
export function whatClimbs(build: Build): unknown[] {
  const { bareMassG, atHome, imports, currency, rates, limits, comforts } = build;
  return [...whatWires(build), bareMassG, atHome, imports, currency, rates, limits, comforts];
}
