import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { kindMeant, ownPart, peripheralKinds, type Peripheral, type PeripheralKind, centsOf } from '@/core';
import { Choice } from './Choice';
import { NumberBox } from './NumberBox';

/** A part that no library has: a name and a kind make one, wired as most of its kind are. */
export function OwnPart({ name: said, onMake }: { name: string; onMake: (part: Peripheral) => void }) {
  const [name, setName] = useState(said);
  const [kind, setKind] = useState<PeripheralKind>(() => kindMeant(said)?.kinds[0] ?? 'other');
  // What is not said to be free is not taken to be: a price is wanted, 0 where it is at home.
  const [price, setPrice] = useState<number | null>(null);
  const made = price === null ? null : ownPart(name, kind, centsOf(price));
  return (
    <Box
      component="form"
      aria-label="A part of your own"
      onSubmit={(e) => (e.preventDefault(), e.stopPropagation(), made && onMake(made))}
      sx={{ display: 'flex', gap: 1, alignItems: 'flex-end' }}
    >
      <TextField
        label="Name of the part"
        value={name}
        onChange={(e) => setName(e.target.value)}
        slotProps={{ htmlInput: { maxLength: 80 } }}
        sx={{ flex: 1 }}
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
      <Button type="submit" disabled={!made}>
        Make it one of my own
      </Button>
    </Box>
  );
}
