/** Margins below these hold, but are shown as strained. Common practice of the trade, no source. */
export const comfort = {
  /** Millimetres of air round the outline and above the stack. */
  airMm: 1,
  /** Share between the full pack and a part's absolute limit. */
  packVolts: 0.05,
  /** Share of the derated amps that stays free. */
  load: 0.1,
  /** Share of the motors' current that stays free in the ESC. */
  motors: 0.1,
  /** Share of the take-off limit and of the budget. */
  weight: 0.03,
  cost: 0,
} as const;

/** Common practice of the trade, no source: more addressable lights than this in one chain flicker and overload the processor's timing. */
export const mostLightsInChain = 32;

/** Amps of one addressable light of three dies at full white: 3 x 20 mA, data sheets of the common part, from memory. */
export const ampsPerLight = 0.06;

/**
 * The smallest margin of a hookup counts in these steps of per cent; a load that goes into the reserve between the derated and the printed limit counts
 * as the lowest. Finer differences would decide between hookups that no buyer tells apart, and are the dearest to prove. Our own choice, no source.
 */
export const marginSteps = [-5, 0, 5, 10, 15, 20, 25, 30] as const;

/** The step that so many per cent reach. */
export function marginStep(percent: number): number {
  return marginSteps.findLast((s) => s <= percent) ?? marginSteps[0];
}

export const marginCapPercent = marginSteps[marginSteps.length - 1]!;
