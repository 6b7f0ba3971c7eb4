type Point = readonly [number, number];

/** How often lines cross each other; where two end on the same pad they do not. */
export function crossings(lines: readonly (readonly Point[])[]): number {
  let count = 0;
  lines.forEach((a, i) =>
    lines.slice(i + 1).forEach((b) => {
      for (let m = 1; m < a.length; m++)
        for (let n = 1; n < b.length; n++) if (cross(a[m - 1]!, a[m]!, b[n - 1]!, b[n]!)) count++;
    }),
  );
  return count;
}

/** Do two stretches cross at a point that is an end of neither? */
function cross(a: Point, b: Point, c: Point, d: Point): boolean {
  const turn = (p: Point, q: Point, r: Point) => (q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]);
  return turn(a, b, c) * turn(a, b, d) < -1e-9 && turn(c, d, a) * turn(c, d, b) < -1e-9;
}

/** Does a line run through a rectangle? */
export function runsThrough(
  line: readonly Point[],
  { x, y, width, height }: { x: number; y: number; width: number; height: number },
): boolean {
  const corners: Point[] = [
    [x, y],
    [x + width, y],
    [x + width, y + height],
    [x, y + height],
  ];
  const inside = ([px, py]: Point) => px > x && px < x + width && py > y && py < y + height;
  return line.some(
    (p, i) => inside(p) || (i > 0 && corners.some((c, k) => cross(line[i - 1]!, p, c, corners[(k + 1) % 4]!))),
  );
}
