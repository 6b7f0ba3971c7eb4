import Box from '@mui/material/Box';
import type { Board, Hookup } from '@/core';

/** What the board itself holds, and which parts the hookup leaves out. */
export function HeldAndLeft({ hookup, board }: { hookup: Hookup; board: Board }) {
  const labelOf = (pad: string) => board.pads.find((p) => p.id === pad)?.label ?? pad;
  const left = hookup.parts.filter((p) => !p.mode);
  const holders = [...new Set(hookup.held.map((h) => h.by))];
  const heldBy = (by: string) =>
    hookup.held
      .filter((h) => h.by === by)
      .map((h) => labelOf(h.pad))
      .join(', ');
  return (
    <>
      {holders.length > 0 && (
        <Box sx={{ mt: 0.75, fontSize: 12.5, color: 'text.secondary' }}>
          Held by the board itself: {holders.map((by) => `${heldBy(by)} (${by})`).join('; ')}.
        </Box>
      )}
      {left.length > 0 && (
        <Box sx={{ mt: 0.75, fontSize: 12.5, color: 'error.main' }}>
          Left out: {left.map((p) => `${p.name} (${p.priority})`).join(', ')}.
        </Box>
      )}
    </>
  );
}
