import type { Grey } from './grey';

export type Corner = [x: number, y: number];
/** Left top, right top, right bottom, left bottom. */
export type Corners = [Corner, Corner, Corner, Corner];

/** Looked at this small the print vanishes and the sheet stays. */
const looked = 400;

/** The corners of the bright sheet that a photo shows on a darker ground; null where there is none, or where it fills the picture. */
export function sheetIn(picture: Grey): Corners | null {
  const small = shrunk(picture, Math.max(1, Math.round(Math.max(picture.width, picture.height) / looked)));
  const bright = largestBright(small);
  if (bright.length === 0) return null;
  const far = (worth: (x: number, y: number) => number): Corner => {
    let best: Corner = [0, 0];
    let most = -Infinity;
    for (const q of bright) {
      const [x, y] = [q % small.width, Math.floor(q / small.width)];
      const w = worth(x, y);
      if (w > most) [most, best] = [w, [x * small.step, y * small.step]];
    }
    return best;
  };
  const corners: Corners = [far((x, y) => -x - y), far((x, y) => x - y), far((x, y) => x + y), far((x, y) => y - x)];
  const area = areaOf(corners);
  const share = area / (picture.width * picture.height);
  const filled = (bright.length * small.step ** 2) / area;
  return share > 0.15 && share < 0.97 && filled > 0.9 && filled < 1.1 ? corners : null;
}

/** Surface of a quadrilateral (shoelace formula). */
export function areaOf(corners: Corners): number {
  const twice = corners.reduce((sum, [x, y], i) => {
    const [nextX, nextY] = corners[(i + 1) % 4]!;
    return sum + x * nextY - nextX * y;
  }, 0);
  return Math.abs(twice) / 2;
}

/** The brightest of each square, so that letters go. */
function shrunk({ width, height, at }: Grey, step: number): Grey & { step: number } {
  const [w, h] = [Math.floor(width / step), Math.floor(height / step)];
  const small = new Float32Array(w * h);
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++) {
      let most = 0;
      for (let j = 0; j < step; j++)
        for (let i = 0; i < step; i++) most = Math.max(most, at[(y * step + j) * width + x * step + i]!);
      small[y * w + x] = most;
    }
  return { width: w, height: h, at: small, step };
}

/** The grey that parts dark from bright best (Otsu 1979). */
export function parting(at: Float32Array): number {
  const count = new Float64Array(256);
  for (const v of at) count[Math.round(v)]! += 1;
  const total = count.reduce((sum, n, i) => sum + n * i, 0);
  let [best, between, below, sumBelow] = [0, 0, 0, 0];
  for (let i = 0; i < 256; i++) {
    below += count[i]!;
    sumBelow += i * count[i]!;
    const above = at.length - below;
    if (below === 0 || above === 0) continue;
    const apart = below * above * (sumBelow / below - (total - sumBelow) / above) ** 2;
    if (apart > between) [between, best] = [apart, i];
  }
  return best;
}

/** The largest connected bright piece, by the places of its pixels. */
function largestBright({ width, at }: Grey): number[] {
  const limit = parting(at);
  const seen = new Uint8Array(at.length);
  let largest: number[] = [];
  for (let start = 0; start < at.length; start++) {
    if (seen[start] || at[start]! <= limit) continue;
    const piece = [start];
    seen[start] = 1;
    for (let i = 0; i < piece.length; i++) {
      const q = piece[i]!;
      const x = q % width;
      for (const n of [x > 0 ? q - 1 : -1, x < width - 1 ? q + 1 : -1, q - width, q + width])
        if (n >= 0 && n < at.length && !seen[n] && at[n]! > limit) {
          seen[n] = 1;
          piece.push(n);
        }
    }
    if (piece.length > largest.length) largest = piece;
  }
  return largest;
}
