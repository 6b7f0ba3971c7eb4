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
