'use client';

import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';
import { parseAsString, useQueryState } from 'nuqs';
import { useEffect, useState } from 'react';
import { kindMeant, ownPart, type Peripheral } from '@/core';
import { useRoom } from '../room/store';
import { useLibrary } from '../room/use-shelf';
import { withPart } from './change';
import { optionGroup } from '../frame/OptionGroup';
import { useLetterKey } from '../frame/letter-keys';

/** Stands last among the options: what was typed, as a part of one's own. */
const own = (typed: string): Peripheral | null => ownPart(typed, kindMeant(typed)?.kinds[0] ?? 'other', null);

/** Picks a part from the library by kind, name or maker; Enter adds it. A name that is in no library makes a part of one's own. */
export function AddPart({ onAdded }: { onAdded: (id: string) => void }) {
  const { edit } = useRoom('edit');
  const library = useLibrary() ?? [];
  // A search that found the part fills its name in.
  const [asked, setAsked] = useQueryState('add', parseAsString);
  const [edited, setTyped] = useState<string | null>(null);
  const typed = edited ?? asked ?? '';
  const inLibrary = (p: Peripheral) => library.some((known) => known.id === p.id);
  const [open, setOpen] = useState(false);
  useEffect(() => {
    if (asked === null) return;
    document.getElementById('add-part')?.focus();
    setOpen(true);
  }, [asked]);
  useLetterKey('/', () => document.getElementById('add-part')?.focus(), { preventDefault: true, useKey: true });
  return (
    <Autocomplete<Peripheral>
      id="add-part"
      options={library}
      groupBy={(p) => (p.maker === 'your own' && !inLibrary(p) ? 'not in the library' : p.kind)}
      renderGroup={optionGroup}
      getOptionLabel={(p) => p.name}
      getOptionKey={(p) => p.id}
      filterOptions={(all, { inputValue }) => {
        const words = inputValue.toLowerCase().split(/\s+/).filter(Boolean);
        const found = all.filter((p) =>
          words.every(
            (w) =>
              `${p.name} ${p.kind} ${p.modes.map((m) => m.label).join(' ')}`.toLowerCase().includes(w) ||
              kindMeant(w)?.kinds.includes(p.kind),
          ),
        );
        const mine = own(inputValue);
        return mine && !found.some((p) => p.name.toLowerCase() === mine.name.toLowerCase()) ? [...found, mine] : found;
      }}
      value={null}
      inputValue={typed}
      open={open}
      onOpen={() => setOpen(true)}
      onClose={() => setOpen(false)}
      onInputChange={(_, text, why) => {
        setTyped(why === 'input' ? text : '');
        if (asked !== null) void setAsked(null);
      }}
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
      noOptionsText="Type a name: what is not in the library becomes a part of your own."
      sx={{ width: 300 }}
      renderInput={(params) => <TextField {...params} label="Add a part: receiver, camera, ..." />}
      renderOption={({ key, ...props }, p) => (
        <li key={key} {...props}>
          <span>
            {inLibrary(p) ? p.name : `Make “${p.name}” a part of my own`}
            <span style={{ color: 'var(--faded)', fontSize: 12 }}> {inLibrary(p) ? p.modes[0]!.label : p.kind}</span>
          </span>
        </li>
      )}
    />
  );
}
