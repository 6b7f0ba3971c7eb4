import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Link } from '../frame/Link';
import { buildSheet, sheetSteps } from '@/core';
import { useRoom } from '../room/store';
import { doneKey } from './done';
import { Steps } from './Steps';
import type { Chosen } from './use-chosen';

const mostShown = 4;

/** What the build sheet asks for next, to be ticked off here. */
export function NextSteps({ board, climb }: Chosen) {
  const { build } = useRoom('build');
  const all = sheetSteps(buildSheet(build, board, climb));
  const open = all.filter((s) => !build.done[doneKey(board.id, s)]);
  return (
    <section aria-label="Next on the build sheet">
      <Typography variant="h2">Next on the build sheet</Typography>
      <Box sx={{ fontSize: 12.5 }}>
        {all.length - open.length} of {all.length} steps done.{' '}
        <Link href={`/b/${build.id}/sheet?board=${board.id}`}>The whole sheet</Link>
      </Box>
      <Steps title="" steps={open.slice(0, mostShown)} board={board.id} />
    </section>
  );
}
