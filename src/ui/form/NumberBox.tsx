'use client';

import InputAdornment from '@mui/material/InputAdornment';
import TextField from '@mui/material/TextField';
import { useState, type Ref } from 'react';
import { preferredUnit, typedNumber, unitsFor } from '@/core';
import { useWays } from '../frame/ways';

export interface NumberBoxProps {
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
  /** What is typed is no number that can be taken: `value` is no longer what the box shows. */
  onFault?: () => void;
  /** What a form misses here. */
  asked?: string | undefined;
  inputRef?: Ref<HTMLInputElement>;
  width?: number;
  /** In a table or a line of filters, where what stands around says what it is: the label is only read out. */
  bare?: boolean;
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
  onFault,
  asked,
  inputRef,
  width = 96,
  bare = false,
}: NumberBoxProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const shown = preferredUnit(
    unit ?? '',
    useWays((w) => w.units),
  );
  const text = typed ?? (value === null ? '' : shownNumber(value, shown.per));
  const wanted = { unit, shown: shown.unit, min, max, whole, mayBeUnknown };
  const fault = faultOf(text, wanted);
  // From here on the box shows the value again, whatever becomes of it.
  const taken = () => fault === null && setTyped(null);
  return (
    <TextField
      label={bare ? undefined : label}
      value={text}
      placeholder={mayBeUnknown ? empty : ''}
      error={fault !== null || asked !== undefined}
      helperText={fault ?? asked}
      inputRef={inputRef}
      onChange={(e) => {
        setTyped(e.target.value);
        if (faultOf(e.target.value, wanted) === null) onChange(meantNumber(e.target.value, wanted));
        else onFault?.();
      }}
      onBlur={taken}
      onKeyDown={(e) => e.key === 'Enter' && taken()}
      sx={{ width }}
      slotProps={{
        inputLabel: { shrink: true },
        htmlInput: { inputMode: 'decimal', ...(bare ? { 'aria-label': label, style: { textAlign: 'right' } } : {}) },
        input: unit && !bare ? { endAdornment: <InputAdornment position="end">{shown.unit}</InputAdornment> } : {},
      }}
    />
  );
}

interface Wanted {
  unit: string | undefined;
  /** As the box is labelled; a number without a unit is in this one. */
  shown: string;
  min: number;
  max: number;
  whole: boolean | undefined;
  mayBeUnknown: boolean | undefined;
}

/** As many decimals as say something in another unit. */
function shownNumber(value: number, per: number): string {
  return per === 1 ? String(value) : String(Number((value / per).toPrecision(4)));
}

function meantNumber(text: string, { unit, shown }: Pick<Wanted, 'unit' | 'shown'>): number | null {
  const bare = shown !== (unit ?? '') && /^[-+\d.,\s]+$/.test(text.trim());
  return typedNumber(bare ? `${text} ${shown}` : text, unit);
}

function faultOf(text: string, { unit, shown, min, max, whole, mayBeUnknown }: Wanted): string | null {
  const n = meantNumber(text, { unit, shown });
  if (n === null) return mayBeUnknown ? null : 'a number is wanted';
  if (!Number.isFinite(n)) {
    const others = unitsFor(unit ?? '');
    return others.length > 0 ? `a number, also in ${others.join(' or ')}` : 'a number is wanted';
  }
  if (whole && !Number.isInteger(n)) return 'a whole number';
  return n < min || n > max ? `${min} to ${max}${shown === (unit ?? '') ? '' : ` ${unit}`}` : null;
}
