import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { counted, readPartsList } from '@/core';
import { useRoom } from '../room/BuildRoom';
import { withPart } from './change';

/** A parts list as text or CSV: what each line is taken for is shown before anything is added. */
export function PasteParts() {
  const { shelf, edit } = useRoom();
  const [open, setOpen] = useState(false);
  const [text, setText] = useState('');
  const [chosen, setChosen] = useState<Record<string, string>>({});
  const lines = readPartsList(text, shelf?.peripherals ?? []).map((l) => ({ ...l, part: l.part ?? l.others.find((o) => o.id === chosen[l.line]) ?? null }));
  const found = lines.filter((l) => l.part);
  const count = found.reduce((n, l) => n + l.count, 0);
  const add = () => {
    edit('paste parts', (b) => found.reduce((build, l) => Array.from({ length: l.count }).reduce<typeof build>((x) => withPart(x, l.part!), build), b));
    setOpen(false);
    setText('');
  };
  return (
    <>
      <Button onClick={() => setOpen(true)}>Paste a list</Button>
      <Dialog open={open} onClose={() => setOpen(false)} fullWidth aria-label="Paste a parts list">
        <Box sx={{ p: 2, fontSize: 12.5 }}>
          <TextField multiline minRows={5} maxRows={10} fullWidth autoFocus value={text} onChange={(e) => setText(e.target.value)} placeholder="One part a line, or CSV: name; kind; count" slotProps={{ htmlInput: { 'aria-label': 'Parts list' } }} />
          {lines.map((l, i) => (
            <Box key={i} sx={{ display: 'flex', gap: 1, borderBottom: '1px solid var(--hair)' }}>
              <Box sx={{ flex: 1 }}>{l.line}</Box>
              {l.part ? (
                <Box sx={{ flex: 1 }}>
                  {l.count} x {l.part.name}, {l.part.kind}
                </Box>
              ) : (
                <Box sx={{ flex: 1, color: 'error.main' }}>
                  {l.others.length === 0 ? 'not in the library' : 'which one?'}
                  {l.others.map((o) => (
                    <Button key={o.id} onClick={() => setChosen({ ...chosen, [l.line]: o.id })}>
                      {o.name}
                    </Button>
                  ))}
                </Box>
              )}
            </Box>
          ))}
          <Box sx={{ mt: 1, display: 'flex', gap: 1 }}>
            <Button variant="contained" disabled={found.length === 0} onClick={add}>
              Add {counted(count, 'part')}
            </Button>
            <Button onClick={() => setOpen(false)}>Leave it</Button>
          </Box>
        </Box>
      </Dialog>
    </>
  );
}
