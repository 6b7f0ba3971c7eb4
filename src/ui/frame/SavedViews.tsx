'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { usePathname, useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { useSavedViews } from './saved-views';

const mostLetters = 40;

/** Filters, order and columns under a name, to come back to; for all builds. `screen`: whose views. */
export function SavedViews({ screen }: { screen: string }) {
  const { views, keep, drop } = useSavedViews();
  const router = useRouter();
  const path = usePathname();
  const [at, setAt] = useState<HTMLElement | null>(null);
  const [name, setName] = useState('');
  useEffect(() => void useSavedViews.persist.rehydrate(), []);
  const mine = views.filter((v) => v.screen === screen);
  const go = (query: string) => {
    setAt(null);
    router.push(`${path}${query}`);
  };
  return (
    <>
      <Button aria-haspopup="menu" aria-expanded={at !== null} onClick={(e) => setAt(e.currentTarget)}>
        Views
      </Button>
      <Menu anchorEl={at} open={at !== null} onClose={() => setAt(null)}>
        <MenuItem onClick={() => go('')}>As it is at first</MenuItem>
        {mine.map((v) => (
          <MenuItem key={v.name} onClick={() => go(v.query)}>
            {v.name}
          </MenuItem>
        ))}
        <Box
          component="form"
          // Letters typed here name a view; the menu would jump to its entries by them.
          onKeyDown={(e) => e.key !== 'Escape' && e.stopPropagation()}
          onSubmit={(e) => {
            e.preventDefault();
            keep({ screen, name: name.trim(), query: window.location.search });
            setName('');
            setAt(null);
          }}
          sx={{ px: 2, py: 1, display: 'flex', gap: 1, alignItems: 'flex-end' }}
        >
          <TextField
            label="Keep this view as"
            value={name}
            onChange={(e) => setName(e.target.value)}
            slotProps={{ htmlInput: { maxLength: mostLetters } }}
            sx={{ width: 150 }}
          />
          <Button type="submit" disabled={name.trim() === ''}>
            Keep
          </Button>
        </Box>
        {mine.map((v) => (
          <MenuItem key={`drop ${v.name}`} onClick={() => drop(v)} sx={{ color: 'text.secondary' }}>
            Forget {v.name}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}
