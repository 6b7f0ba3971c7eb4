'use client';

import TextField from '@mui/material/TextField';
import { useState } from 'react';

/** The three letters of a currency; others are refused, and stay to be mended. */
export function Currency({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string;
  onChange: (currency: string) => void;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  const text = typed ?? value;
  const fine = text === '' || /^[A-Z]{3}$/.test(text);
  return (
    <TextField
      label={label}
      value={text}
      error={!fine}
      helperText={fine ? null : 'Three letters, such as EUR'}
      onChange={(e) => {
        const next = e.target.value.trim().toUpperCase();
        setTyped(next);
        if (/^[A-Z]{3}$/.test(next)) onChange(next);
      }}
      onBlur={() => fine && setTyped(null)}
      slotProps={{ htmlInput: { maxLength: 3 } }}
      sx={{ width: 64 }}
    />
  );
}
