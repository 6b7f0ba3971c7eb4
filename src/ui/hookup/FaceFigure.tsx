import { shortLabel, type DrawnBox, type FaceDrawing, type Side } from '@/core';

/** What is picked out: a part with its wires, or a net with all its joints. */
export interface Picked {
  part?: string | null;
  net?: string | null;
  pad?: string | null;
}

interface Props {
  drawing: FaceDrawing;
  picked?: Picked;
  locked?: Set<string>;
  onPart?: (part: string) => void;
  onPad?: (pad: string) => void;
  /** Words at pads (a number, a tick) where the boxes are left away. */
  marks?: Map<string, string>;
  /** Colours of pads by their id, where they show something else than what is joined. */
  inks?: Map<string, string>;
  /** Only the board itself, for a phone and at the iron. */
  boardOnly?: boolean;
}

/** One face of the board, nose up as seen from that side, with the parts round it: nothing is drawn across the board. */
export function FaceFigure({ drawing, picked = {}, locked, onPart, onPad, marks, inks, boardOnly = false }: Props) {
  const { board, boxes, pads, plugs } = drawing;
  const lit = litBy(drawing, picked);
  const some = lit.pads.size > 0;
  const margin = 26;
  const view = boardOnly
    ? [board.x - margin, board.y - margin, board.width + 2 * margin, board.height + 2 * margin]
    : [-2, -2, drawing.width + 4, drawing.height + 4];
  const numbers = new Map(plugs.flatMap((p) => p.pins.map((pin) => [pin.pad, pin.number])));
  return (
    <svg
      viewBox={view.join(' ')}
      role="group"
      aria-label={`The ${drawing.face === 'top' ? 'top' : 'underside, seen from below,'} of the board, nose up; the table below says the same in words`}
      style={{ width: '100%', height: 'auto', display: 'block' }}
      fontFamily='"Archivo Variable", system-ui, sans-serif'
    >
      <rect
        x={board.x}
        y={board.y}
        width={board.width}
        height={board.height}
        rx={6}
        fill="var(--sheet)"
        stroke="var(--ink)"
        strokeWidth={1.8}
      />
      <path
        d={`M ${board.x + board.width / 2} ${board.y + board.height / 2 - 30} l -7 12 h 14 z`}
        fill="none"
        stroke="var(--pencil)"
      />
      <text
        x={board.x + board.width / 2}
        y={board.y + board.height / 2 - 6}
        textAnchor="middle"
        fontSize={9}
        fill="var(--faded)"
      >
        nose
      </text>
      {drawing.usb !== 'unknown' && drawing.face === 'top' && <UsbMark board={board} side={drawing.usb} />}
      {!boardOnly &&
        boxes.map((b) =>
          b.rows.map((r, i) =>
            r.line ? (
              <path
                key={`${b.part}${i}`}
                d={`M ${r.line.map(([x, y]) => `${round(x)} ${round(y)}`).join(' L ')}`}
                fill="none"
                strokeLinejoin="round"
                stroke={colourOf(r.wire.kind)}
                strokeWidth={lit.rows.has(r) ? 2.6 : 1.2}
                opacity={some && !lit.rows.has(r) ? 0.25 : 0.9}
              />
            ) : null,
          ),
        )}
      {plugs.map((p) => (
        <rect
          key={p.id}
          x={p.x}
          y={p.y}
          width={p.width}
          height={p.height}
          rx={3}
          fill="none"
          stroke="var(--faded)"
          strokeDasharray="3 2"
        >
          <title>{p.label}</title>
        </rect>
      ))}
      {pads.map((p) => (
        <PadMark
          key={p.id}
          pad={p}
          pin={numbers.get(p.id)}
          lit={lit.pads.has(p.id)}
          dim={some && !lit.pads.has(p.id)}
          mark={marks?.get(p.id) ?? (boardOnly ? '' : tagOf(p.stubs))}
          ink={inks?.get(p.id)}
          onPad={onPad}
        />
      ))}
      {!boardOnly &&
        boxes.map((b) => (
          <BoxMark
            key={b.part}
            box={b}
            picked={picked.part === b.part}
            litRows={lit.rows}
            locked={locked?.has(b.part) ?? false}
            onPart={onPart}
          />
        ))}
    </svg>
  );
}

type Row = DrawnBox['rows'][number];

/** The rows and pads that are picked out: of a part all of its, of a net all its joints. */
export function litBy({ boxes }: FaceDrawing, { part, net, pad }: Picked): { rows: Set<Row>; pads: Set<string> } {
  const rows = new Set<Row>();
  const pads = new Set<string>(pad ? [pad] : []);
  for (const b of boxes)
    for (const r of b.rows) {
      if (b.part !== part && (!net || r.wire.net !== net)) continue;
      rows.add(r);
      if (r.wire.padId) pads.add(r.wire.padId);
    }
  return { rows, pads };
}

export function colourOf(kind: Row['wire']['kind']): string {
  if (kind === 'supply') return 'var(--copper)';
  return kind === 'ground' ? 'var(--faded)' : 'var(--ink)';
}

function round(px: number): number {
  return Math.round(px * 10) / 10;
}

function PadMark({
  pad,
  pin,
  lit,
  dim,
  mark,
  ink,
  onPad,
}: {
  pad: FaceDrawing['pads'][number];
  pin: number | undefined;
  lit: boolean;
  dim: boolean;
  mark: string;
  ink: string | undefined;
  onPad?: ((pad: string) => void) | undefined;
}) {
  const { x, y } = pad;
  const inner = pad.edge === 'inner';
  const upright = pad.edge === 'front' || pad.edge === 'rear' || inner;
  const inward = { left: 1, right: -1, front: 1, rear: -1, inner: 1 }[pad.edge];
  const label = upright ? { x: x + 3, y: y + inward * 9 } : { x: x + inward * 9, y: y + 3 };
  const tag = upright ? { x: x + 3, y: y - inward * 13 } : { x: x - inward * 13, y: y + 3 };
  const turned = (at: { x: number; y: number }) => (upright ? `rotate(-90 ${at.x} ${at.y})` : undefined);
  const anchor = (outwards: boolean) => {
    // Turned upright, a text runs from below upwards.
    const towards = outwards ? -inward : inward;
    const start = upright ? towards < 0 : towards > 0;
    return start ? ('start' as const) : ('end' as const);
  };
  let fill = 'var(--paper)';
  if (ink) fill = ink;
  else if (lit) fill = 'var(--copper)';
  else if (pad.used) fill = 'var(--ink)';
  const said = [pad.label, pad.heldBy && !pad.used ? `held by ${pad.heldBy}` : ''].filter(Boolean).join(': ');
  return (
    <g
      opacity={dim ? 0.45 : 1}
      onClick={onPad && (() => onPad(pad.id))}
      style={onPad ? { cursor: 'pointer' } : undefined}
      data-pad={pad.id}
    >
      <title>{said}</title>
      <rect x={x - 8} y={y - 6} width={16} height={12} fill="transparent" />
      <rect x={x - 5} y={y - 5} width={10} height={10} rx={2} fill={fill} stroke="var(--ink)" />
      {pin !== undefined && (
        <text
          x={x}
          y={y + 2.6}
          fontSize={7}
          textAnchor="middle"
          fill={lit || pad.used ? 'var(--paper)' : 'var(--faded)'}
        >
          {pin}
        </text>
      )}
      {pad.heldBy && !pad.used && <path d={`M ${x - 5} ${y + 5} l 10 -10`} stroke="var(--ink)" />}
      <text {...label} fontSize={8.5} textAnchor={anchor(false)} transform={turned(label)} fill="var(--ink)">
        {shortLabel(pad.label)}
      </text>
      {mark !== '' && !inner && (
        <>
          <path d={stub(pad, inward, upright)} stroke="var(--faded)" strokeWidth={1} />
          <text {...tag} fontSize={8} textAnchor={anchor(true)} transform={turned(tag)} fill="var(--faded)">
            {mark}
          </text>
        </>
      )}
      {mark !== '' && inner && (
        <text x={x + 8} y={y + 3} fontSize={8} fill="var(--faded)">
          {mark}
        </text>
      )}
    </g>
  );
}

/** Which parts join here by stubs: up to three by number, then how many more. */
function tagOf(numbers: number[]): string {
  const said = numbers.slice(0, 3).join(', ');
  return numbers.length > 3 ? `${said} +${numbers.length - 3}` : said;
}

function stub({ x, y }: { x: number; y: number }, inward: number, upright: boolean): string {
  return upright ? `M ${x} ${y - inward * 5} v ${-inward * 6}` : `M ${x - inward * 5} ${y} h ${-inward * 6}`;
}

function BoxMark({
  box: b,
  picked,
  litRows,
  locked,
  onPart,
}: {
  box: DrawnBox;
  picked: boolean;
  litRows: Set<Row>;
  locked: boolean;
  onPart?: ((part: string) => void) | undefined;
}) {
  const left = b.side === 'left';
  const press = onPart && (() => onPart(b.part));
  return (
    <g
      {...(press
        ? {
            role: 'button',
            tabIndex: 0,
            'aria-pressed': picked,
            onClick: press,
            onKeyDown: (e: React.KeyboardEvent) => {
              if (e.key !== 'Enter' && e.key !== ' ') return;
              e.preventDefault();
              press();
            },
            style: { cursor: 'pointer' },
          }
        : {})}
    >
      <rect
        x={b.x}
        y={b.y}
        width={b.width}
        height={b.height}
        rx={2}
        fill={picked ? 'var(--copperSoft)' : 'var(--paper)'}
        stroke={b.rows.length > 0 ? 'var(--ink)' : 'var(--breaks)'}
        strokeDasharray={b.rows.length > 0 ? undefined : '4 3'}
        strokeWidth={picked ? 2 : 1}
      />
      <text x={b.x + 7} y={b.y + 14} fontSize={10.5} fontWeight={620} fill="var(--ink)">
        {b.number}. {clip(b.name, 26)}
        {locked ? ' (locked)' : ''}
      </text>
      {b.rows.length === 0 && (
        <text x={b.x + b.width - 7} y={b.y + 14} fontSize={9} textAnchor="end" fill="var(--breaks)">
          left out
        </text>
      )}
      {b.rows.map((r, i) => (
        <g key={i} fontSize={9} fontWeight={litRows.has(r) ? 620 : 450}>
          <text
            x={left ? b.x + 7 : b.x + b.width - 7}
            y={r.y + 3}
            textAnchor={left ? 'start' : 'end'}
            fill="var(--faded)"
          >
            {clip(r.pin, 25)}
          </text>
          <text
            x={left ? b.x + b.width - 9 : b.x + 9}
            y={r.y + 3}
            textAnchor={left ? 'end' : 'start'}
            fill={colourOf(r.wire.kind)}
          >
            {clip(r.pad, 14)}
          </text>
          {!r.line && (
            <path
              d={`M ${left ? b.x + b.width : b.x} ${r.y} h ${left ? 9 : -9}`}
              stroke={colourOf(r.wire.kind)}
              strokeWidth={litRows.has(r) ? 2.6 : 1.4}
            />
          )}
        </g>
      ))}
    </g>
  );
}

function UsbMark({ board: { x, y, width, height }, side }: { board: FaceDrawing['board']; side: Side }) {
  const flat = side === 'front' || side === 'rear';
  const cx = { left: x, right: x + width, front: x + width / 2, rear: x + width / 2 }[side];
  const cy = { left: y + height / 2, right: y + height / 2, front: y, rear: y + height }[side];
  const [w, h] = flat ? [28, 8] : [8, 28];
  return (
    <g aria-hidden>
      <rect x={cx - w / 2} y={cy - h / 2} width={w} height={h} fill="var(--hair)" stroke="var(--ink)" />
      <text
        x={cx}
        y={cy + 2.5}
        fontSize={7}
        textAnchor="middle"
        fill="var(--ink)"
        transform={flat ? undefined : `rotate(-90 ${cx} ${cy})`}
      >
        USB
      </text>
    </g>
  );
}

function clip(text: string, most: number): string {
  return text.length > most ? `${text.slice(0, most - 1)}…` : text;
}
