'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link } from '../frame/Link';
import { climbMarkdown, wireList, wiresCsv, withoutSet, withSet, type Board, type Ranked } from '@/core';
import { LadderStrip, rungPitch } from '../marks/LadderStrip';
import { stateColour, verdictColour } from '../marks/words';
import { csv, markdown, useTakeOut } from '../frame/take-out';
import { BuildDoubts } from '../decide/BuildDoubts';
import { PickButton } from '../decide/PickButton';
import { KeepSet } from '../frame/KeepSet';
import { NoBoard } from '../frame/NoBoard';
import { useRoom } from '../room/store';
import { ForWriters } from '../room/ForWriters';
import { useCandidate } from '../room/use-candidate';
import { useWholeClimb } from '../room/use-whole-climb';
import { Term } from '../frame/Term';
import { FindingLine } from './FindingLine';
import { PortLedger } from './PortLedger';
import { RailLedger } from './RailLedger';
import { WireTable } from './WireTable';

export function BoardScreen({ boardId }: { boardId: string }) {
  const { ranking } = useRoom('ranking');
  const board = useCandidate(boardId);
  const waiting = (
    <Box role="status" sx={{ p: 3, color: 'text.secondary' }}>
      The board is climbing ...
    </Box>
  );
  const ranked = ranking.ranked?.find((r) => r.climb.boardId === boardId);
  const climb = useWholeClimb(ranked?.climb ?? null, board);
  if (!ranking.ranked) return waiting;
  if (!ranked && board?.members && !ranking.busy) return <KeepSet board={board} />;
  if (!ranked || !board || !climb) return ranking.busy ? waiting : <NoBoard />;
  return <OneBoard board={board} ranked={{ ...ranked, climb }} of={ranking.ranked.length} />;
}

function OneBoard({ board, ranked, of }: { board: Board; ranked: Ranked; of: number }) {
  const { build, ranking } = useRoom('build', 'ranking');
  const { climb, rank } = ranked;
  useTakeOut(() => [
    { says: 'Copy the findings as Markdown', text: () => climbMarkdown(build, climb) },
    { says: 'Save the findings as Markdown', file: markdown(board.id), text: () => climbMarkdown(build, climb) },
    {
      says: 'Save the wires as CSV',
      file: csv(`${board.id}-wires`),
      text: () => wiresCsv(wireList(build, board, climb.hookup)),
    },
  ]);
  const boardId = board.id;
  return (
    <Box sx={{ p: 2 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1.5, flexWrap: 'wrap' }}>
        <Typography variant="h1">{climb.boardName}</Typography>
        <span>{climb.members ? 'a set' : `${climb.maker}, revision ${climb.revision}, ${board.kind}`}</span>
        <Box component="strong" sx={{ color: verdictColour[climb.verdict] }}>
          {climb.verdict}
        </Box>
        <span>
          place {rank} of {of}
          {ranking.partial ? ' so far' : ''}
        </span>
        <PickButton ranked={ranked} firstShare={null} />
        <Link href={`/b/${build.id}/hookup/${boardId}`}>Hookup</Link>
        <Link href={`/b/${build.id}/ladder?board=${boardId}`}>Back to the ladder</Link>
      </Box>
      <BuildDoubts />
      {climb.members ? (
        <Members board={board} />
      ) : (
        board.summary && <Typography color="text.secondary">{board.summary}</Typography>
      )}
      <Box sx={{ mt: 1, maxWidth: rungPitch * 10 }}>
        <LadderStrip climb={climb} />
        <Box sx={{ display: { xs: 'none', sm: 'flex' }, fontSize: 11, fontStretch: '76%', color: 'text.secondary' }}>
          {climb.rungs.map((r) => (
            <Box key={r.rung} component="a" href={`#rung-${r.rung}`} sx={{ width: rungPitch, textAlign: 'center' }}>
              {r.name}
            </Box>
          ))}
        </Box>
      </Box>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1.1fr) minmax(0, 1fr)' },
          gap: 4,
          mt: 2,
        }}
      >
        <Findings climb={climb} board={board} />
        <Box sx={{ display: 'flex', flexDirection: 'column', gap: 3 }}>
          <PortLedger hookup={climb.hookup} board={board} />
          <RailLedger hookup={climb.hookup} />
          <WireTable hookup={climb.hookup} board={board} />
        </Box>
      </Box>
    </Box>
  );
}

/** What a set is bought as, each with a way to its figures. */
function Members({ board }: { board: Board }) {
  const { build, edit } = useRoom('build', 'edit');
  const mine = build.sets.includes(board.id);
  const keep = () =>
    edit(mine ? 'take a set out' : 'keep a set', (b) => (mine ? withoutSet(b, board.id) : withSet(b, board.id)));
  return (
    <Box sx={{ pl: 2.5 }}>
      <Box component="ul" aria-label="Boards of the set" sx={{ m: 0, pl: 0 }}>
        {board.members!.map((m) => (
          <li key={m.board.id}>
            {m.count > 1 ? `${m.count} x ` : ''}
            <Link href={`/b/${build.id}/shelf/${m.board.id}`}>{m.board.name}</Link> by {m.board.maker}, revision{' '}
            {m.board.revision}, {m.role === 'esc' ? 'ESC' : m.role}
            {m.board.summary ? `: ${m.board.summary}` : ''}
          </li>
        ))}
      </Box>
      <ForWriters>
        <Button onClick={keep} sx={{ ml: -1 }}>
          {mine ? 'Let it take part only while it ranks' : 'Keep it in the ladder however it ranks'}
        </Button>
      </ForWriters>
    </Box>
  );
}

function Findings({ climb, board }: { climb: Ranked['climb']; board: Board }) {
  return (
    <section aria-label="Findings">
      {climb.rungs.map((r) => (
        <Box
          key={r.rung}
          id={`rung-${r.rung}`}
          sx={{
            borderTop: '1px solid var(--hair)',
            py: 0.75,
            display: 'flex',
            gap: 1.5,
            opacity: climb.stopsAt !== null && r.rung > climb.stopsAt ? 0.8 : 1,
          }}
        >
          <Box sx={{ width: 84, flexShrink: 0 }}>
            <Typography variant="h3" component="h2">
              {r.rung} <Term>{r.name}</Term>
            </Typography>
            <Box sx={{ color: stateColour[r.state], fontSize: 12, fontWeight: 600 }}>{r.state}</Box>
          </Box>
          <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none', minWidth: 0, flex: 1 }}>
            {r.findings.map((f, i) => (
              <FindingLine key={i} finding={f} board={board} />
            ))}
          </Box>
        </Box>
      ))}
    </section>
  );
}
