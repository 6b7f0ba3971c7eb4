import type { Board } from '../model/board';

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

/** The board's outline in the drawing, to scale, nose up; 36 mm where its size is unknown. */
export function outlineOf(board: Board, area: { width: number; height: number }, room: number): Outline & { mmPx: number } {
  const mm = (f: Board['lengthMm']) => ('value' in f ? f.value : 'high' in f ? f.high : 36);
  const mmPx = Math.min(room / mm(board.widthMm), room / mm(board.lengthMm));
  const width = mm(board.widthMm) * mmPx;
  const height = mm(board.lengthMm) * mmPx;
  return { x: (area.width - width) / 2, y: (area.height - height) / 2, width, height, mmPx };
}

/** Pads spread along their edge in their order, `inset` from it; inner ones in a row across the middle. */
export function placePads(board: Board, outline: Outline, face: 'top' | 'bottom', inset: number): PlacedPad[] {
  const on = board.pads.filter((p) => p.face === face);
  return on.map((pad) => {
    const along = on.filter((p) => p.edge === pad.edge).sort((a, b) => a.order - b.order);
    // Corners stay free for the screws.
    const share = 0.08 + (0.84 * (along.indexOf(pad) + 1)) / (along.length + 1);
    const { x, y, width, height } = outline;
    const at = {
      front: [x + share * width, y + inset],
      rear: [x + (1 - share) * width, y + height - inset],
      left: [x + inset, y + (1 - share) * height],
      right: [x + width - inset, y + share * height],
      inner: [x + share * width, y + height / 2],
    }[pad.edge] as [number, number];
    return { id: pad.id, label: pad.label, edge: pad.edge, x: at[0], y: at[1] };
  });
}
