/** International yard and pound agreement of 1959: exact. */
export const gramsPerOunce = (0.45359237 * 1000) / 16;
export const mmPerInch = 25.4;
