import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Select from '@mui/material/Select';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useDeferredValue, useMemo, useState, type KeyboardEvent, type ReactNode } from 'react';
import { applyReadings, correctReading, readingText, readSpec, specUnit, type Board, type Reading } from '@/core';
import { today } from '../room/today';

type Choice = 'open' | 'taken' | 'left';
const mostChars = 1_000_000;
/** The page of one board holds fewer than 60 figures. */
const mostReadings = 300;
const words: Record<string, string> = {
  claimedPorts: 'serial ports',
  takenPort: 'port taken',
  cellsMin: 'fewest cells',
  cellsMax: 'most cells',
  packMaxVolts: 'most volts',
  continuousAmps: 'continuous',
  burstAmps: 'burst',
  burstSeconds: 'burst time',
  sensorAmps: 'sensor',
  patternMm: 'hole pattern',
  lengthMm: 'length',
  widthMm: 'width',
  heightMm: 'height',
  massG: 'mass',
  massIncludes: 'mass includes',
  regulators: 'regulator, V@A',
  overlayChip: 'overlay chip',
  storageMb: 'storage',
  usbPlug: 'USB plug',
};

/** Paste a shop page or a manual; every figure understood is marked where it stands. Only what is confirmed lands on the board. */
export function SheetReader({ board, onChange }: { board: Board; onChange: (b: Board) => void }) {
  const [text, setText] = useState('');
  const [origin, setOrigin] = useState<'claim' | 'manual' | 'print' | 'report'>('claim');
  // The box keeps up with the typing; what is understood may follow a moment later.
  const pasted = useDeferredValue(text);
  const understood = useMemo(() => readSpec(pasted.slice(0, mostChars)), [pasted]);
  const readings = useMemo(
    () => (pasted === text ? understood.slice(0, mostReadings) : []),
    [understood, pasted, text],
  );
  const [choices, setChoices] = useState<Record<number, Choice>>({});
  const [at, setAt] = useState(0);
  const choice = (i: number): Choice => choices[i] ?? 'open';
  const [typed, setTyped] = useState<Record<number, string>>({});
  const corrected = (r: Reading, i: number) => (typed[i] === undefined ? r : correctReading(board, r, typed[i]));
  const open = readings.filter((_, i) => choice(i) === 'open').length;
  const decide = (i: number, c: Choice) => {
    const reading = corrected(readings[i]!, i);
    // What is typed instead and is no value of the field stays in its box.
    if (c === 'taken' && !reading) return;
    setChoices((old) => ({ ...old, [i]: c }));
    if (c === 'taken') onChange(applyReadings(board, [reading!], { origin, seen: today() }));
    const next = readings.findIndex((_, j) => j > i && choice(j) === 'open');
    if (next >= 0) setAt(next);
  };
  const keys = (e: KeyboardEvent) => {
    if ((e.target as HTMLElement).tagName === 'INPUT') return;
    const step = { ArrowDown: 1, ArrowUp: -1 }[e.key];
    if (step) setAt((i) => Math.max(0, Math.min(readings.length - 1, i + step)));
    else if (e.key === 'Enter') decide(at, 'taken');
    else if (e.key === 'Delete' || e.key === 'x') decide(at, 'left');
    else return;
    e.preventDefault();
  };
  return (
    <section aria-label="Read a spec sheet">
      <Typography variant="h2">Read a spec sheet</Typography>
      <TextField
        multiline
        minRows={3}
        maxRows={8}
        fullWidth
        value={text}
        onChange={(e) => (setText(e.target.value), setChoices({}), setTyped({}), setAt(0))}
        placeholder="Paste a shop page, a manual, or what is printed on the board"
        slotProps={{ htmlInput: { 'aria-label': 'Text of the spec sheet' } }}
      />
      {readings.length > 0 && (
        <>
          <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', fontSize: 12, mt: 0.5 }}>
            {readings.length} figures understood, {open} open. Whose word:
            <Select
              value={origin}
              onChange={(e) => setOrigin(e.target.value)}
              inputProps={{ 'aria-label': 'Whose word this text is' }}
            >
              {(['claim', 'manual', 'print', 'report'] as const).map((o) => (
                <MenuItem key={o} value={o}>
                  {o}
                </MenuItem>
              ))}
            </Select>
          </Box>
          <Box
            sx={{
              whiteSpace: 'pre-wrap',
              fontSize: 12,
              border: '1px solid var(--hair)',
              p: 1,
              my: 0.5,
              maxHeight: 150,
              overflow: 'auto',
              background: 'var(--paper)',
            }}
            aria-label="The text with its marks"
          >
            {marked(text.slice(0, 20_000), readings, at, choice)}
          </Box>
          <Box
            role="listbox"
            aria-label="Figures understood"
            tabIndex={0}
            onKeyDown={keys}
            sx={{ maxHeight: 'max(260px, 44vh)', overflow: 'auto', fontSize: 12.5 }}
          >
            {readings.map((r, i) => (
              <Box
                key={i}
                role="option"
                aria-selected={i === at}
                onClick={() => setAt(i)}
                sx={{
                  display: 'flex',
                  gap: 1,
                  alignItems: 'center',
                  borderBottom: '1px solid var(--hair)',
                  background: i === at ? 'var(--copperSoft)' : undefined,
                  px: 0.5,
                }}
              >
                <Box sx={{ width: 92, textDecoration: choice(i) === 'left' ? 'line-through' : 'none' }}>
                  {words[r.field] ?? r.field}
                </Box>
                <TextField
                  value={typed[i] ?? readingText(r)}
                  error={choice(i) === 'open' && !corrected(r, i)}
                  onChange={(e) => setTyped((t) => ({ ...t, [i]: e.target.value }))}
                  slotProps={{ htmlInput: { 'aria-label': `Value: ${words[r.field] ?? r.field}` } }}
                  sx={{ width: 62 }}
                />
                <Box sx={{ width: 28, color: 'text.secondary' }}>{specUnit(r.field)}</Box>
                <Box
                  sx={{ flex: 1, color: r.doubt === 'sure' ? 'text.secondary' : 'warning.main', fontSize: 11 }}
                  title={r.why}
                >
                  {choice(i) === 'open' && !corrected(r, i)
                    ? 'not a value of this field'
                    : `${r.doubt}${r.why ? `: ${r.why}` : ''}`}
                </Box>
                {choice(i) === 'open' ? (
                  <>
                    <Button onClick={() => decide(i, 'taken')} sx={{ px: 0.5 }}>
                      Take
                    </Button>
                    <Button onClick={() => decide(i, 'left')} sx={{ px: 0.5 }}>
                      Leave
                    </Button>
                  </>
                ) : (
                  <span>{choice(i)}</span>
                )}
              </Box>
            ))}
          </Box>
          {understood.length > mostReadings && (
            <Box sx={{ fontSize: 12, color: 'warning.main' }}>
              The first {mostReadings} of {understood.length} figures are listed. This is more than one board: paste the
              part that is about it.
            </Box>
          )}
          <Box sx={{ fontSize: 11, color: 'text.secondary' }}>
            In the list: arrows walk, Enter takes, x leaves. What is not marked in the text was not used.
          </Box>
        </>
      )}
      {text.trim() !== '' && pasted === text && readings.length === 0 && (
        <Box sx={{ fontSize: 12.5 }}>
          No figure in this text was understood. Type what you read into the boxes on the left.
        </Box>
      )}
    </section>
  );
}

function marked(text: string, readings: Reading[], at: number, choice: (i: number) => Choice): ReactNode[] {
  const out: ReactNode[] = [];
  let from = 0;
  readings.forEach((r, i) => {
    if (r.start < from || r.end > text.length) return;
    out.push(text.slice(from, r.start));
    let textDecoration: 'none' | 'line-through' | 'underline dotted';
    if (choice(i) === 'left') textDecoration = 'line-through';
    else if (r.doubt === 'sure') textDecoration = 'none';
    else textDecoration = 'underline dotted';
    out.push(
      <Box
        component="mark"
        key={i}
        sx={{
          background: i === at ? 'var(--copper)' : 'var(--copperSoft)',
          color: i === at ? 'var(--paper)' : 'inherit',
          textDecoration,
        }}
      >
        {text.slice(r.start, r.end)}
      </Box>,
    );
    from = r.end;
  });
  out.push(text.slice(from));
  return out;
}
