import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useEffect, useState } from 'react';
import { letterKeysOn, switchLetterKeys } from './letter-keys';

/** Switches keys of one letter, figure or sign on and off. */
export function LetterKeys() {
  const [on, setOn] = useState(true);
  useEffect(() => setOn(letterKeysOn()), []);
  return (
    <FormControlLabel
      control={<Checkbox checked={on} onChange={(_, is) => (switchLetterKeys(is), setOn(is))} />}
      label="Keys of a single letter, figure or sign do something"
    />
  );
}
