import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import {
  centsOf,
  kindMeant,
  ownPart,
  partPageWords,
  peripheralKinds,
  readPartPage,
  saysSomething,
  withPartPage,
  type Peripheral,
  type PeripheralKind,
} from '@/core';
import { today } from '../room/today';
import { Choice } from './Choice';
import { NumberBox } from './NumberBox';

/** A part that no library has: a name and a kind make one, wired as most of its kind are; what the line or its page says of it goes into it. */
export function OwnPart({ name: said, onMake }: { name: string; onMake: (part: Peripheral) => void }) {
  const [name, setName] = useState(() => said.split(/[,;\n]/)[0]!.trim());
  const [page, setPage] = useState('');
  const told = readPartPage(`${said}\n${page}`);
  const source = (page || said).trim();
  const [kind, setKind] = useState<PeripheralKind>(() => kindMeant(said)?.kinds[0] ?? 'other');
  // What is not said to be free is not taken to be: a price is wanted, 0 where it is at home.
  const [price, setPrice] = useState<number | null>(null);
  const bare = price === null ? null : ownPart(name, kind, centsOf(price));
  const made =
    bare && (saysSomething(told) ? withPartPage(bare, told, { origin: 'claim', seen: today(), source }) : bare);
  return (
    <Box
      component="form"
      aria-label="A part of your own"
      onSubmit={(e) => (e.preventDefault(), e.stopPropagation(), made && onMake(made))}
      sx={{ display: 'flex', gap: 1, alignItems: 'flex-end', flexWrap: 'wrap' }}
    >
      <TextField
        label="Name of the part"
        value={name}
        onChange={(e) => setName(e.target.value)}
        slotProps={{ htmlInput: { maxLength: 80 } }}
        sx={{ flex: '1 1 220px' }}
      />
      <Choice label="Kind" value={kind} words={peripheralKinds} onChange={setKind} />
      <NumberBox
        label="Price, 0 if at home"
        unit="€"
        mayBeUnknown
        empty=""
        value={price}
        onChange={setPrice}
        width={110}
      />
      <TextField
        label="Its page, pasted"
        multiline
        maxRows={4}
        value={page}
        onChange={(e) => setPage(e.target.value)}
        placeholder="5-36 V, 0.3 A, 9 g ..."
        slotProps={{ htmlInput: { maxLength: 20_000 } }}
        sx={{ flex: '1 1 220px' }}
      />
      <Button type="submit" disabled={!made}>
        Make it one of my own
      </Button>
      {saysSomething(told) && (
        <Box role="status" sx={{ width: '100%', fontSize: 12, color: 'text.secondary' }}>
          Understood: {partPageWords(told)}
        </Box>
      )}
    </Box>
  );
}
