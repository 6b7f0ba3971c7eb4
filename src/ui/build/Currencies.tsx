'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { buildInCurrency, euro } from '@/core';
import { useRoom } from '../room/store';
import { Currency } from './Currency';
import { Worth } from './Worth';

/** Which currency the build is paid in, and what others are worth in it: as the buyer says, nothing is fetched. */
export function Currencies() {
  const { build, edit } = useRoom('build', 'edit');
  const { currency, rates } = build;
  const [next, setNext] = useState(build.currency === euro ? 'USD' : euro);
  const [worth, setWorth] = useState<number | null>(null);
  const [other, setOther] = useState('');
  const [otherWorth, setOtherWorth] = useState<number | null>(null);
  const [open, setOpen] = useState(false);
  const known = /^[A-Z]{3}$/.test(other) && other !== currency && otherWorth !== null;
  const rate = (of: string, value: number | null) =>
    edit(`rate ${of}`, (b) => {
      const { [of]: _, ...rest } = b.rates;
      return { ...b, rates: value === null ? rest : { ...rest, [of]: value } };
    });
  const pay = (n: number) => {
    edit('currency', (b) => buildInCurrency(b, next, n));
    setWorth(null);
    setNext(currency);
  };
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
          <Worth known of={of} currency={currency} value={value} onChange={(v) => v && rate(of, v)} />
          {(of !== euro || currency === euro) && (
            <Button aria-label={`Forget what one ${of} is worth`} onClick={() => rate(of, null)} sx={{ px: 0.75 }}>
              Remove
            </Button>
          )}
        </Box>
      ))}
      {open && (
        <>
          <Box
            component="form"
            aria-label="What another currency is worth"
            onSubmit={(e) => (
              e.preventDefault(),
              known && (rate(other, otherWorth), setOther(''), setOtherWorth(null))
            )}
            sx={{ display: 'flex', gap: 1, alignItems: 'flex-end', mt: 0.5 }}
          >
            <Currency label="Offers in" value={other} onChange={setOther} />
            <Worth of={other || 'of it'} currency={currency} value={otherWorth} onChange={setOtherWorth} />
            <Button type="submit" disabled={!known} sx={{ px: 0.75 }}>
              Say it
            </Button>
          </Box>
          <Box
            component="form"
            aria-label="Pay in another currency"
            onSubmit={(e) => (e.preventDefault(), worth && next !== currency && pay(worth))}
            sx={{ display: 'flex', gap: 1, alignItems: 'flex-end', mt: 0.5 }}
          >
            <Currency label="Pay in" value={next} onChange={setNext} />
            <Worth of={currency} currency={next} value={worth} onChange={setWorth} />
            <Button type="submit" disabled={!worth || next === currency} sx={{ px: 0.75 }}>
              Turn all amounts into {next}
            </Button>
          </Box>
        </>
      )}
    </Box>
  );
}
