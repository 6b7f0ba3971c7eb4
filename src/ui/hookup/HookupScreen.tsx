'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link } from '../frame/Link';
import { parseAsString, useQueryState } from 'nuqs';
import { useHotkeys } from 'react-hotkeys-hook';
import { lieOf, priceWords } from '@/core';
import { PortLedger } from '../board/PortLedger';
import { RailLedger } from '../board/RailLedger';
import { verdictColour } from '../marks/words';
import { PickButton } from '../decide/PickButton';
import { KeepSet } from '../frame/KeepSet';
import { NoBoard } from '../frame/NoBoard';
import { useRoom } from '../room/store';
import { ForWriters } from '../room/ForWriters';
import { useCandidate } from '../room/use-candidate';
import { useShelf } from '../room/use-shelf';
import { HookupDrawing } from './HookupDrawing';
import { Bridges } from './Bridges';
import { Choices } from './Choices';
import { Fixes } from './Fixes';
import { useWholeClimb } from '../room/use-whole-climb';
import { useExplain } from './use-explain';
import { useLetterKey } from '../frame/letter-keys';

const partAddress = parseAsString;

export function HookupScreen({ boardId }: { boardId: string }) {
  const { build, ranking, edit } = useRoom('build', 'ranking', 'edit');
  const { shelf } = useShelf();
  const [part, setPart] = useQueryState('part', partAddress);
  const board = useCandidate(boardId);
  const ranked = ranking.ranked?.find((r) => r.climb.boardId === boardId);
  const climb = useWholeClimb(ranked?.climb ?? null, board);
  const locks = build.locks[boardId] ?? [];
  const price = useExplain(build, board, locks.length > 0 ? { about: 'locks' } : null);
  const parts = climb?.hookup.parts ?? [];
  const step = (by: number) => {
    const from = parts.findIndex((p) => p.id === part);
    const next = parts[(from + by + parts.length) % Math.max(1, parts.length)];
    if (next) void setPart(next.id);
  };
  useHotkeys('down', () => step(1), { preventDefault: true });
  useHotkeys('up', () => step(-1), { preventDefault: true });
  useHotkeys('escape', () => void setPart(null));
  useLetterKey('a', () => document.querySelector<HTMLElement>('[data-fix="0"]')?.click());
  useLetterKey('f', () => document.querySelector<HTMLElement>('[data-fix]')?.focus());
  useLetterKey('l', () =>
    document.querySelector<HTMLElement>('[data-choice][aria-pressed="true"], [data-choice]')?.focus(),
  );

  if (shelf && ranking.ranked && !ranking.busy && (!climb || !board))
    return board?.members ? <KeepSet board={board} /> : <NoBoard />;
  if (!climb || !board)
    return (
      <Box role="status" sx={{ p: 3, color: 'text.secondary' }}>
        The board is climbing ...
      </Box>
    );
  const lie = lieOf(build, board);
  const locked = new Set(locks.flatMap((l) => ('part' in l ? [l.part] : [])));
  return (
    <Box sx={{ display: 'flex', height: { md: '100%' }, flexDirection: { xs: 'column', md: 'row' } }}>
      <Box sx={{ flex: 1, minWidth: 0, overflow: 'auto', px: 2, py: 1 }}>
        <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1.5, flexWrap: 'wrap' }}>
          <Typography variant="h1">{climb.boardName}</Typography>
          <span>{climb.maker}</span>
          <Box component="strong" sx={{ color: verdictColour[climb.verdict] }}>
            {climb.verdict}
          </Box>
          {ranked && <PickButton ranked={{ ...ranked, climb }} firstShare={null} />}
          <Link href={`/b/${build.id}/board/${boardId}`}>Findings</Link>
        </Box>
        {lie > 0 && (
          <Box sx={{ fontSize: 12.5, color: 'text.secondary' }}>
            Drawn as it comes to lie in the frame: turned {lie} degrees clockwise.
          </Box>
        )}
        <HookupDrawing board={board} climb={climb} part={part} locked={locked} onPart={(p) => void setPart(p)} />
      </Box>
      <Box
        component="aside"
        aria-label="Choices and ledgers"
        className="no-print"
        sx={{
          width: { xs: 'auto', md: 330 },
          flexShrink: 0,
          overflow: 'auto',
          borderLeft: { md: '1px solid var(--hair)' },
          px: 2,
          py: 1,
          background: 'var(--sheet)',
          display: 'flex',
          flexDirection: 'column',
          gap: 2,
        }}
      >
        <Fixes board={board} climb={climb} />
        {locks.length > 0 && (
          <Box sx={{ fontSize: 12.5 }}>
            {locks.length} {locks.length === 1 ? 'choice is' : 'choices are'} locked; against the free best that{' '}
            {price ? priceWords(price, build).replace(/^(?!costs)/, 'costs ') : 'costs ...'}.{' '}
            <ForWriters>
              <Button
                onClick={() => edit(`unlock ${boardId}`, (b) => ({ ...b, locks: { ...b.locks, [boardId]: [] } }))}
              >
                Unlock all
              </Button>
            </ForWriters>
          </Box>
        )}
        {part ? (
          <Choices board={board} part={part} />
        ) : (
          <Box sx={{ fontSize: 12.5, color: 'text.secondary' }}>
            Pick a part, in the drawing or with the arrow keys, to see where else it could go and at what price.
          </Box>
        )}
        <Bridges board={board} />
        <PortLedger hookup={climb.hookup} board={board} />
        <RailLedger hookup={climb.hookup} />
      </Box>
    </Box>
  );
}
