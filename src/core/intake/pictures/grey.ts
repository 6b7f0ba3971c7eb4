/** A picture in grey, row by row, 0 black to 255 white. */
export interface Grey {
  width: number;
  height: number;
  at: Float32Array;
}

/** Of red, green, blue and alpha, as a canvas gives them; weights of ITU-R BT.601. */
export function greyOf(rgba: Uint8ClampedArray, width: number, height: number): Grey {
  const at = new Float32Array(width * height);
  for (let i = 0; i < at.length; i++)
    at[i] = 0.299 * rgba[4 * i]! + 0.587 * rgba[4 * i + 1]! + 0.114 * rgba[4 * i + 2]!;
  return { width, height, at };
}
