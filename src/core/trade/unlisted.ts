/**
 * What things that a build needs and nobody listed weigh and cost, each, from the least to the most: grams and hundredths of a currency unit. Common practice of the trade, no source.
 */
export const unlistedUsually = {
  esc: { grams: [2, 10], cents: [600, 2500] },
  'servo supply': { grams: [2, 20], cents: [400, 2000] },
  'control aerial': { grams: [0.3, 4], cents: [100, 1000] },
  'video aerial': { grams: [0.5, 12], cents: [200, 2500] },
} as const;
export type UnlistedKind = keyof typeof unlistedUsually;
