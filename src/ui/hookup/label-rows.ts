import type { PlacedPad } from '@/core';

/** Width of a letter of a pad's label in the drawing, on average, and the gap that two labels need. */
const letterPx = 4.9;
const gapPx = 3;

/** For the pads of one face, on the front and rear edge, the row, 0 or 1, in which the label stands clear of its neighbour's; the row nearer to the pad where it can. */
export function labelRows(pads: Pick<PlacedPad, 'id' | 'label' | 'edge' | 'x'>[]): Map<string, 0 | 1> {
  const rows = new Map<string, 0 | 1>();
  const ends = new Map<string, [number, number]>();
  for (const p of [...pads].sort((a, b) => a.x - b.x)) {
    if (p.edge !== 'front' && p.edge !== 'rear') continue;
    const end = ends.get(p.edge) ?? [-Infinity, -Infinity];
    const half = (p.label.length * letterPx) / 2;
    const row = p.x - half >= end[0] + gapPx || end[0] <= end[1] ? 0 : 1;
    end[row] = p.x + half;
    ends.set(p.edge, end);
    rows.set(p.id, row);
  }
  return rows;
}
