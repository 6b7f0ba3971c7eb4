/** Patterns nearer than this are the same pattern, in millimetres. */
export const samePatternMm = 0.2;

/** 25 and 25.5 mm mate with soft isolators. Common practice of the trade, no source. */
export const isolatorsBridgeMm = 0.5;

/** A hole pattern as people write it: "30.5 mm" where it is square, "30.5 x 20 mm" along and across. */
export function patternWords({ alongMm, acrossMm }: { alongMm: number; acrossMm?: number | undefined }): string {
  return acrossMm === undefined || acrossMm === alongMm ? `${alongMm} mm` : `${alongMm} x ${acrossMm} mm`;
}

/** Clearance holes, ISO 273, values from memory: fine, medium and coarse series in millimetres. */
export const clearanceHoleMm = {
  M2: { fine: 2.2, medium: 2.4, coarse: 2.6 },
  M3: { fine: 3.2, medium: 3.4, coarse: 3.6 },
} as const;

/** Air between two boards of a stack, where the frame's own standoffs are lower: our own choice, no source. */
export const betweenBoardsMm = 2;
