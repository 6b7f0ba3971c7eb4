import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Select from '@mui/material/Select';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { figuresOf, figureWords, unitsFor, withTyped, withWordCounting, type Board, type BoardFigure } from '@/core';
import { speakers } from '../board/SaysWho';
import { SourcePlace } from '../intake/SourcePlace';
import { today } from '../room/today';

const origins = ['claim', 'manual', 'print', 'report', 'tested', 'measured'] as const;

/** Every single figure with whose word it is; an empty box is unknown. Each change is kept in the history. */
export function BoardFigures({ board, onChange }: { board: Board; onChange: (b: Board) => void }) {
  return (
    <section aria-label="Figures">
      <Typography variant="h2" sx={{ mt: 1.5 }}>
        Figures
      </Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(270px, 1fr))', columnGap: 3 }}>
        {figuresOf(board).map((f) => (
          <Figure key={f.field} figure={f} board={board} onChange={onChange} />
        ))}
      </Box>
    </section>
  );
}

/** What would do in place of what was refused. */
function wanted({ words, unit }: Pick<BoardFigure, 'words' | 'unit'>): string {
  if (words) return words.join(', ');
  if (unit === '') return 'a number, 7..9, yes or no';
  return `a number in ${[unit, ...unitsFor(unit)].join(', ')}; 7..9 for a range`;
}

export function Figure({
  figure,
  board,
  onChange,
}: {
  figure: BoardFigure;
  board: Board;
  onChange: (b: Board) => void;
}) {
  const [refused, setRefused] = useState(false);
  const now = figure.get(board);
  const known = now && !('unknown' in now) ? now : null;
  const text = known ? figureWords(known) : '';
  const origin = known?.origin ?? 'claim';
  const put = (value: string, by: (typeof origins)[number]) => {
    const source = by === origin && known && 'source' in known ? known.source : undefined;
    const made = withTyped(board, figure.field, value, { origin: by, seen: today(), source, who: `${by}, typed in` });
    setRefused(made === null);
    if (made) onChange(made);
  };
  return (
    <Box
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        alignItems: 'baseline',
        columnGap: 1,
        borderBottom: '1px solid var(--hair)',
        py: 0.25,
      }}
    >
      <Box sx={{ flex: 1, fontSize: 12 }}>{figure.says}</Box>
      <TextField
        key={text}
        defaultValue={text}
        placeholder="unknown"
        error={refused}
        helperText={refused ? wanted(figure) : undefined}
        onBlur={(e) => e.target.value.trim() !== text && put(e.target.value.trim(), origin as (typeof origins)[number])}
        onKeyDown={(e) => e.key === 'Enter' && (e.target as HTMLElement).blur()}
        slotProps={{
          htmlInput: {
            'aria-label': `${figure.says}${figure.unit ? ` in ${figure.unit}` : ''}`,
            style: { textAlign: 'right' },
          },
        }}
        sx={{ width: 70 }}
      />
      <Box sx={{ width: 28, fontSize: 11, color: 'text.secondary' }}>{figure.unit}</Box>
      <Select
        value={origin}
        disabled={!known}
        onChange={(e) => put(text, e.target.value as (typeof origins)[number])}
        inputProps={{ 'aria-label': `Whose word: ${figure.says}` }}
        sx={{ width: 84, fontSize: 11 }}
      >
        {(origins as readonly string[]).concat(origins.includes(origin as never) ? [] : [origin]).map((o) => (
          <MenuItem key={o} value={o}>
            {o}
          </MenuItem>
        ))}
      </Select>
      {known && 'place' in known && known.place && <SourcePlace place={known.place} what={figure.says} board={board} />}
      {(known?.also ?? []).map((word, at) => (
        <Box key={at} sx={{ width: '100%', fontSize: 11, color: 'text.secondary' }}>
          {figureWords(word, figure.unit)}, {speakers[word.origin]}
          {word.seen ? `, ${word.seen}` : ''}, does not count.{' '}
          <Button
            size="small"
            aria-label={`Count it: ${figureWords(word, figure.unit)} as ${figure.says}`}
            onClick={() => onChange(withWordCounting(board, figure.field, at, today()) ?? board)}
          >
            Count it
          </Button>
        </Box>
      ))}
    </Box>
  );
}
