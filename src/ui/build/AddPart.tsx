'use client';

import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { kindMeant, type Peripheral } from '@/core';
import { useRoom } from '../room/store';
import { useShelf } from '../room/use-shelf';
import { withPart } from './change';
import { useLetterKey } from '../frame/letter-keys';

/** Picks a part from the library by kind, name or maker; Enter adds it. */
export function AddPart({ onAdded }: { onAdded: (id: string) => void }) {
  const { edit } = useRoom('edit');
  const { shelf } = useShelf();
  const [typed, setTyped] = useState('');
  useLetterKey('/', () => document.getElementById('add-part')?.focus(), { preventDefault: true, useKey: true });
  return (
    <Autocomplete<Peripheral>
      id="add-part"
      options={shelf?.peripherals ?? []}
      groupBy={(p) => p.kind}
      getOptionLabel={(p) => p.name}
      getOptionKey={(p) => p.id}
      filterOptions={(all, { inputValue }) => {
        const words = inputValue.toLowerCase().split(/\s+/).filter(Boolean);
        return all.filter((p) =>
          words.every(
            (w) =>
              `${p.name} ${p.kind} ${p.modes.map((m) => m.label).join(' ')}`.toLowerCase().includes(w) ||
              kindMeant(w)?.kinds.includes(p.kind),
          ),
        );
      }}
      value={null}
      inputValue={typed}
      onInputChange={(_, text, why) => setTyped(why === 'input' ? text : '')}
      onChange={(_, p) => {
        if (!p) return;
        edit(`add ${p.id}`, (b) => {
          const next = withPart(b, p);
          onAdded(next.parts.at(-1)!.id);
          return next;
        });
      }}
      autoHighlight
      clearOnBlur
      blurOnSelect={false}
      noOptionsText={'No part of this name is in the library. "Paste a list" takes it as one of your own.'}
      sx={{ width: 300 }}
      renderInput={(params) => <TextField {...params} label="Add a part: receiver, camera, ..." />}
      renderOption={({ key, ...props }, p) => (
        <li key={key} {...props}>
          <span>
            {p.name}
            <span style={{ color: 'var(--faded)', fontSize: 12 }}> {p.modes[0]!.label}</span>
          </span>
        </li>
      )}
    />
  );
}
