import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { measurable } from '@/core';
import { useDecide } from '../decide/use-decide';
import { useWords } from '../frame/ways';
import type { Chosen } from './use-chosen';

const mostShown = 6;

/** The figures of the board that are worth a reading: those whose true value could change what is picked, and by how much. */
export function WorthMeasuring({ board, onField }: Pick<Chosen, 'board'> & { onField: (field: string) => void }) {
  const tipping = useDecide({ about: 'tipping', board: board.id });
  const words = useWords();
  const fields = new Set(measurable(board).map((f) => f.field));
  const worth = (tipping ?? []).filter((t) => fields.has(t.field)).slice(0, mostShown);
  return (
    <section aria-label="Worth measuring">
      <Typography variant="h2" sx={{ mt: 2 }}>
        Worth measuring
      </Typography>
      {tipping === null && <Box role="status">Each figure is being turned ...</Box>}
      {tipping !== null && worth.length === 0 && (
        <Box sx={{ fontSize: 12.5 }}>
          No figure that can be measured at home changes the pick alone. Grams and the volts of each rail are worth a
          line all the same: they go to the shelf.
        </Box>
      )}
      {worth.map((t) => (
        <Box
          key={t.field + t.direction}
          sx={{ display: 'flex', gap: 1, borderBottom: '1px solid var(--hair)', py: 0.25 }}
        >
          <Box sx={{ flex: 1, fontSize: 12.5 }}>
            {words(`${t.says}: ${t.now} ${t.unit} now; ${t.direction} ${t.at} ${t.unit}`)} the pick is {t.then}.
          </Box>
          <Button aria-label={`Enter a reading of ${t.says}`} onClick={() => onField(t.field)}>
            Enter
          </Button>
        </Box>
      ))}
    </section>
  );
}
