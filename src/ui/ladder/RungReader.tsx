import Box from '@mui/material/Box';
import { Link } from '../frame/Link';
import type { Ranked } from '@/core';
import { PickButton } from '../decide/PickButton';
import { useRoom } from '../room/store';
import { useCandidate } from '../room/use-candidate';
import { useWholeClimb } from '../room/use-whole-climb';
import { FindingLine } from '../board/FindingLine';
import { stateColour } from '../marks/words';

/** The findings of the rung under the cursor, at the foot of the ladder. */
export function RungReader({ ranked, rung }: { ranked: Ranked; rung: number }) {
  const { build } = useRoom('build');
  const climb = useWholeClimb(ranked.climb, useCandidate(ranked.climb.boardId))!;
  const r = climb.rungs[rung - 1]!;
  return (
    <Box
      component="section"
      className="no-print"
      aria-label="The rung in words"
      sx={{
        borderTop: '2px solid var(--ink)',
        px: 2,
        py: 1,
        height: 112,
        overflow: 'auto',
        background: 'var(--sheet)',
      }}
    >
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'baseline', mb: 0.5 }}>
        <strong>{climb.boardName}</strong>
        <span>
          rung {r.rung}, {r.name}:
        </span>
        <Box component="strong" sx={{ color: stateColour[r.state] }}>
          {r.state}
        </Box>
        <Box sx={{ flex: 1 }} />
        <Link href={`/b/${build.id}/board/${climb.boardId}`}>Findings</Link>
        <Link href={`/b/${build.id}/hookup/${climb.boardId}`}>Hookup</Link>
        <PickButton ranked={ranked} firstShare={null} />
      </Box>
      <Box component="ul" sx={{ m: 0, pl: 0, listStyle: 'none' }}>
        {r.findings.map((f, i) => (
          <FindingLine key={i} finding={f} />
        ))}
      </Box>
    </Box>
  );
}
