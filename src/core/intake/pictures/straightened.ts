import type { Corner, Corners } from './sheet';

const length = ([ax, ay]: Corner, [bx, by]: Corner) => Math.hypot(bx - ax, by - ay);

/** The size of a sheet that is seen at a slant: its longer edges. */
export function sizeOfSheet([lt, rt, rb, lb]: Corners): { width: number; height: number } {
  return {
    width: Math.round(Math.max(length(lt, rt), length(lb, rb))),
    height: Math.round(Math.max(length(lt, lb), length(rt, rb))),
  };
}

/** From a place on the straight sheet, in shares of its sides, to the picture (Heckbert 1989, square to quadrilateral). */
export function slanted([[x0, y0], [x1, y1], [x2, y2], [x3, y3]]: Corners): (u: number, v: number) => Corner {
  const [dx1, dx2, dx3] = [x1 - x2, x3 - x2, x0 - x1 + x2 - x3];
  const [dy1, dy2, dy3] = [y1 - y2, y3 - y2, y0 - y1 + y2 - y3];
  const det = dx1 * dy2 - dx2 * dy1;
  const g = (dx3 * dy2 - dx2 * dy3) / det;
  const h = (dx1 * dy3 - dx3 * dy1) / det;
  return (u, v) => {
    const w = g * u + h * v + 1;
    return [
      ((x1 - x0 + g * x1) * u + (x3 - x0 + h * x3) * v + x0) / w,
      ((y1 - y0 + g * y1) * u + (y3 - y0 + h * y3) * v + y0) / w,
    ];
  };
}

/** The sheet as it is seen from straight above, in red, green, blue and alpha; between pixels the four around are mixed. */
export function straightened(rgba: Uint8ClampedArray, width: number, height: number, corners: Corners) {
  const size = sizeOfSheet(corners);
  const from = slanted(corners);
  const out = new Uint8ClampedArray(4 * size.width * size.height);
  for (let y = 0; y < size.height; y++)
    for (let x = 0; x < size.width; x++) {
      const [px, py] = from((x + 0.5) / size.width, (y + 0.5) / size.height);
      const [left, top] = [clamp(Math.floor(px), width - 2), clamp(Math.floor(py), height - 2)];
      const [a, b] = [Math.min(1, Math.max(0, px - left)), Math.min(1, Math.max(0, py - top))];
      const q = 4 * (top * width + left);
      for (let c = 0; c < 4; c++)
        out[4 * (y * size.width + x) + c] =
          (1 - b) * ((1 - a) * rgba[q + c]! + a * rgba[q + 4 + c]!) +
          b * ((1 - a) * rgba[q + 4 * width + c]! + a * rgba[q + 4 * width + 4 + c]!);
    }
  return { ...size, rgba: out };
}

const clamp = (n: number, most: number) => Math.max(0, Math.min(most, n));
