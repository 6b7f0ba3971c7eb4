import type { Build } from '../records/build';
import { interval, isKnown } from '../quantity/figure';
import { ampsPerLight, mostLightsInChain } from '../trade/comfort';
import { num } from '../quantity/spelled';
import { type Finding } from './finding';

/** Chains of lights: how many chips one data wire drives, and whether the stated current can be true at full white. */
export function checkLights(build: Build): Finding[] {
  return build.parts.flatMap(({ peripheral }) => {
    const { lights, name } = peripheral;
    if (lights === undefined) return [];
    const findings: Finding[] = [];
    if (lights > mostLightsInChain) {
      findings.push({
        rung: 5,
        state: 'strained',
        code: 'long chain',
        about: name,
        says: { code: 'long chain', part: name, lights, most: mostLightsInChain },
        needed: `${lights}`,
        given: `${mostLightsInChain}`,
        grounds: [],
      });
    }
    const supply = peripheral.modes[0]!.supplies.find((s) => s.atVolts <= 6);
    const white = lights * ampsPerLight;
    // Strips of high power stand on the pack with drivers of their own.
    if (supply && isKnown(supply.peakAmps) && interval(supply.peakAmps).high < 0.9 * white) {
      findings.push({
        rung: 7,
        state: 'strained',
        code: 'light draw',
        about: name,
        says: {
          code: 'lights at full white',
          part: name,
          lights,
          whiteAmps: white,
          statedAmps: interval(supply.peakAmps).high,
        },
        needed: `${num(white, 2)} A`,
        given: `${num(interval(supply.peakAmps).high, 2)} A`,
        grounds: [],
      });
    }
    return findings;
  });
}
