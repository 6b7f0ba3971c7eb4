'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { centsOf, currencySign, type Build } from '@/core';
import { useRoom } from '../room/store';
import { Said } from '../shelf/Said';
import { NumberBox } from '../form/NumberBox';

type Import = Build['imports'][number];

/** What a parcel of a shop costs at the border: rates as the buyer says them. */
export function Border() {
  const { build, edit } = useRoom('build', 'edit');
  const { imports } = build;
  const put = (next: Import[]) => edit('border', (b) => ({ ...b, imports: next }));
  const change = (at: number, next: Partial<Import>) =>
    put(imports.map((one, i) => (i === at ? { ...one, ...next } : one)));
  return (
    <Box role="group" aria-label="Duty and tax of parcels" sx={{ width: '100%' }}>
      {imports.map((one, i) => (
        <Box key={i} sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'flex-end', mt: 0.5 }}>
          <Said label="Parcels of" value={one.shop} most={80} onSay={(shop) => change(i, { shop })} />
          <NumberBox
            label="Duty"
            unit="%"
            max={200}
            value={one.dutyPercent}
            onChange={(v) => change(i, { dutyPercent: v ?? 0 })}
          />
          <NumberBox
            label="Tax, on all of it"
            unit="%"
            max={100}
            width={110}
            value={one.taxPercent}
            onChange={(v) => change(i, { taxPercent: v ?? 0 })}
          />
          <NumberBox
            label="Carrier's fee"
            unit={currencySign(build.currency)}
            value={one.feeCents / 100}
            onChange={(v) => change(i, { feeCents: centsOf(v ?? 0) })}
          />
          <Button
            aria-label={`Remove what parcels of ${one.shop} cost at the border`}
            onClick={() => put(imports.filter((_, n) => n !== i))}
            sx={{ px: 0.75 }}
          >
            Remove
          </Button>
        </Box>
      ))}
      {imports.length < 20 && (
        <Button
          onClick={() => put([...imports, { shop: 'name of the shop', dutyPercent: 0, taxPercent: 0, feeCents: 0 }])}
          sx={{ px: 0.75 }}
        >
          A shop whose parcels pay duty or tax
        </Button>
      )}
    </Box>
  );
}
