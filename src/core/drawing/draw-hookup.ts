import type { Board } from '../records/board';
import type { Hookup } from '../wiring/hookup';
import type { Wire } from '../bill/wire-list';
import { memberView, memberWithPad } from '../circuit/member-view';
import { arrange, heightOf, runOf, type Arrangement, type RimWire, type Side } from './arrange';
import { crossings } from './crossings';
import { faceOf, shortLabel, type DrawnPad, type Face } from '../circuit/face';

type Point = [number, number];

/** One end of a wire at its part, as a row of the part's box. */
export interface Row {
  wire: Wire;
  /** The part's own pin or role. */
  pin: string;
  /** The pad as printed; what is said of it where no pad of this board is meant. */
  pad: string;
  /** From pad to box; null: a stub at both ends, called by the pad's label and the box's number. */
  line: Point[] | null;
  y: number;
}

export interface Box {
  part: string;
  name: string;
  /** 1, 2, ... in the order of the parts list: what a stub at a pad is called by. */
  number: number;
  side: Side;
  x: number;
  y: number;
  width: number;
  height: number;
  rows: Row[];
}

/** A plug round the pads that are its pins, which carry their numbers. */
export interface DrawnPlug {
  id: string;
  label: string;
  x: number;
  y: number;
  width: number;
  height: number;
  pins: { pad: string; number: number }[];
}

/** One face of the board with the parts round it; `crossings` of its lines. */
export interface FaceDrawing {
  /** Of a set, the member that is drawn. */
  member: string | null;
  /** Nose up, the side at which its USB plug is; of a member without a processor nobody asks. */
  usb: Board['usb']['side'];
  face: Face['face'];
  width: number;
  height: number;
  board: { x: number; y: number; width: number; height: number; mmPx: number };
  pads: (DrawnPad & { used: boolean; heldBy: string | null; stubs: number[] })[];
  plugs: DrawnPlug[];
  boxes: Box[];
  crossings: number;
}

export interface DrawingWish {
  /** Supply and ground as short named stubs instead of lines. */
  stubs: boolean;
  /** Only this part with its pads. */
  only?: string;
  /** Parts without a wire stand beside the board too; so it is where it is not said. */
  leftOut?: boolean;
}

/** Pixels. */
const size = { box: 200, title: 20, row: 14, foot: 5, between: 10, gap: 92, edge: 26, track: 6, side: 5 } as const;

/** Both faces of a board as the hookup wires it, as far as anything is joined there; the top always. Of a set every member, the controller first. `board` as it lies in the frame. */
export function drawHookup(board: Board, hookup: Hookup, wires: readonly Wire[], wish: DrawingWish): FaceDrawing[] {
  if (!board.members) return drawBoard(board, hookup, wires, wish);
  return board.members.flatMap((member) => {
    const { role, board: own } = member;
    // What ends at no member's pad is told beside the controller, and so is what is left out.
    const mine = wires.filter((w) => {
      const at = memberWithPad(board, w.padId);
      return at ? at.role === role : role === 'controller';
    });
    const here = { ...wish, leftOut: role === 'controller' };
    return drawBoard(memberView(member), hookup, mine, here).map((face) => ({
      ...face,
      member: own.name,
      usb: role === 'controller' ? face.usb : ('unknown' as const),
    }));
  });
}

function drawBoard(board: Board, hookup: Hookup, wires: readonly Wire[], wish: DrawingWish): FaceDrawing[] {
  const faces = (['top', 'bottom'] as const).filter(
    (face) => face === 'top' || wires.some((w) => w.padId !== null && w.face === face),
  );
  return faces.map((face) => drawFace(board, hookup, wires, wish, face));
}

function drawFace(
  board: Board,
  hookup: Hookup,
  wires: readonly Wire[],
  { stubs, only, leftOut = true }: DrawingWish,
  which: Face['face'],
): FaceDrawing {
  const face = faceOf(board, which);
  const at = new Map(face.pads.map((p) => [p.id, p]));
  // What is joined at no pad of this board (the output of another part, a regulator that is bought) is told on the top.
  const elsewhere = new Set(wires.filter((w) => !board.pads.some((p) => p.id === w.padId)));
  const here = (w: Wire) => (elsewhere.has(w) ? which === 'top' : at.has(w.padId!));
  const parts = hookup.parts
    .map((p, i) => ({ ...p, number: i + 1, wires: wires.filter((w) => w.part === p.id && here(w)) }))
    .filter(
      (p) =>
        (only === undefined || p.id === only) &&
        (p.wires.length > 0 || (leftOut && which === 'top' && p.links.length === 0)),
    );
  const drawn = (w: Wire): RimWire | null => {
    const pad = w.padId === null ? undefined : at.get(w.padId);
    if (!pad || pad.edge === 'inner' || (stubs && w.kind !== 'signal')) return null;
    return { box: w.part, edge: pad.edge, share: pad.share };
  };
  const rim = new Map(wires.map((w) => [w, drawn(w)]));
  const arrangement = arrange(
    parts.map((p) => ({ id: p.id, rows: p.wires.length })),
    parts.flatMap((p) => p.wires.flatMap((w) => rim.get(w) ?? [])),
  );
  const tracks = tracksOf(
    parts.flatMap((p) => p.wires.flatMap((w) => (rim.get(w) ? [{ w, rim: rim.get(w)! }] : []))),
    arrangement,
  );
  const heightOfBox = (id: string) => {
    const rows = parts.find((p) => p.id === id)!.wires.length;
    return size.title + rows * size.row + size.foot;
  };
  const columnHeight = (side: Side) =>
    arrangement.columns[side].reduce((sum, id) => sum + heightOfBox(id) + size.between, 0);
  const [above, below] = [tracks.front, tracks.rear].map((n) => size.edge + n * size.track + 8) as [number, number];
  const height = Math.max(columnHeight('left'), columnHeight('right'), face.height + above + below);
  const gap = size.gap + Math.max(tracks.left, tracks.right) * size.side;
  const room = (side: Side) => (arrangement.columns[side].length > 0 ? size.box + gap : 40);
  const width = room('left') + face.width + room('right');
  const corner = { x: room('left'), y: above + (height - above - below - face.height) / 2 };
  const absolute = (pad: DrawnPad): DrawnPad => ({ ...pad, x: pad.x + corner.x, y: pad.y + corner.y });
  const clear = gap - size.gap + 34;
  const entry = { left: corner.x - clear, right: corner.x + face.width + clear };

  const boxes = (['left', 'right'] as const).flatMap((side) => {
    const ids = arrangement.columns[side];
    const wanted = ids.map((id) => {
      const lines = parts.find((p) => p.id === id)!.wires.flatMap((w) => (rim.get(w) ? [w] : []));
      const ys = lines.map((w) => absolute(at.get(w.padId!)!).y);
      return ys.length > 0 ? ys.reduce((a, b) => a + b, 0) / ys.length - heightOfBox(id) / 2 : null;
    });
    const tops = stacked(ids.map(heightOfBox), wanted, height);
    return ids.map((id, i) =>
      boxOf(
        parts.find((p) => p.id === id)!,
        side,
        tops[i]!,
      ),
    );
  });

  function boxOf(part: (typeof parts)[number], side: Side, y: number): Box {
    const inOrder = [...part.wires].sort((a, b) => {
      const [ra, rb] = [rim.get(a), rim.get(b)];
      if (ra && rb) return heightOf(rb, side) - heightOf(ra, side);
      return Number(Boolean(rb)) - Number(Boolean(ra));
    });
    const x = side === 'left' ? 0 : width - size.box;
    const rows = inOrder.map((wire, i): Row => {
      const rowY = y + size.title + (i + 0.5) * size.row;
      const lead = rim.get(wire);
      const pad = wire.padId === null ? undefined : at.get(wire.padId);
      return {
        wire,
        pin: [wire.pin.of, wire.pin.name, wire.pin.colour].filter(Boolean).join(', '),
        pad: pad ? shortLabel(pad.label) : wire.from,
        y: rowY,
        line:
          lead && pad
            ? lineOf(absolute(pad), lead, wire, side, [side === 'left' ? size.box : width - size.box, rowY])
            : null,
      };
    });
    return {
      part: part.id,
      name: part.name,
      number: part.number,
      side,
      x,
      y,
      width: size.box,
      height: heightOfBox(part.id),
      rows,
    };
  }

  /** Outwards from the pad, round the board where need be, to its column, and in one bow to the row. */
  function lineOf(pad: DrawnPad, lead: RimWire, wire: Wire, side: Side, end: Point): Point[] {
    const run = runOf(lead, side);
    const start: Point = [pad.x, pad.y];
    const x = entry[side];
    const points: Point[] = [start];
    if (run !== 'direct') {
      const rank = tracks.rank.get(wire)!;
      const half = side === 'right' ? size.track / 2 : 0;
      const y =
        run === 'over the front'
          ? corner.y - size.edge - rank * size.track - half
          : corner.y + face.height + size.edge + rank * size.track + half;
      if (lead.edge === 'left' || lead.edge === 'right') {
        const out = 12 + (tracks.beside.get(wire) ?? 0) * size.side;
        const turn = lead.edge === 'left' ? corner.x - out : corner.x + face.width + out;
        points.push([turn, pad.y], [turn, y]);
      } else points.push([pad.x, y]);
      points.push([x, y]);
    } else points.push([x, pad.y]);
    return [...points, ...bow(points.at(-1)!, end)];
  }

  const used = new Map<string, number[]>();
  for (const box of boxes)
    for (const row of box.rows)
      if (row.wire.padId) {
        const numbers = used.get(row.wire.padId) ?? [];
        if (!row.line && !numbers.includes(box.number)) numbers.push(box.number);
        used.set(row.wire.padId, numbers);
      }
  // A wire to another member of a set has no box: its pad is taken all the same.
  for (const { padId } of wires) if (padId !== null && !used.has(padId)) used.set(padId, []);
  const held = new Map(hookup.held.map((h) => [h.pad, h.by]));
  return {
    member: null,
    usb: board.usb.side,
    face: which,
    width,
    height,
    board: { ...corner, width: face.width, height: face.height, mmPx: face.mmPx },
    pads: face.pads.map((p) => ({
      ...absolute(p),
      used: used.has(p.id),
      heldBy: held.get(p.id) ?? null,
      stubs: used.get(p.id) ?? [],
    })),
    plugs: plugsOf(board, face).map((p) => ({ ...p, x: p.x + corner.x, y: p.y + corner.y })),
    boxes,
    crossings: crossings(boxes.flatMap((b) => b.rows.flatMap((r) => (r.line ? [r.line] : [])))),
  };
}

/** Which track round the board each wire has: nested, so that those of one column do not cross. */
function tracksOf(lines: { w: Wire; rim: RimWire }[], { side }: Arrangement) {
  const rank = new Map<Wire, number>();
  const beside = new Map<Wire, number>();
  const count = { front: 0, rear: 0, left: 0, right: 0 };
  for (const column of ['left', 'right'] as const) {
    const mine = lines.filter((l) => side.get(l.rim.box) === column);
    for (const [run, end] of [
      ['over the front', 'front'],
      ['under the rear', 'rear'],
    ] as const) {
      const round = mine
        .filter((l) => runOf(l.rim, column) === run)
        .sort((a, b) => Math.abs(heightOf(a.rim, column) - 0.5) - Math.abs(heightOf(b.rim, column) - 0.5));
      round.forEach((l, i) => rank.set(l.w, i));
      count[end] = Math.max(count[end], round.length);
    }
    for (const edge of ['left', 'right'] as const) {
      const far = mine.filter((l) => l.rim.edge === edge && runOf(l.rim, column) !== 'direct');
      for (const run of ['over the front', 'under the rear'] as const)
        far
          .filter((l) => runOf(l.rim, column) === run)
          .sort((a, b) => Math.abs(heightOf(a.rim, column) - 0.5) - Math.abs(heightOf(b.rim, column) - 0.5))
          .forEach((l, i) => beside.set(l.w, i));
      count[edge] = Math.max(count[edge], far.length);
    }
  }
  return { ...count, rank, beside };
}

/** Tops of boxes of given heights in their order: each as near to where it wants to be as the others let it, all within the height. */
function stacked(heights: number[], wanted: (number | null)[], height: number): number[] {
  const tops: number[] = [];
  let floor = 0;
  heights.forEach((h, i) => {
    const top = Math.max(floor, wanted[i] ?? floor);
    tops.push(top);
    floor = top + h + size.between;
  });
  let ceiling = height + size.between;
  for (let i = heights.length - 1; i >= 0; i--) {
    tops[i] = Math.max(0, Math.min(tops[i]!, ceiling - size.between - heights[i]!));
    ceiling = tops[i]!;
  }
  return tops;
}

/** A smooth way between two points that leaves and arrives level: two of them that start and end in the same order do not cross. */
function bow([x0, y0]: Point, [x1, y1]: Point): Point[] {
  return Array.from({ length: 12 }, (_, i): Point => {
    const t = (i + 1) / 12;
    const s = t * t * (3 - 2 * t);
    return [x0 + (x1 - x0) * t, y0 + (y1 - y0) * s];
  });
}

/** Plugs of which two pins or more are pads on one edge of this face. */
function plugsOf(board: Board, face: Face): DrawnPlug[] {
  return board.plugs.flatMap((plug) => {
    const pins = plug.pins.flatMap((p, i) => {
      const pad = p.pad === undefined ? undefined : face.pads.find((x) => x.id === p.pad);
      return pad ? [{ pad, number: i + 1 }] : [];
    });
    if (pins.length < 2 || pins.some((p) => p.pad.edge !== pins[0]!.pad.edge)) return [];
    const xs = pins.map((p) => p.pad.x);
    const ys = pins.map((p) => p.pad.y);
    const room = 8;
    return [
      {
        id: plug.id,
        label: `${plug.label}, ${plug.family}`,
        x: Math.min(...xs) - room,
        y: Math.min(...ys) - room,
        width: Math.max(...xs) - Math.min(...xs) + 2 * room,
        height: Math.max(...ys) - Math.min(...ys) + 2 * room,
        pins: pins.map((p) => ({ pad: p.pad.id, number: p.number })),
      },
    ];
  });
}
