import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { counted, readPartsList, type Peripheral, money, linkWords } from '@/core';
import { useRoom } from '../room/store';
import { useLibrary } from '../room/use-shelf';
import { withPart } from './change';
import { OwnPart } from './OwnPart';

/** A parts list as text or CSV: what each line is taken for is shown before anything is added. */
export function PasteParts() {
  const { edit } = useRoom('edit');
  const library = useLibrary() ?? [];
  const [open, setOpen] = useState(false);
  const [text, setText] = useState('');
  const [chosen, setChosen] = useState<Record<string, string>>({});
  const [own, setOwn] = useState<Record<string, Peripheral>>({});
  const lines = readPartsList(text, library).map((l) => ({
    ...l,
    part: l.part ?? own[l.line] ?? l.others.find((o) => o.id === chosen[l.line]) ?? null,
  }));
  const found = lines.filter((l) => l.part);
  const count = found.reduce((n, l) => n + l.count, 0);
  const add = () => {
    edit('paste parts', (b) =>
      found.reduce(
        (build, l) => Array.from({ length: l.count }).reduce<typeof build>((x) => withPart(x, l.part!), build),
        b,
      ),
    );
    setOpen(false);
    setText('');
  };
  return (
    <>
      <Button onClick={() => setOpen(true)}>Paste a list</Button>
      <Dialog open={open} onClose={() => setOpen(false)} fullWidth maxWidth="md" aria-labelledby="paste-parts">
        <Box sx={{ p: 2, fontSize: 12.5 }}>
          <Typography id="paste-parts" variant="h2">
            Paste a parts list
          </Typography>
          <TextField
            multiline
            minRows={5}
            maxRows={10}
            fullWidth
            autoFocus
            value={text}
            onChange={(e) => setText(e.target.value)}
            placeholder="One part a line, several in words (receiver, camera, GPS), or CSV: name; kind; count"
            slotProps={{ htmlInput: { 'aria-label': 'Parts list' } }}
          />
          {lines.map((l, i) => (
            <Box key={i} sx={{ display: 'flex', gap: 1, borderBottom: '1px solid var(--hair)', py: 0.5 }}>
              <Box sx={{ width: 220, flexShrink: 0, overflowWrap: 'anywhere' }}>{l.line}</Box>
              {l.part ? (
                <Box sx={{ flex: 1 }}>
                  {l.count} x <Described part={l.part} />
                  {(chosen[l.line] ?? own[l.line]) && (
                    <Button
                      onClick={() => (setChosen(without(chosen, l.line)), setOwn(without(own, l.line)))}
                      sx={{ ml: 1, py: 0 }}
                    >
                      Another
                    </Button>
                  )}
                </Box>
              ) : (
                <Box sx={{ flex: 1 }}>
                  <Box sx={{ color: 'error.main' }}>
                    {l.others.length === 0 ? 'Nothing like it is in the library.' : 'Which one?'}
                  </Box>
                  {l.others.map((o) => (
                    <Box
                      key={o.id}
                      component="button"
                      type="button"
                      onClick={() => setChosen({ ...chosen, [l.line]: o.id })}
                      sx={{
                        display: 'block',
                        width: '100%',
                        textAlign: 'left',
                        background: 'none',
                        border: 0,
                        font: 'inherit',
                        color: 'primary.main',
                        cursor: 'pointer',
                        px: 0,
                        py: 0.25,
                        '&:hover': { background: 'var(--copperSoft)' },
                      }}
                    >
                      <Described part={o} />
                    </Box>
                  ))}
                  <OwnPart
                    key={l.line}
                    name={l.line}
                    onMake={(part) => setOwn((made) => ({ ...made, [l.line]: part }))}
                  />
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

/** A part by its name, and what tells it from others of its kind. */
function Described({ part }: { part: Peripheral }) {
  return (
    <>
      <b>{part.name}</b>
      <Box component="span" sx={{ color: 'text.secondary' }}>
        {' '}
        {part.kind}: {part.modes[0]!.links.map(linkWords).join(', ') || 'no wire to the board'};{' '}
        {part.cents === null ? 'price unknown' : money(part.cents)}
      </Box>
    </>
  );
}

function without<T>(chosen: Record<string, T>, line: string): Record<string, T> {
  return Object.fromEntries(Object.entries(chosen).filter(([key]) => key !== line));
}
