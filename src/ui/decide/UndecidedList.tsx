import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Link } from '../frame/Link';
import { counted, sentenceOf, undecidedBoards, type Ranked } from '@/core';
import { useWords } from '../frame/ways';
import { useRoom } from '../room/store';

const mostShown = 8;
const mostReasons = 3;

/** The boards that the ladder cannot tell yet, each with what it hangs on. `asked`: those that a question is about; null while it is worked out. */
export function UndecidedList({ ranked, asked }: { ranked: Ranked[]; asked: ReadonlySet<string> | null }) {
  const { build } = useRoom('build');
  const words = useWords();
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
          {asked && !asked.has(b.boardId) && (
            <Box component="span" sx={{ color: 'text.secondary' }}>
              : nothing more to be asked; whatever it turns out to be, the pick stays.
            </Box>
          )}
          <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
            {b.hangsOn.slice(0, mostReasons).map((h, i) => (
              <li key={i}>
                {h.rung}: {words(sentenceOf(h.finding))}
              </li>
            ))}
            {b.hangsOn.length > mostReasons && <li>and {b.hangsOn.length - mostReasons} more</li>}
          </Box>
        </Box>
      ))}
      {boards.length > mostShown && <Box>and {boards.length - mostShown} more on the ladder</Box>}
    </Box>
  );
}
