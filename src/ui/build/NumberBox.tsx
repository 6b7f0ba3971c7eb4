'use client';

import InputAdornment from '@mui/material/InputAdornment';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { typedNumber, unitsFor } from '@/core';

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

/** A number with its unit. What is typed stays until it is a number in range; the decimal comma and other units are understood. */
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
  const wanted = { unit, min, max, whole, mayBeUnknown };
  const fault = faultOf(text, wanted);
  return (
    <TextField
      label={label}
      value={text}
      placeholder={mayBeUnknown ? empty : ''}
      error={fault !== null}
      helperText={fault}
      onChange={(e) => {
        setTyped(e.target.value);
        if (faultOf(e.target.value, wanted) === null) onChange(typedNumber(e.target.value, unit));
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

function faultOf(
  text: string,
  {
    unit,
    min,
    max,
    whole,
    mayBeUnknown,
  }: {
    unit: string | undefined;
    min: number;
    max: number;
    whole: boolean | undefined;
    mayBeUnknown: boolean | undefined;
  },
): string | null {
  const n = typedNumber(text, unit);
  if (n === null) return mayBeUnknown ? null : 'a number is wanted';
  if (!Number.isFinite(n)) {
    const others = unitsFor(unit ?? '');
    return others.length > 0 ? `a number, also in ${others.join(' or ')}` : 'a number is wanted';
  }
  if (whole && !Number.isInteger(n)) return 'a whole number';
  return n < min || n > max ? `${min} to ${max}` : null;
}
