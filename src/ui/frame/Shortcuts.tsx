'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { Link } from './Link';
import { useState } from 'react';
import { useTour } from './tour-at';
import { LetterKeys } from './LetterKeys';
import { useLetterKey } from './letter-keys';

const keys: [string, string][] = [
  ['Ctrl+Z, Ctrl+Shift+Z', 'undo, redo'],
  ['Up, Down', 'walk along the boards (Ladder)'],
  ['Left, Right', 'walk along the rungs (Ladder)'],
  ['1 to 9, 0', 'jump to a rung'],
  ['Enter', 'open the board'],
  ['Up, Down', 'walk along the parts (Hookup)'],
  ['L', 'to the choices and locks of the part (Hookup)'],
  ['F', 'to the hookup and its fixes (Ladder); to the fixes, Enter accepts one (Hookup)'],
  ['A', 'accept the first fix (Hookup)'],
  ['S', 'put side by side with the next two (Ladder)'],
  ['Enter, x', 'take, leave a figure that was read (Shelf)'],
  ['/', 'filter (Ladder), add a part (Build), find anything (elsewhere)'],
  ['Ctrl+K', 'find anything: a screen, a board, a part, a build, a word'],
  ['Alt+Up, Alt+Down', 'move a part up or down (Build)'],
  ['?', 'this list'],
];

export function Shortcuts() {
  const [open, setOpen] = useState(false);
  const go = useTour((t) => t.go);
  const toggle = () => setOpen((o) => !o);
  useLetterKey('?, shift+?', toggle, { useKey: true });
  return (
    <>
      <Button aria-label="Keys" title="Keys (?)" onClick={toggle} sx={{ minWidth: 24, px: 0.75 }}>
        ?
      </Button>
      <Dialog open={open} onClose={() => setOpen(false)}>
        <DialogTitle>Keys</DialogTitle>
        <DialogContent>
          <table>
            <tbody>
              {keys.map(([key, does]) => (
                <tr key={key}>
                  <th scope="row">{key}</th>
                  <td>{does}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <Box sx={{ mt: 1, display: 'flex', gap: 2, alignItems: 'center' }}>
            <Button variant="outlined" onClick={() => (setOpen(false), go(0))}>
              Show me round
            </Button>
            <Link href="/glossary">What the words mean</Link>
            <Link href="/settings">Settings</Link>
          </Box>
          <LetterKeys />
        </DialogContent>
      </Dialog>
    </>
  );
}
