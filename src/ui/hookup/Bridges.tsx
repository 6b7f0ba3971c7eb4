import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { priceWords, sameNeed, type Board, type Lock } from '@/core';
import { useRoom } from '../room/store';
import { ForWriters } from '../room/ForWriters';
import { useExplain } from './use-explain';

/** Every bridge of the board: where it stands in this hookup, and what another position would cost. */
export function Bridges({ board }: { board: Board }) {
  const { build, edit } = useRoom('build', 'edit');
  const answers = useExplain(build, board, board.bridges.length > 0 ? { about: 'bridges' } : null);
  if (board.bridges.length === 0) return null;
  const locks = build.locks[board.id] ?? [];
  const setLocks = (next: Lock[]) =>
    edit(`lock bridge ${board.id}`, (b) => ({ ...b, locks: { ...b.locks, [board.id]: next } }));
  return (
    <section aria-label="Bridges">
      <Typography variant="h2">Bridges</Typography>
      {!answers && (
        <Box role="status" sx={{ color: 'text.secondary', fontSize: 12.5 }}>
          Every position is being solved ...
        </Box>
      )}
      {answers?.map(({ bridge, label, alternatives }) => (
        <Box key={bridge} sx={{ mt: 0.5 }}>
          <Box sx={{ fontSize: 12, color: 'text.secondary' }}>
            {label}
            {deliveredAt(board, bridge)}
          </Box>
          {alternatives.map((a) => {
            const lock: Lock = { kind: 'bridge', bridge, position: a.to };
            const locked = locks.some((l) => l.kind === 'bridge' && l.bridge === bridge && l.position === a.to);
            const others = locks.filter((l) => !sameNeed(l, lock));
            let said: string;
            if (a.chosen) said = 'in use';
            else if (a.price) said = priceWords(a.price, build);
            else said = 'cannot be had';
            let act: string;
            if (locked) act = 'Unlock';
            else if (a.chosen) act = 'Lock';
            else act = 'Use';
            return (
              <Box
                key={a.to}
                sx={{
                  display: 'flex',
                  alignItems: 'center',
                  gap: 1,
                  fontSize: 12.5,
                  borderBottom: '1px solid var(--hair)',
                }}
              >
                <Box sx={{ width: 92, fontWeight: a.chosen ? 640 : 400 }}>{a.label}</Box>
                <Box sx={{ flex: 1 }}>{said}</Box>
                <ForWriters>
                  <Button
                    aria-pressed={locked}
                    onClick={() => setLocks(locked ? others : [...others, lock])}
                    sx={{ px: 0.75, py: 0, minHeight: 24 }}
                  >
                    {act}
                  </Button>
                </ForWriters>
              </Box>
            );
          })}
        </Box>
      ))}
    </section>
  );
}

/** A wire is not delivered anywhere: it is soldered to one place. */
function deliveredAt(board: Board, id: string): string {
  const bridge = board.bridges.find((b) => b.id === id);
  if (!bridge || bridge.form === 'wire') return ', to one of these';
  return `, delivered at ${bridge.positions.find((p) => p.id === bridge.factory)?.label ?? '?'}`;
}
