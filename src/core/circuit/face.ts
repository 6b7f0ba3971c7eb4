import type { Board } from '../records/board';
import { sizeMm } from './place-pads';

export type Edge = 'front' | 'right' | 'rear' | 'left' | 'inner';

/** A pad as it is drawn: `share` is how far along its edge it lies, 0 to 1, from the left or from the top. */
export interface DrawnPad {
  id: string;
  label: string;
  edge: Edge;
  share: number;
  x: number;
  y: number;
}

/** One face of a board with its pads, nose up, as it is seen from that side. Its corner is at 0, 0. */
export interface Face {
  face: 'top' | 'bottom';
  width: number;
  height: number;
  mmPx: number;
  pads: DrawnPad[];
}

/** Pixels: a board's longer side where its pads ask for no more, the step from pad to pad, and how far a pad's middle lies inside its edge. */
const size = { board: 280, pitch: 12, inset: 9, margin: 18, letter: 5, mostLetters: 9 } as const;

/** Labels are cut in the drawing; the whole of it is read out and stands in the table. */
export function shortLabel(label: string): string {
  return label.length > size.mostLetters ? `${label.slice(0, size.mostLetters - 1)}…` : label;
}

/**
 * The board to scale, or larger where its pads would stand closer than their labels are high. Labels of the front and rear stand upright, those of the sides lie;
 * pads on the sides keep clear of the front's and the rear's labels, so that no label lies on another.
 */
export function faceOf(board: Board, face: 'top' | 'bottom'): Face {
  const on = (edge: Edge) =>
    board.pads
      .filter((p) => p.face === face && p.edge === edge)
      .map((p, i) => ({ p, i }))
      .sort((a, b) => a.p.order - b.p.order || a.i - b.i)
      .map(({ p }) => p);
  const edges = { front: on('front'), right: on('right'), rear: on('rear'), left: on('left'), inner: on('inner') };
  const letters = Math.max(2, ...board.pads.filter((p) => p.face === face).map((p) => shortLabel(p.label).length));
  const upright = edges.front.length + edges.rear.length > 0 ? letters * size.letter + 8 : 0;
  const sideMargin = size.margin + upright;
  const [widthMm, lengthMm] = [sizeMm(board.widthMm), sizeMm(board.lengthMm)];
  const most = (a: unknown[], b: unknown[]) => Math.max(a.length, b.length) * size.pitch;
  const mmPx = Math.max(
    size.board / Math.max(widthMm, lengthMm),
    (2 * size.margin + Math.max(most(edges.front, edges.rear), edges.inner.length * 1.5 * size.pitch)) / widthMm,
    (2 * sideMargin + most(edges.left, edges.right)) / lengthMm,
    (2 * letters * size.letter + 90) / widthMm,
  );
  const [width, height] = [widthMm * mmPx, lengthMm * mmPx];
  // Orders count clockwise as seen from the top: the rear and the left run against the drawing.
  const place = (edge: Edge, margin: number, against: boolean, spot: (share: number) => { x: number; y: number }) =>
    edges[edge].map((p, i): DrawnPad => {
      const n = edges[edge].length;
      const length = edge === 'left' || edge === 'right' ? height : width;
      const along = margin + ((i + 0.5) * (length - 2 * margin)) / n;
      const share = against ? 1 - along / length : along / length;
      return { id: p.id, label: p.label, edge, share, ...spot(share) };
    });
  const pads = [
    ...place('front', size.margin, false, (s) => ({ x: s * width, y: size.inset })),
    ...place('right', sideMargin, false, (s) => ({ x: width - size.inset, y: s * height })),
    ...place('rear', size.margin, true, (s) => ({ x: s * width, y: height - size.inset })),
    ...place('left', sideMargin, true, (s) => ({ x: size.inset, y: s * height })),
    ...place('inner', size.margin, false, (s) => ({ x: s * width, y: height / 2 })),
  ];
  return { face, width, height, mmPx, pads: face === 'bottom' ? pads.map((p) => seenFromBelow(p, width)) : pads };
}

/** From below, with the nose up, left and right change places. */
function seenFromBelow(pad: DrawnPad, width: number): DrawnPad {
  const swapped: Partial<Record<Edge, Edge>> = { left: 'right', right: 'left' };
  const lying = pad.edge === 'left' || pad.edge === 'right';
  return {
    ...pad,
    edge: swapped[pad.edge] ?? pad.edge,
    share: lying ? pad.share : 1 - pad.share,
    x: width - pad.x,
  };
}
