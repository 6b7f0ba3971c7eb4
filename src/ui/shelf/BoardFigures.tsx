import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import Select from '@mui/material/Select';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { boardFigures, figureWords, type Board } from '@/core';

const origins = ['claim', 'manual', 'print', 'report', 'measured'] as const;
const today = () => new Date().toISOString().slice(0, 10);

/** Every single figure with whose word it is; an empty box is unknown. Each change is kept in the history. */
export function BoardFigures({ board, onChange }: { board: Board; onChange: (b: Board) => void }) {
  return (
    <section aria-label="Figures">
      <Typography variant="h2" sx={{ mt: 1.5 }}>
        Figures
      </Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(270px, 1fr))', columnGap: 3 }}>
        {boardFigures.map((f) => (
          <Figure key={f.field} figure={f} board={board} onChange={onChange} />
        ))}
      </Box>
    </section>
  );
}

function Figure({ figure, board, onChange }: { figure: (typeof boardFigures)[number]; board: Board; onChange: (b: Board) => void }) {
  const now = figure.get(board);
  const known = now && !('unknown' in now) ? now : null;
  const text = !known ? '' : 'low' in known ? `${known.low}..${known.high}` : String(known.value);
  const origin = known?.origin ?? 'claim';
  const put = (value: string, by: string) => {
    const made = madeFrom(value, figure.field);
    if (made === undefined) return;
    const next = made === null ? { unknown: true as const } : { ...made, origin: by, seen: today(), ...(known && 'source' in known && known.source && by === origin ? { source: known.source } : {}) };
    const changed = figure.set(board, next as never);
    const entry = { when: today(), field: figure.field.slice(0, 40), before: figureWords(now, figure.unit), after: figureWords(next as never, figure.unit), who: `${by}, typed in` };
    onChange(entry.before === entry.after && by === origin ? changed : { ...changed, history: [...board.history, entry].slice(-500) });
  };
  return (
    <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1, borderBottom: '1px solid var(--hair)', py: 0.25 }}>
      <Box sx={{ flex: 1, fontSize: 12 }}>{figure.says}</Box>
      <TextField key={text} defaultValue={text} placeholder="unknown" onBlur={(e) => e.target.value.trim() !== text && put(e.target.value.trim(), origin)} onKeyDown={(e) => e.key === 'Enter' && (e.target as HTMLElement).blur()} slotProps={{ htmlInput: { 'aria-label': `${figure.says}${figure.unit ? ` in ${figure.unit}` : ''}`, style: { textAlign: 'right' } } }} sx={{ width: 70 }} />
      <Box sx={{ width: 28, fontSize: 11, color: 'text.secondary' }}>{figure.unit}</Box>
      <Select value={origin} disabled={!known} onChange={(e) => put(text, e.target.value)} inputProps={{ 'aria-label': `Whose word: ${figure.says}` }} sx={{ width: 84, fontSize: 11 }}>
        {(origins as readonly string[]).concat(origins.includes(origin as never) ? [] : [origin]).map((o) => (
          <MenuItem key={o} value={o}>
            {o}
          </MenuItem>
        ))}
      </Select>
    </Box>
  );
}

/** null: unknown; undefined: not understood, leave what stood there. */
function madeFrom(text: string, field: string): object | null | undefined {
  if (text === '' || text === '?') return null;
  const number = (s: string) => Number(s.replace(',', '.'));
  const range = /^(\d+(?:[.,]\d+)?)\s*(?:\.\.|-|to)\s*(\d+(?:[.,]\d+)?)$/.exec(text);
  if (range && number(range[1]!) <= number(range[2]!)) return { low: number(range[1]!), high: number(range[2]!) };
  if (/^\d+(?:[.,]\d+)?$/.test(text)) return { value: number(text) };
  if (/^(yes|true)$/i.test(text)) return { value: true };
  if (/^(no|false)$/i.test(text)) return { value: false };
  const words: Record<string, string[]> = { processor: ['F1', 'F3', 'F4', 'F7', 'H7', 'G4'], 'mounting.screw': ['M2', 'M3'], gyroNoise: ['low', 'usual', 'high'] };
  const word = words[field]?.find((w) => w.toLowerCase() === text.toLowerCase());
  return word ? { value: word } : undefined;
}
