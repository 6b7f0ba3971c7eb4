import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Link } from '../frame/Link';
import { carries, counted, sentenceOf, undecidedBoards, type Ranked, type Undecided } from '@/core';
import { useWords } from '../frame/ways';
import { useRoom } from '../room/store';

const mostShown = 8;
const mostReasons = 3;

/** The boards that the ladder cannot tell yet, each with what it hangs on. `asked`: those that a question is about; null while it is worked out. */
export function UndecidedList({ ranked, asked }: { ranked: Ranked[]; asked: ReadonlySet<string> | null }) {
  const { build } = useRoom('build');
  const picked = ranked[0] !== undefined && carries(ranked[0].climb);
  const boards = undecidedBoards(ranked);
  return (
    <Box component="aside" aria-label="Boards that cannot be told yet">
      <Typography variant="h2">
        {boards.length === 0 ? 'Every board can be told' : `${counted(boards.length, 'board')} that cannot be told yet`}
      </Typography>
      {boards.length === 0 && (
        <Box sx={{ fontSize: 12.5 }}>Enough is said of each to say whether it carries the build.</Box>
      )}
      {boards.slice(0, mostShown).map((b) => (
        <Box key={b.boardId} sx={{ borderTop: '1px solid var(--hair)', py: 0.75, fontSize: 12.5 }}>
          <Link href={`/b/${build.id}/board/${b.boardId}`}>{b.name}</Link>, place {b.rank}
          {asked && !b.of.some((id) => asked.has(id)) && (
            <Box component="span" sx={{ color: 'text.secondary' }}>
              {picked
                ? ': nothing of it is asked; whatever it turns out to be, the pick stays.'
                : ': nothing is asked about the board itself.'}
            </Box>
          )}
          <Reasons reasons={reasonsOf(b)} />
        </Box>
      ))}
      {boards.length > mostShown && <Box>and {boards.length - mostShown} more on the ladder</Box>}
    </Box>
  );
}

/** What a board hangs on, once each, with the rungs that it leaves open. */
function reasonsOf({ hangsOn }: Undecided): Map<string, string[]> {
  const found = new Map<string, string[]>();
  for (const { rung, finding } of hangsOn) {
    const sentence = sentenceOf(finding);
    found.set(sentence, [...(found.get(sentence) ?? []), rung]);
  }
  return found;
}

function Reasons({ reasons }: { reasons: ReadonlyMap<string, string[]> }) {
  const words = useWords();
  return (
    <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
      {[...reasons].slice(0, mostReasons).map(([sentence, rungs]) => (
        <li key={sentence}>
          {rungs.join(', ')}: {words(sentence)}
        </li>
      ))}
      {reasons.size > mostReasons && <li>and {reasons.size - mostReasons} more</li>}
    </Box>
  );
}
