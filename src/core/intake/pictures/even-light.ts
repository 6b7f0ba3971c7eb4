import type { Grey } from './grey';

/** Below this the ground is dark, and light letters stand on it. */
const darkGround = 100;

/**
 * Grey against the mean of its surroundings, so that a shade over the page or a patch of glare does not swallow letters; light letters on a dark ground come out dark on light.
 * The mean of any square costs four sums (summed-area table, Crow 1984).
 */
export function evenLight({ width, height, at }: Grey): Grey {
  const row = width + 1;
  const sums = new Float64Array(row * (height + 1));
  for (let y = 0; y < height; y++) {
    let along = 0;
    for (let x = 0; x < width; x++) {
      along += at[y * width + x]!;
      sums[(y + 1) * row + x + 1] = sums[y * row + x + 1]! + along;
    }
  }
  const reach = Math.max(12, Math.round(Math.max(width, height) / 50));
  const even = new Float32Array(at.length);
  for (let y = 0; y < height; y++) {
    const [top, bottom] = [Math.max(0, y - reach), Math.min(height, y + reach + 1)];
    for (let x = 0; x < width; x++) {
      const [left, right] = [Math.max(0, x - reach), Math.min(width, x + reach + 1)];
      const sum =
        sums[bottom * row + right]! - sums[top * row + right]! - sums[bottom * row + left]! + sums[top * row + left]!;
      const mean = sum / ((bottom - top) * (right - left));
      const here = at[y * width + x]!;
      const against = mean < darkGround ? 255 - (here - mean) * 1.6 : (here / mean) * 235;
      even[y * width + x] = Math.max(0, Math.min(255, against));
    }
  }
  return { width, height, at: even };
}
