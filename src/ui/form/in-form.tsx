'use client';

import MenuItem from '@mui/material/MenuItem';
import Select from '@mui/material/Select';
import type { SxProps } from '@mui/material/styles';
import TextField, { type TextFieldProps } from '@mui/material/TextField';
import { useController, type Control, type FieldPathByValue, type FieldValues } from 'react-hook-form';
import { Choice } from './Choice';
import { NumberBox, type NumberBoxProps } from './NumberBox';

/** Boxes of a form that is sent as a whole: what is missing or not understood is said under its box, which has the focus then, and nothing is sent. */
interface In<T extends FieldValues, V> {
  control: Control<T>;
  name: FieldPathByValue<T, V>;
}

/** `wanted`: what is said where nothing is written; without it, the box may be empty. `fits`: what is wrong with what is written, null where nothing is. */
export function TextIn<T extends FieldValues>({
  control,
  name,
  label,
  wanted,
  fits,
  most = 80,
  bare = false,
  htmlInput = {},
  inputLabel = {},
  ...look
}: In<T, string> &
  Pick<TextFieldProps, 'type' | 'autoComplete' | 'placeholder' | 'sx' | 'multiline' | 'maxRows'> & {
    label: string;
    wanted?: string | undefined;
    fits?: (text: string) => string | null;
    /** Letters. */
    most?: number;
    /** The label is only read out. */
    bare?: boolean;
    htmlInput?: object;
    inputLabel?: object;
  }) {
  const {
    field: { ref, ...field },
    fieldState: { error },
  } = useController({
    control,
    name,
    rules: {
      validate: (text: string) => (text.trim() === '' ? (wanted ?? true) : (fits?.(text.trim()) ?? true)),
    },
  });
  return (
    <TextField
      {...field}
      {...look}
      inputRef={ref}
      label={bare ? undefined : label}
      required={wanted !== undefined && !bare}
      error={error !== undefined}
      helperText={error?.message}
      slotProps={{
        inputLabel,
        htmlInput: { ...htmlInput, maxLength: most, ...(bare ? { 'aria-label': label } : {}) },
      }}
    />
  );
}

/** A number, null where nothing is written. `wanted`: what is said then; without it, the box may be empty. */
export function NumberIn<T extends FieldValues>({
  control,
  name,
  wanted,
  ...box
}: In<T, number | null> & Omit<NumberBoxProps, 'value' | 'onChange' | 'mayBeUnknown'> & { wanted?: string }) {
  const {
    field: { ref, value, onChange },
    fieldState: { error },
  } = useController({
    control,
    name,
    rules: {
      validate: (n: number | null) => (n === null ? (wanted ?? true) : !Number.isNaN(n) || 'a number is wanted'),
    },
  });
  return (
    <NumberBox
      empty=""
      {...box}
      mayBeUnknown
      inputRef={ref}
      value={Number.isNaN(value) ? null : (value as number | null)}
      asked={error?.message}
      onChange={onChange}
      onFault={() => onChange(NaN)}
    />
  );
}

/** One of a few words. */
export function ChoiceIn<T extends FieldValues, W extends string>({
  control,
  name,
  ...choice
}: In<T, W> & { label: string; words: readonly W[]; says?: (word: W) => string }) {
  const { field } = useController({ control, name });
  return <Choice {...choice} value={field.value} onChange={field.onChange} />;
}

/** The same without a label of its own, in a line that says what it is. */
export function SelectIn<T extends FieldValues, W extends string>({
  control,
  name,
  label,
  words,
  sx = {},
}: In<T, W> & { label: string; words: readonly W[]; sx?: SxProps }) {
  const {
    field: { ref, ...field },
  } = useController({ control, name });
  return (
    <Select {...field} inputRef={ref} inputProps={{ 'aria-label': label }} sx={sx}>
      {words.map((w) => (
        <MenuItem key={w} value={w}>
          {w}
        </MenuItem>
      ))}
    </Select>
  );
}

/** The three letters of a currency, as they are sent in capitals by `currencyMeant`. */
export function CurrencyIn<T extends FieldValues>(props: In<T, string> & { label: string }) {
  return (
    <TextIn
      {...props}
      most={3}
      wanted="Three letters, such as EUR"
      fits={(text) => (isCurrency(currencyMeant(text)) ? null : 'Three letters, such as EUR')}
      htmlInput={{ style: { textTransform: 'uppercase' } }}
      sx={{ width: 52 }}
    />
  );
}

/** While it is being typed it is none yet. */
export function isCurrency(meant: string): boolean {
  return /^[A-Z]{3}$/.test(meant);
}

export function currencyMeant(typed: string): string {
  return typed.trim().toUpperCase();
}
