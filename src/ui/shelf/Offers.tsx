import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Board } from '@/core';
import { useRoom } from '../room/BuildRoom';

const staleDays = 30;

/** What shops ask for the board, when that was seen, and a way to ask again. */
export function Offers({ board, changed, onFresh }: { board: Board; changed: boolean; onFresh: (b: Board) => void }) {
  const { takeBoard } = useRoom();
  const [said, setSaid] = useState<string | null>(null);
  const refresh = async () => {
    setSaid('The shops are being asked ...');
    const reply = await fetch(`/api/offers/${board.id}`, { method: 'POST' }).catch(() => null);
    const answer = reply ? ((await reply.json().catch(() => ({}))) as { sentence?: string; board?: Board; version?: number }) : {};
    setSaid(answer.sentence ?? 'The server does not answer. The offers stay as they are.');
    if (answer.board) {
      takeBoard(answer.board, answer.version!);
      onFresh(answer.board);
    }
  };
  return (
    <section aria-label="Offers">
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1 }}>
        <Typography variant="h2" sx={{ flex: 1 }}>
          Offers
        </Typography>
        <Button variant="outlined" disabled={changed} title={changed ? 'Save the board first' : undefined} onClick={() => void refresh()}>
          Ask the shops
        </Button>
      </Box>
      {said && <Box role="status" sx={{ fontSize: 12.5 }}>{said}</Box>}
      {board.offers.length === 0 && <Box sx={{ fontSize: 12.5, color: 'text.secondary' }}>Nobody offers it, as far as Rung knows.</Box>}
      <table>
        <tbody>
          {board.offers.map((o, i) => (
            <tr key={i}>
              <td>{o.shop}</td>
              <td className="n">€{(o.cents / 100).toFixed(2)}</td>
              <td className="n">+ {(o.shippingCents / 100).toFixed(2)}</td>
              <td>{o.deliveryDays === undefined ? '' : `${o.deliveryDays} days`}</td>
              <td>
                seen {o.seen}
                {ageOf(o.seen) > staleDays ? ', stale' : ''}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function ageOf(day: string): number {
  return (Date.now() - Date.parse(day)) / 86_400_000;
}
