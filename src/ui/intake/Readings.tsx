import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useRef, useState, type KeyboardEvent } from 'react';
import { correctReading, readingText, specUnit, type Board, type Reading } from '@/core';
import { fieldWords } from './field-words';
import { MarkedText, type Choice } from './MarkedText';

/** Figures that were understood, to be taken or left: all sure ones at once, the doubtful one by one, each with a single key. */
export function Readings({
  board,
  text,
  readings,
  onTake,
}: {
  board: Board;
  text: string;
  readings: Reading[];
  /** What was taken as it is meant, each beside how it was read. */
  onTake: (taken: { read: Reading; meant: Reading }[]) => void;
}) {
  const [choices, setChoices] = useState<Record<number, Choice>>({});
  const [at, setAt] = useState(0);
  const [typed, setTyped] = useState<Record<number, string>>({});
  const list = useRef<HTMLDivElement>(null);
  const choice = (i: number): Choice => choices[i] ?? 'open';
  const corrected = (r: Reading, i: number) => (typed[i] === undefined ? r : correctReading(board, r, typed[i]));
  const open = readings.filter((_, i) => choice(i) === 'open').length;
  const sure = readings.flatMap((r, i) => (r.doubt === 'sure' && choice(i) === 'open' && corrected(r, i) ? [i] : []));
  const walkTo = (after: Record<number, Choice>, from: number) => {
    const next = readings.findIndex((_, j) => j > from && (after[j] ?? 'open') === 'open');
    const first = readings.findIndex((_, j) => (after[j] ?? 'open') === 'open');
    setAt(next >= 0 ? next : Math.max(0, first));
  };
  const decide = (i: number, c: Choice) => {
    const meant = corrected(readings[i]!, i);
    // What is typed instead and is no value of the field stays in its box.
    if (c === 'taken' && !meant) return;
    const after = { ...choices, [i]: c };
    setChoices(after);
    if (c === 'taken') onTake([{ read: readings[i]!, meant: meant! }]);
    walkTo(after, i);
  };
  const takeSure = () => {
    const after = { ...choices, ...Object.fromEntries(sure.map((i) => [i, 'taken' as const])) };
    setChoices(after);
    onTake(sure.map((i) => ({ read: readings[i]!, meant: corrected(readings[i]!, i)! })));
    walkTo(after, -1);
    list.current?.focus();
  };
  const keys = (e: KeyboardEvent) => {
    if ((e.target as HTMLElement).tagName === 'INPUT') return;
    const step = { ArrowDown: 1, ArrowUp: -1 }[e.key];
    if (step) setAt((i) => Math.max(0, Math.min(readings.length - 1, i + step)));
    else if (e.key === 'Enter') decide(at, 'taken');
    else if (e.key === 'Delete' || e.key === 'x') decide(at, 'left');
    else if (e.key === 'a' && sure.length > 0) takeSure();
    else return;
    e.preventDefault();
  };
  return (
    <>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', fontSize: 12, mt: 0.5 }}>
        <Box role="status" sx={{ flex: 1 }}>
          {readings.length} figures understood, {open} open
        </Box>
        <Button variant="contained" disabled={sure.length === 0} onClick={takeSure}>
          Take the {sure.length} that are sure
        </Button>
      </Box>
      <MarkedText text={text} readings={readings} at={at} choice={choice} />
      <Box
        ref={list}
        role="grid"
        aria-label="Figures understood"
        aria-activedescendant={`reading-${at}`}
        tabIndex={0}
        onKeyDown={keys}
        sx={{ maxHeight: 'max(260px, 44vh)', overflow: 'auto', fontSize: 12.5 }}
      >
        {readings.map((r, i) => (
          <Box
            key={i}
            id={`reading-${i}`}
            role="row"
            aria-selected={i === at}
            onClick={() => setAt(i)}
            sx={{
              display: 'flex',
              flexWrap: 'wrap',
              columnGap: 1,
              alignItems: 'center',
              borderBottom: '1px solid var(--hair)',
              background: i === at ? 'var(--copperSoft)' : undefined,
              px: 0.5,
            }}
          >
            <Box role="gridcell" sx={{ width: 92, textDecoration: choice(i) === 'left' ? 'line-through' : 'none' }}>
              {fieldWords(r.field)}
            </Box>
            <Box role="gridcell">
              <TextField
                value={typed[i] ?? readingText(r)}
                error={choice(i) === 'open' && !corrected(r, i)}
                onChange={(e) => setTyped((t) => ({ ...t, [i]: e.target.value }))}
                slotProps={{ htmlInput: { 'aria-label': `Value: ${fieldWords(r.field)}` } }}
                sx={{ width: 62, '& input': { minHeight: 24, boxSizing: 'border-box' } }}
              />
            </Box>
            <Box role="gridcell" sx={{ width: 28, color: 'text.secondary' }}>
              {specUnit(r.field)}
            </Box>
            <Box role="gridcell" sx={{ flex: 1, color: 'text.secondary', fontSize: 11 }}>
              {r.doubt === 'sure' ? 'sure' : ''}
            </Box>
            <Box role="gridcell" sx={{ whiteSpace: 'nowrap' }}>
              {choice(i) === 'open' ? (
                <>
                  <Button
                    aria-label={`Take ${fieldWords(r.field)} ${readingText(r)}`}
                    onClick={() => decide(i, 'taken')}
                    sx={{ px: 0.5 }}
                  >
                    Take
                  </Button>
                  <Button
                    aria-label={`Leave ${fieldWords(r.field)} ${readingText(r)}`}
                    onClick={() => decide(i, 'left')}
                    sx={{ px: 0.5 }}
                  >
                    Leave
                  </Button>
                </>
              ) : (
                <span>{choice(i)}</span>
              )}
            </Box>
            {(r.doubt !== 'sure' || (choice(i) === 'open' && !corrected(r, i))) && (
              <Box role="gridcell" sx={{ width: '100%', color: 'warning.main', fontSize: 11, pb: 0.25 }}>
                {choice(i) === 'open' && !corrected(r, i)
                  ? 'not a value of this field'
                  : `${r.doubt}${r.why ? `: ${r.why}` : ''}`}
              </Box>
            )}
          </Box>
        ))}
      </Box>
      <Box sx={{ fontSize: 11, color: 'text.secondary' }}>
        In the list: a takes all that are sure, arrows walk, Enter takes, x leaves. What is not marked in the text was
        not used.
      </Box>
    </>
  );
}
