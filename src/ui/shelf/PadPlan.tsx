import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Select from '@mui/material/Select';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import {
  addGroup,
  mayHaveMore,
  outlineOf,
  padGroups,
  placePads,
  removePad,
  sides,
  signalRates,
  withTyped,
  type Board,
  type PadGroup,
  type PlacedPad,
} from '@/core';
import { Choice } from '../form/Choice';
import { NumberBox } from '../form/NumberBox';
import { today } from '../room/today';
import { Said } from './Said';

const edges = [...sides, 'inner'] as const;
const area = { width: 300, height: 250 };

/** Both sides of the board to scale. Pads come in by edge and group, in their order; nothing is drawn freely. */
export function PadPlan({ board, onChange }: { board: Board; onChange: (b: Board) => void }) {
  const [edge, setEdge] = useState<(typeof edges)[number]>('left');
  const [face, setFace] = useState<'top' | 'bottom'>('top');
  const [group, setGroup] = useState<PadGroup>('port');
  const [picked, setPicked] = useState<string | null>(null);
  const all = !mayHaveMore(board);
  const pad = board.pads.find((p) => p.id === picked) ?? null;
  const port = pad && board.ports.find((p) => [...p.rx, ...p.tx].some((e) => e.pad === pad.id));
  const setPad = (change: Partial<Board['pads'][number]>) =>
    onChange({ ...board, pads: board.pads.map((p) => (p.id === picked ? { ...p, ...change } : p)) });
  const move = (by: number) => {
    const along = board.pads
      .filter((p) => p.edge === pad!.edge && p.face === pad!.face)
      .sort((a, b) => a.order - b.order);
    const at = along.indexOf(pad!);
    const other = along[at + by];
    if (other)
      onChange({
        ...board,
        pads: board.pads.map((p) => {
          if (p.id === pad!.id) return { ...p, order: at + by };
          if (p.id === other.id) return { ...p, order: at };
          if (along.includes(p)) return { ...p, order: along.indexOf(p) };
          return p;
        }),
      });
  };
  const setPort = (change: Partial<Board['ports'][number]>) =>
    onChange({ ...board, ports: board.ports.map((p) => (p.id === port!.id ? { ...p, ...change } : p)) });
  return (
    <section aria-label="Pads">
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'flex-start' }}>
        {(['top', 'bottom'] as const).map((f) => (
          <Side key={f} board={board} face={f} picked={picked} onPick={setPicked} />
        ))}
        <Box sx={{ flex: 1, minWidth: 170, fontSize: 12.5, display: 'flex', flexDirection: 'column', gap: 0.75 }}>
          <Typography variant="h2">Pads</Typography>
          <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
            <Select
              value={group}
              onChange={(e) => setGroup(e.target.value as PadGroup)}
              inputProps={{ 'aria-label': 'Group of pads' }}
            >
              {padGroups.map((g) => (
                <MenuItem key={g} value={g}>
                  {g}
                </MenuItem>
              ))}
            </Select>
            <Select
              value={edge}
              onChange={(e) => setEdge(e.target.value as (typeof edges)[number])}
              inputProps={{ 'aria-label': 'Edge' }}
            >
              {edges.map((e) => (
                <MenuItem key={e} value={e}>
                  {e}
                </MenuItem>
              ))}
            </Select>
            <Select
              value={face}
              onChange={(e) => setFace(e.target.value as 'top' | 'bottom')}
              inputProps={{ 'aria-label': 'Side of the board' }}
            >
              <MenuItem value="top">top</MenuItem>
              <MenuItem value="bottom">bottom</MenuItem>
            </Select>
            <Button variant="outlined" onClick={() => onChange(addGroup(board, group, edge, face))}>
              Add
            </Button>
          </Box>
          <FormControlLabel
            label="All its pads are drawn"
            control={
              <Checkbox
                checked={all}
                onChange={(_, yes) =>
                  onChange(
                    withTyped(board, 'allPads', yes ? 'yes' : '?', {
                      origin: 'print',
                      seen: today(),
                      who: 'typed in',
                    })!,
                  )
                }
              />
            }
          />
          {!all && <Box sx={{ color: 'text.secondary' }}>What is not drawn counts as unknown until you say so.</Box>}
          {pad ? (
            <Box
              sx={{ display: 'flex', flexDirection: 'column', gap: 0.5, borderLeft: '3px solid var(--copper)', pl: 1 }}
            >
              <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
                <TextField
                  value={pad.label}
                  onChange={(e) => e.target.value && setPad({ label: e.target.value })}
                  slotProps={{ htmlInput: { 'aria-label': 'As printed', maxLength: 40 } }}
                  sx={{ width: 70 }}
                />
                <Button onClick={() => move(-1)}>Earlier</Button>
                <Button onClick={() => move(1)}>Later</Button>
                <Button
                  aria-pressed={pad.form === 'pin'}
                  onClick={() => setPad({ form: pad.form === 'pin' ? 'pad' : 'pin' })}
                >
                  {pad.form === 'pin' ? 'plug pin' : 'pad'}
                </Button>
                <Button aria-pressed={!pad.reachable} onClick={() => setPad({ reachable: !pad.reachable })}>
                  {pad.reachable ? 'reached when mounted' : 'hidden when mounted'}
                </Button>
                <Button
                  onClick={() => {
                    let relief: boolean | undefined;
                    if (pad.relief === undefined) relief = true;
                    else if (pad.relief) relief = false;
                    else relief = undefined;
                    return setPad({ relief: relief });
                  }}
                >
                  {reliefWords(pad.relief)}
                </Button>
                <Button color="error" onClick={() => (onChange(removePad(board, pad.id)), setPicked(null))}>
                  Remove
                </Button>
              </Box>
              <PadOutput board={board} pad={pad.id} onChange={onChange} />
              {board.receiver && (
                <FormControlLabel
                  label="the built-in receiver is updated by it"
                  control={
                    <Checkbox
                      checked={board.receiver.updatePads?.includes(pad.id) ?? false}
                      onChange={(_, yes) => onChange(withUpdatePad(board, pad.id, yes))}
                    />
                  }
                />
              )}
              {port && (
                <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
                  {port.label}
                  {port.rx.some((e) => e.pad === pad.id) && (
                    <Select
                      value={port.rx.find((e) => e.pad === pad.id)!.sense}
                      onChange={(e) =>
                        setPort({
                          rx: port.rx.map((x) => (x.pad === pad.id ? { ...x, sense: e.target.value as 'plain' } : x)),
                        })
                      }
                      inputProps={{ 'aria-label': 'Inverter in the line' }}
                    >
                      <MenuItem value="plain">plain</MenuItem>
                      <MenuItem value="inverted">inverter in the line</MenuItem>
                      <MenuItem value="unknown">nobody says</MenuItem>
                    </Select>
                  )}
                </Box>
              )}
            </Box>
          ) : (
            <Box sx={{ color: 'text.secondary' }}>Pick a pad to name, move or remove it.</Box>
          )}
        </Box>
      </Box>
    </section>
  );
}

/** The output behind a pad: the timer it shares, the rates and the level it sends at. */
function PadOutput({ board, pad, onChange }: { board: Board; pad: string; onChange: (b: Board) => void }) {
  const output = board.outputs.find((o) => o.pad === pad);
  if (!output) return null;
  const put = (change: Partial<Board['outputs'][number]>) =>
    onChange({ ...board, outputs: board.outputs.map((o) => (o === output ? { ...o, ...change } : o)) });
  const rate = output.rates?.length === 1 ? output.rates[0]! : 'both';
  return (
    <Box sx={{ display: 'flex', gap: 1, alignItems: 'flex-end', flexWrap: 'wrap' }}>
      <Said label="Timer" value={output.timer} width={70} onSay={(timer) => put({ timer })} />
      <Choice
        label="Rates"
        value={rate}
        words={['both', ...signalRates]}
        onChange={(r) => put({ rates: r === 'both' ? undefined : [r] })}
      />
      <NumberBox
        label="Sends"
        unit="V"
        min={0.5}
        max={12}
        width={84}
        mayBeUnknown
        empty="3.3"
        value={output.sendsVolts ?? null}
        onChange={(v) => put({ sendsVolts: v ?? undefined })}
      />
    </Box>
  );
}

function withUpdatePad(board: Board, pad: string, yes: boolean): Board {
  if (!board.receiver) return board;
  const others = (board.receiver.updatePads ?? []).filter((p) => p !== pad);
  return { ...board, receiver: { ...board.receiver, updatePads: yes ? [...others, pad] : others } };
}

function Side({
  board,
  face,
  picked,
  onPick,
}: {
  board: Board;
  face: 'top' | 'bottom';
  picked: string | null;
  onPick: (pad: string) => void;
}) {
  const outline = outlineOf(board, area, 196);
  const pads = placePads(board, outline, face, 9);
  /** From one pad of an edge to the next. */
  const pitch = (edge: PlacedPad['edge']) => {
    const along = pads
      .filter((p) => p.edge === edge)
      .map((p) => (edge === 'left' || edge === 'right' ? p.y : p.x))
      .sort((x, y) => x - y);
    return along.length > 1 ? along[1]! - along[0]! : Infinity;
  };
  const widest = (edge: PlacedPad['edge']) =>
    4.6 * Math.max(...pads.filter((p) => p.edge === edge).map((p) => p.label.length));
  return (
    <svg
      viewBox={`0 0 ${area.width} ${area.height}`}
      width={area.width}
      height={area.height}
      role="group"
      aria-label={`${face} of the board`}
    >
      <rect
        x={outline.x}
        y={outline.y}
        width={outline.width}
        height={outline.height}
        rx={5}
        fill="var(--sheet)"
        stroke="var(--ink)"
        strokeWidth={1.6}
      />
      <text x={area.width / 2} y={area.height / 2} textAnchor="middle" fontSize={11} fill="var(--faded)">
        {face}, nose up
      </text>
      {pads.map((p) => (
        <g
          key={p.id}
          role="button"
          tabIndex={0}
          aria-label={`Pad ${p.label}`}
          aria-pressed={p.id === picked}
          onClick={() => onPick(p.id)}
          onKeyDown={(e) => (e.key === 'Enter' || e.key === ' ') && (e.preventDefault(), onPick(p.id))}
          style={{ cursor: 'pointer' }}
        >
          <rect
            x={p.x - padSize(pitch(p.edge)) / 2}
            y={p.y - padSize(pitch(p.edge)) / 2}
            width={padSize(pitch(p.edge))}
            height={padSize(pitch(p.edge))}
            rx={2}
            fill={p.id === picked ? 'var(--copper)' : 'var(--paper)'}
            stroke="var(--ink)"
          />
          <text {...labelSpot(p, pitch(p.edge) < widest(p.edge) + 3)} fontSize={8} fill="var(--ink)">
            {p.label}
          </text>
        </g>
      ))}
    </svg>
  );
}

/** Pads are drawn as large as their neighbours allow. */
function padSize(pitch: number): number {
  return Math.max(5, Math.min(12, pitch - 2));
}

/** A label lies outside the board, beside its pad; on a crowded edge it stands upright. Inner ones lie below their pad. */
function labelSpot(
  { x, y, edge }: PlacedPad,
  crowded: boolean,
): { x: number; y: number; textAnchor: 'start' | 'middle' | 'end'; transform?: string } {
  if (edge === 'left') return { x: x - 14, y: y + 3, textAnchor: 'end' };
  if (edge === 'right') return { x: x + 14, y: y + 3, textAnchor: 'start' };
  if (edge === 'inner' || !crowded)
    return { x, y: y + { front: -14, rear: 20, inner: 15 }[edge], textAnchor: 'middle' };
  const at = edge === 'front' ? y - 14 : y + 14;
  return {
    x,
    y: at,
    textAnchor: edge === 'front' ? 'start' : 'end',
    transform: `rotate(-90 ${x} ${at}) translate(0 3)`,
  };
}

function reliefWords(relief: boolean | undefined): string {
  if (relief === undefined) return 'thermal relief: nobody says';
  return relief ? 'thermal relief' : 'no thermal relief';
}
