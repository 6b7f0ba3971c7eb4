'use client';

import Box from '@mui/material/Box';
import { outlineOf, placePads, type Board, type Climb, type PlacedPad, type Side, supplyGauge } from '@/core';
import { labelRows } from './label-rows';

interface Props {
  board: Board;
  climb: Climb;
  selected: string | null;
  locked: Set<string>;
  onSelect: (part: string) => void;
}

const area = { width: 800, height: 470 };
const boxWidth = 178;
const boxHeight = 40;
const padInset = 9;

/** The board to scale with its pads, the parts round it and a wire for every pad that the hookup uses. */
export function BoardDrawing({ board, climb, selected, locked, onSelect }: Props) {
  const outline = outlineOf(board, area, 292);
  const hasUnderside = board.pads.some((p) => p.face === 'bottom');
  const top = placePads(board, outline, 'top', padInset);
  const under = hasUnderside
    ? placePads(
        board,
        { ...outline, x: outline.x + 26, y: outline.y + 26, width: outline.width - 52, height: outline.height - 52 },
        'bottom',
        padInset,
      )
    : [];
  const pads = [...top, ...under];
  const rows = new Map([...labelRows(top), ...labelRows(under)]);
  const at = new Map(pads.map((p) => [p.id, p]));
  const parts = climb.hookup.parts.map((p) => ({
    ...p,
    ends: [
      ...p.links.flatMap((l) => l.pads.map((x) => ({ pad: at.get(x.pad), supply: false, gauge: 28 }))),
      ...p.supplies.flatMap((s) =>
        s.pads.map((x) => ({ pad: at.get(x), supply: true, gauge: supplyGauge(climb.hookup, s) })),
      ),
    ].filter((e): e is { pad: PlacedPad; supply: boolean; gauge: number } => e.pad !== undefined),
  }));
  const mean = (p: (typeof parts)[number], key: 'x' | 'y') =>
    p.ends.length > 0
      ? p.ends.reduce((s, e) => s + e.pad[key], 0) / p.ends.length
      : area[key === 'x' ? 'width' : 'height'] / 2;
  const byX = [...parts].sort((a, b) => mean(a, 'x') - mean(b, 'x'));
  const half = Math.ceil(byX.length / 2);
  const side = (list: typeof parts, x: number) =>
    [...list]
      .sort((a, b) => mean(a, 'y') - mean(b, 'y'))
      .map((p, i) => ({
        ...p,
        x,
        y: ((i + 0.5) * area.height) / list.length - boxHeight / 2,
        left: x < area.width / 2,
      }));
  const boxes = [...side(byX.slice(0, half), 4), ...side(byX.slice(half), area.width - boxWidth - 4)];
  const used = new Set(parts.flatMap((p) => p.ends.map((e) => e.pad.id)));
  const held = new Map(climb.hookup.held.map((h) => [h.pad, h.by]));

  return (
    <svg
      viewBox={`0 0 ${area.width} ${area.height}`}
      style={{ width: '100%', maxHeight: 470 }}
      role="group"
      aria-label="The board with its pads and the wires of this hookup; the table below says the same in words"
    >
      <rect {...rectOf(outline)} rx={6} fill="var(--sheet)" stroke="var(--ink)" strokeWidth={1.8} />
      {[
        [0.06, 0.06],
        [0.94, 0.06],
        [0.06, 0.94],
        [0.94, 0.94],
      ].map(([fx, fy]) => (
        <circle
          key={`${fx}${fy}`}
          cx={outline.x + fx! * outline.width}
          cy={outline.y + fy! * outline.height}
          r={1.2 * outline.mmPx}
          fill="none"
          stroke="var(--pencil)"
        />
      ))}
      <path
        d={`M ${outline.x + outline.width / 2} ${outline.y + 40} l -8 14 h 16 z`}
        fill="none"
        stroke="var(--pencil)"
      />
      <text x={outline.x + outline.width / 2} y={outline.y + 68} textAnchor="middle" fontSize={10} fill="var(--faded)">
        nose
      </text>
      <text
        x={outline.x + outline.width / 2}
        y={outline.y + outline.height / 2 + 26}
        textAnchor="middle"
        fontSize={13}
        fontWeight={600}
        fill="var(--ink)"
      >
        {board.name}
      </text>
      {board.usb.side !== 'unknown' && <UsbMark outline={outline} side={board.usb.side} />}
      {/* Wires lie under pads and labels. */}
      {boxes.map((b) =>
        b.ends.map((e, i) => {
          const x0 = b.left ? b.x + boxWidth : b.x;
          const y0 = b.y + boxHeight / 2 + (i - (b.ends.length - 1) / 2) * 5;
          const bend = (b.left ? 1 : -1) * 46;
          const on = b.id === selected;
          let strokeWidth: number;
          if (on) strokeWidth = 2.6;
          else if (e.supply) strokeWidth = 1.5;
          else strokeWidth = 1;
          return (
            <path
              key={`${b.id}${i}`}
              d={`M ${x0} ${y0} C ${x0 + bend} ${y0}, ${e.pad.x - bend} ${e.pad.y}, ${e.pad.x} ${e.pad.y}`}
              fill="none"
              stroke={e.supply ? 'var(--copper)' : 'var(--ink)'}
              strokeWidth={strokeWidth}
              opacity={selected && !on ? 0.22 : 0.85}
            />
          );
        }),
      )}
      {pads.map((p) => (
        <g key={p.id}>
          <rect
            x={p.x - 5}
            y={p.y - 5}
            width={10}
            height={10}
            rx={2}
            fill={used.has(p.id) ? 'var(--ink)' : 'var(--paper)'}
            stroke="var(--ink)"
            strokeWidth={1}
          />
          {held.has(p.id) && !used.has(p.id) && (
            <path d={`M ${p.x - 5} ${p.y + 5} l 10 -10`} stroke="var(--ink)" strokeWidth={1}>
              <title>{`${p.label}: held by ${held.get(p.id)}`}</title>
            </path>
          )}
          <text
            {...labelAt(p, rows.get(p.id) ?? 0)}
            fontSize={8.5}
            fill="var(--ink)"
            stroke="var(--sheet)"
            strokeWidth={2.5}
            paintOrder="stroke"
          >
            {p.label}
          </text>
        </g>
      ))}
      {boxes.map((b) => (
        <g
          key={b.id}
          role="button"
          tabIndex={0}
          aria-pressed={b.id === selected}
          onClick={() => onSelect(b.id)}
          onKeyDown={(e) => {
            if (e.key === 'Enter' || e.key === ' ') {
              e.preventDefault();
              onSelect(b.id);
            }
          }}
          style={{ cursor: 'pointer' }}
        >
          <rect
            x={b.x}
            y={b.y}
            width={boxWidth}
            height={boxHeight}
            rx={2}
            fill={b.id === selected ? 'var(--copperSoft)' : 'var(--paper)'}
            stroke={b.mode ? 'var(--ink)' : 'var(--breaks)'}
            strokeDasharray={b.mode ? undefined : '4 3'}
            strokeWidth={b.id === selected ? 2 : 1}
          />
          <text x={b.x + 7} y={b.y + 16} fontSize={11.5} fontWeight={600} fill="var(--ink)">
            {clip(b.name, 27)}
          </text>
          <text x={b.x + 7} y={b.y + 31} fontSize={10} fill={b.mode ? 'var(--faded)' : 'var(--breaks)'}>
            {b.mode
              ? clip(
                  `${b.links.map((l) => l.on).join(', ') || 'no signal'}${b.supplies.length > 0 ? `; ${b.supplies.map((s) => s.on).join(', ')}${gaugeWords(b.ends)}` : ''}${locked.has(b.id) ? '; locked' : ''}`,
                  36,
                )
              : `left out (${b.priority})`}
          </text>
        </g>
      ))}
    </svg>
  );
}

export function DrawingKey() {
  return (
    <Box sx={{ fontSize: 12, color: 'text.secondary', display: 'flex', gap: 2 }}>
      <span>dark wire: signal, 28 AWG</span>
      <Box component="span" sx={{ color: 'primary.main' }}>
        copper wire: supply
      </Box>
      <span>filled pad: used</span>
      <span>struck pad: the board's own</span>
    </Box>
  );
}

function gaugeWords(ends: { supply: boolean; gauge: number | null }[]): string {
  const supply = ends.find((e) => e.supply);
  return supply?.gauge ? `, ${supply.gauge} AWG` : '';
}

function rectOf({ x, y, width, height }: { x: number; y: number; width: number; height: number }) {
  return { x, y, width, height };
}

function labelAt(p: PlacedPad, row: number): { x: number; y: number; textAnchor: 'start' | 'middle' | 'end' } {
  switch (p.edge) {
    case 'left':
      return { x: p.x + 8, y: p.y + 3, textAnchor: 'start' };
    case 'right':
      return { x: p.x - 8, y: p.y + 3, textAnchor: 'end' };
    case 'rear':
      return { x: p.x, y: p.y - 8 - row * 9, textAnchor: 'middle' };
    default:
      return { x: p.x, y: p.y + 15 + row * 9, textAnchor: 'middle' };
  }
}

function UsbMark({ outline, side }: { outline: { x: number; y: number; width: number; height: number }; side: Side }) {
  const { x, y, width, height } = outline;
  const flat = side === 'front' || side === 'rear';
  let cx: number;
  if (side === 'left') cx = x;
  else if (side === 'right') cx = x + width;
  else cx = x + width / 2;
  let cy: number;
  if (side === 'front') cy = y;
  else if (side === 'rear') cy = y + height;
  else cy = y + height / 2;
  return (
    <g aria-hidden>
      <rect
        x={cx - (flat ? 14 : 4)}
        y={cy - (flat ? 4 : 14)}
        width={flat ? 28 : 8}
        height={flat ? 8 : 28}
        fill="var(--hair)"
        stroke="var(--ink)"
      />
      <text
        x={cx}
        y={cy + 3}
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
