import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { isStale, type Board } from '@/core';
import { askServer } from '../room/ask-server';
import { useRoom } from '../room/BuildRoom';

/** What shops ask for the board, when that was seen, and a way to ask again. */
export function Offers({ board, changed, onFresh }: { board: Board; changed: boolean; onFresh: (b: Board) => void }) {
  const { takeBoard } = useRoom();
  const today = new Date().toISOString().slice(0, 10);
  const [said, setSaid] = useState<string | null>(null);
  const refresh = async () => {
    setSaid('The shops are being asked ...');
    const { said: answer } = await askServer<{ board: Board; version: number }>(`/api/offers/${board.id}`, { method: 'POST' }, 'The server does not answer. The offers stay as they are.');
    setSaid(answer.sentence);
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
                {isStale(o, today) ? ', stale' : ''}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
