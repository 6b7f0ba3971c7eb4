'use client';

import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';

/** One of a few words. */
export function Choice<T extends string>({
  label,
  value,
  words,
  says = (w) => w,
  onChange,
}: {
  label: string;
  value: T;
  words: readonly T[];
  says?: (word: T) => string;
  onChange: (v: T) => void;
}) {
  return (
    <TextField
      select
      label={label}
      value={value}
      onChange={(e) => onChange(e.target.value as T)}
      sx={{ minWidth: 120 }}
    >
      {words.map((w) => (
        <MenuItem key={w} value={w}>
          {says(w)}
        </MenuItem>
      ))}
    </TextField>
  );
}
