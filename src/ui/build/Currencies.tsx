'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { buildInCurrency, euro } from '@/core';
import { useRoom } from '../room/store';
import { CurrencyIn, currencyMeant, NumberIn } from '../form/in-form';
import { Worth, worthBox } from '../form/Worth';

/** Which currency the build is paid in, and what others are worth in it: as the buyer says, nothing is fetched. */
export function Currencies() {
  const { build, edit } = useRoom('build', 'edit');
  const { currency, rates } = build;
  const [open, setOpen] = useState(false);
  const rate = (of: string, value: number | null) =>
    edit(`rate ${of}`, (b) => {
      const { [of]: _, ...rest } = b.rates;
      return { ...b, rates: value === null ? rest : { ...rest, [of]: value } };
    });
  return (
    <Box role="group" aria-label="Currency" sx={{ width: '100%' }}>
      <Box sx={{ fontSize: 12.5 }}>
        All amounts of this build are in {currency}.{' '}
        <Button aria-expanded={open} onClick={() => setOpen(!open)} sx={{ px: 0.75 }}>
          Other currencies
        </Button>
      </Box>
      {Object.entries(rates).map(([of, value]) => (
        <Box key={of} sx={{ display: 'flex', gap: 1, alignItems: 'flex-end', mt: 0.5 }}>
          <Worth of={of} currency={currency} value={value} onChange={(v) => rate(of, v)} />
          {(of !== euro || currency === euro) && (
            <Button aria-label={`Forget what one ${of} is worth`} onClick={() => rate(of, null)} sx={{ px: 0.75 }}>
              Remove
            </Button>
          )}
        </Box>
      ))}
      {open && (
        <>
          <Another onSay={rate} />
          <PayIn />
        </>
      )}
    </Box>
  );
}

interface Said {
  in: string;
  worth: number | null;
}
const line = { display: 'flex', gap: 1, alignItems: 'flex-start', mt: 0.5 };

function Another({ onSay }: { onSay: (of: string, worth: number) => void }) {
  const { currency } = useRoom('build').build;
  const { control, handleSubmit, reset, setError } = useForm<Said>({ defaultValues: { in: '', worth: null } });
  const other = currencyMeant(useWatch({ control, name: 'in' }));
  const say = handleSubmit(({ worth }) => {
    if (other === currency) return setError('in', { message: 'The build is in it already' }, { shouldFocus: true });
    onSay(other, worth!);
    reset();
  });
  return (
    <Box component="form" noValidate aria-label="What another currency is worth" onSubmit={say} sx={line}>
      <CurrencyIn control={control} name="in" label="Offers in" />
      <NumberIn control={control} name="worth" {...worthBox(other || 'of it', currency)} wanted="What is it worth?" />
      <Button type="submit" sx={{ px: 0.75, mt: 2 }}>
        Say it
      </Button>
    </Box>
  );
}

function PayIn() {
  const { build, edit } = useRoom('build', 'edit');
  const { currency } = build;
  const { control, handleSubmit, reset, setError } = useForm<Said>({
    defaultValues: { in: currency === euro ? 'USD' : euro, worth: null },
  });
  const next = currencyMeant(useWatch({ control, name: 'in' }));
  const pay = handleSubmit(({ worth }) => {
    if (next === currency) return setError('in', { message: 'The build is in it already' }, { shouldFocus: true });
    edit('currency', (b) => buildInCurrency(b, next, worth!));
    reset({ in: currency, worth: null });
  });
  return (
    <Box component="form" noValidate aria-label="Pay in another currency" onSubmit={pay} sx={line}>
      <CurrencyIn control={control} name="in" label="Pay in" />
      <NumberIn control={control} name="worth" {...worthBox(currency, next)} wanted="What is it worth?" />
      <Button type="submit" sx={{ px: 0.75, mt: 2 }}>
        Turn all amounts into {next}
      </Button>
    </Box>
  );
}
