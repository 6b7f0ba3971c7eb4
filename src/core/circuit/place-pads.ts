import { interval, type NumberFigure } from '../quantity/figure';
import type { Board } from '../records/board';

export interface PlacedPad {
  id: string;
  label: string;
  x: number;
  y: number;
  edge: Board['pads'][number]['edge'];
}

export interface Outline {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** A side of a board, or a part's height: the most that it may be; where nobody says, as large as the commonest board, common practice, no source. */
export function sizeMm(figure: NumberFigure, otherwise = 36): number {
  const { high } = interval(figure);
  return Number.isFinite(high) ? high : otherwise;
}

/** The board's outline in the drawing, to scale, nose up; 36 mm where its size is unknown. */
export function outlineOf(
  board: Board,
  area: { width: number; height: number },
  room: number,
): Outline & { mmPx: number } {
  const mmPx = Math.min(room / sizeMm(board.widthMm), room / sizeMm(board.lengthMm));
  const width = sizeMm(board.widthMm) * mmPx;
  const height = sizeMm(board.lengthMm) * mmPx;
  return { x: (area.width - width) / 2, y: (area.height - height) / 2, width, height, mmPx };
}

/** Pads spread along their edge in their order, `inset` from it; inner ones in a row across the middle. */
export function placePads(board: Board, outline: Outline, face: 'top' | 'bottom', inset: number): PlacedPad[] {
  return board.pads
    .filter((p) => p.face === face)
    .map((pad) => ({ id: pad.id, label: pad.label, edge: pad.edge, ...spotOf(board, pad, outline, inset) }));
}

/** Where one pad lies in an outline. */
export function spotOf(
  board: Board,
  pad: Board['pads'][number],
  { x, y, width, height }: Outline,
  inset: number,
): { x: number; y: number } {
  let before = 0;
  let along = 0;
  let passed = false;
  for (const p of board.pads) {
    if (p === pad) passed = true;
    if (p.face !== pad.face || p.edge !== pad.edge) continue;
    along++;
    if (p.order < pad.order || (p.order === pad.order && !passed)) before++;
  }
  // Corners stay free for the screws.
  const share = 0.08 + (0.84 * (before + 1)) / (along + 1);
  switch (pad.edge) {
    case 'front':
      return { x: x + share * width, y: y + inset };
    case 'rear':
      return { x: x + (1 - share) * width, y: y + height - inset };
    case 'left':
      return { x: x + inset, y: y + (1 - share) * height };
    case 'right':
      return { x: x + width - inset, y: y + share * height };
    case 'inner':
      return { x: x + share * width, y: y + height / 2 };
  }
}
