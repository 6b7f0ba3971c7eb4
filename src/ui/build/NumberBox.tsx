'use client';

import InputAdornment from '@mui/material/InputAdornment';
import TextField from '@mui/material/TextField';
import { useState } from 'react';

interface Props {
  label: string;
  unit?: string;
  /** null shows an empty box: unknown. */
  value: number | null;
  min?: number;
  max?: number;
  whole?: boolean;
  /** An empty box means unknown, or what `empty` says, instead of being refused. */
  mayBeUnknown?: boolean;
  empty?: string;
  onChange: (value: number | null) => void;
  width?: number;
}

/** A number with its unit. What is typed stays until it is a number in range; the decimal comma is understood. */
export function NumberBox({
  label,
  unit,
  value,
  min = 0,
  max = 1e6,
  whole,
  mayBeUnknown,
  empty = 'unknown',
  onChange,
  width = 96,
}: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const text = typed ?? (value === null ? '' : String(value));
  const fault = faultOf(text, min, max, whole, mayBeUnknown);
  return (
    <TextField
      label={label}
      value={text}
      placeholder={mayBeUnknown ? empty : ''}
      error={fault !== null}
      helperText={fault}
      onChange={(e) => {
        setTyped(e.target.value);
        if (faultOf(e.target.value, min, max, whole, mayBeUnknown) === null) onChange(numberIn(e.target.value));
      }}
      onBlur={() => fault === null && setTyped(null)}
      sx={{ width }}
      slotProps={{
        inputLabel: { shrink: true },
        htmlInput: { inputMode: 'decimal' },
        input: unit ? { endAdornment: <InputAdornment position="end">{unit}</InputAdornment> } : {},
      }}
    />
  );
}

function numberIn(text: string): number | null {
  return text.trim() === '' ? null : Number(text.trim().replace(',', '.'));
}

function faultOf(text: string, min: number, max: number, whole?: boolean, mayBeUnknown?: boolean): string | null {
  const n = numberIn(text);
  if (n === null) return mayBeUnknown ? null : 'a number is wanted';
  if (!Number.isFinite(n)) return 'a number is wanted';
  if (whole && !Number.isInteger(n)) return 'a whole number';
  return n < min || n > max ? `${min} to ${max}` : null;
}
