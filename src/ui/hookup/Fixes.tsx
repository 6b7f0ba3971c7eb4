'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import {
  firstSentence,
  fixWords,
  money,
  numbered,
  outcomeWords,
  withSet,
  type Board,
  type Climb,
  type Fix,
  type FixSet,
} from '@/core';
import { useWords } from '../frame/ways';
import { useRoom } from '../room/store';
import { ForWriters } from '../room/ForWriters';
import { useExplain } from './use-explain';

/** Why it stops, which fixes would carry it on, and those already accepted. */
export function Fixes({ board, climb }: { board: Board; climb: Climb }) {
  const { build, edit } = useRoom('build', 'edit');
  const router = useRouter();
  const words = useWords();
  const stopped = climb.stopsAt !== null;
  const sets = useExplain(build, board, stopped ? { about: 'fixes' } : null);
  const accepted = build.fixes[board.id] ?? [];
  const nameOf = (id: string) => numbered(build).parts.find((p) => p.id === id)?.peripheral.name ?? id;
  const setFixes = (fixes: Fix[]) =>
    edit(`fix ${board.id} ${fixes.length}`, (b) => ({ ...b, fixes: { ...b.fixes, [board.id]: fixes } }));
  /** Another member makes another set, which takes part from then on. */
  const open = (id: string) => {
    edit('make a set', (b) => withSet(b, id));
    router.push(`/b/${build.id}/hookup/${id}`);
  };
  if (!stopped && accepted.length === 0) return null;
  const reason = climb.rungs.find((r) => r.rung === climb.stopsAt);
  return (
    <section aria-label="Conflict and fixes">
      {reason && (
        <>
          <Typography variant="h2" sx={{ color: 'error.main' }}>
            Stops at {reason.name}
          </Typography>
          <Box sx={{ fontSize: 12.5 }}>{words(firstSentence(reason))}</Box>
          <Typography variant="h3" sx={{ mt: 1 }}>
            What would carry it on
          </Typography>
          {!sets && (
            <Box role="status" sx={{ fontSize: 12.5, color: 'text.secondary' }}>
              Fixes are being tried, one by one and in pairs ...
            </Box>
          )}
          {sets?.every((s) => s.stopsAt !== null) && (
            <Box sx={{ fontSize: 12.5 }}>
              No single fix and no pair of fixes is enough.{' '}
              {sets.length > 0 ? 'These lead further:' : 'Another board is cheaper than three fixes.'}
            </Box>
          )}
          {sets?.map((s, i) => (
            <Box
              key={s.words.join()}
              sx={{
                display: 'flex',
                gap: 1,
                alignItems: 'flex-start',
                borderBottom: '1px solid var(--hair)',
                py: 0.5,
                fontSize: 12.5,
              }}
            >
              <Box sx={{ flex: 1 }}>
                {words(`${s.words.join(', and ')}: ${priceOf(s, build.currency)}; then it ${outcomeWords(s)}.`)}
              </Box>
              {s.becomes === null ? (
                <ForWriters>
                  <Button variant="outlined" data-fix={i} onClick={() => setFixes([...accepted, ...s.fixes])}>
                    Accept
                  </Button>
                </ForWriters>
              ) : (
                <Button variant="outlined" data-fix={i} onClick={() => open(s.becomes!)}>
                  Open the set
                </Button>
              )}
            </Box>
          ))}
        </>
      )}
      {accepted.length > 0 && (
        <>
          <Typography variant="h3" sx={{ mt: 1 }}>
            Accepted for this board
          </Typography>
          {accepted.map((f, i) => (
            <Box key={i} sx={{ display: 'flex', gap: 1, alignItems: 'center', fontSize: 12.5 }}>
              <Box sx={{ flex: 1 }}>{fixWords(f, nameOf, build.motors.count)}</Box>
              <ForWriters>
                <Button onClick={() => setFixes(accepted.filter((_, j) => j !== i))}>Take back</Button>
              </ForWriters>
            </Box>
          ))}
        </>
      )}
    </section>
  );
}

/** Of a fix what it costs; of another member what it costs more, or saves. */
function priceOf({ becomes, cents, grams, effort }: FixSet, currency: string): string {
  if (becomes === null)
    return cents > 0 ? `${money(cents, currency)}, ${grams} g, ${effort} points of effort` : 'costs no money';
  return `${cents < 0 ? `saves ${money(-cents, currency)}` : `${money(cents, currency)} more`}, ${grams < 0 ? `${-grams} g less` : `${grams} g more`}`;
}
