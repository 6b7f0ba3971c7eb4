import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useState } from 'react';
import type { Board, Place } from '@/core';
import { under } from '../room/ask-server';
import { useShelf } from '../room/use-shelf';

/** So much of the page's text is shown on either side; less where the page itself is shown below. */
const around = (pictured: boolean) => (pictured ? 120 : 400);

/** Opens the page that a figure was read from, with the line, and on a picture the place, marked. */
export function SourcePlace({ place, what, board }: { place: Place; what: string; board?: Board }) {
  const { shelf } = useShelf();
  const [open, setOpen] = useState(false);
  const boards = board ? [board] : (shelf?.boards ?? []);
  const source = boards.flatMap((b) => b.sources ?? []).find((s) => s.id === place.source);
  const page = source?.pages.find((p) => p.number === place.page);
  if (!source || !page) return null;
  const reach = around(page.picture !== undefined);
  const [x, y, w, h] = place.box ?? [0, 0, 0, 0];
  return (
    <>
      <Button
        size="small"
        onClick={() => setOpen(true)}
        aria-label={`show the line: where ${what} was read`}
        sx={{ fontSize: 11, py: 0 }}
      >
        show the line
      </Button>
      <Dialog open={open} onClose={() => setOpen(false)} maxWidth="md" fullWidth>
        <DialogTitle sx={{ display: 'flex', alignItems: 'baseline' }}>
          <Box sx={{ flex: 1 }}>
            {source.name}
            {source.kind === 'PDF' || source.pages.length > 1 ? `, page ${page.number}` : ''}
          </Box>
          <Button onClick={() => setOpen(false)}>Close</Button>
        </DialogTitle>
        <DialogContent tabIndex={0}>
          <Box sx={{ fontSize: 12, color: 'text.secondary' }}>
            {what}; {source.kind}, read on {source.seen}
          </Box>
          <Box
            sx={{
              whiteSpace: 'pre-wrap',
              fontSize: 12.5,
              border: '1px solid var(--hair)',
              p: 1,
              my: 1,
              background: 'var(--paper)',
            }}
          >
            {place.start > reach ? '... ' : ''}
            {page.text.slice(Math.max(0, place.start - reach), place.start)}
            <Box component="mark" sx={{ background: 'var(--copper)', color: 'var(--paper)' }}>
              {page.text.slice(place.start, place.end)}
            </Box>
            {page.text.slice(place.end, place.end + reach)}
          </Box>
          {page.picture && (
            <Box sx={{ position: 'relative' }}>
              <img
                src={under(`/api/photos/${page.picture}`)}
                alt={`Page ${page.number} of ${source.name}`}
                style={{ width: '100%', display: 'block' }}
              />
              {place.box && (
                <Box
                  data-testid="marked-place"
                  sx={{
                    position: 'absolute',
                    left: `${100 * x - 0.5}%`,
                    top: `${100 * y - 0.4}%`,
                    width: `${100 * w + 1}%`,
                    height: `${100 * h + 0.8}%`,
                    border: '2px solid var(--copper)',
                  }}
                />
              )}
            </Box>
          )}
        </DialogContent>
      </Dialog>
    </>
  );
}
