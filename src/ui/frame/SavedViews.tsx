'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Popover from '@mui/material/Popover';
import { usePathname, useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { useForm } from 'react-hook-form';
import { TextIn } from '../form/in-form';
import { useSavedViews } from './saved-views';

const mostLetters = 40;

/** Filters, order and columns under a name, to come back to; for all builds. `screen`: whose views. */
export function SavedViews({ screen }: { screen: string }) {
  const { views, keep, drop } = useSavedViews();
  const router = useRouter();
  const path = usePathname();
  const [at, setAt] = useState<HTMLElement | null>(null);
  const { control, handleSubmit, reset } = useForm({ defaultValues: { name: '' } });
  useEffect(() => void useSavedViews.persist.rehydrate(), []);
  const mine = views.filter((v) => v.screen === screen);
  const go = (query: string) => {
    setAt(null);
    router.push(`${path}${query}`);
  };
  return (
    <>
      <Button aria-haspopup="dialog" aria-expanded={at !== null} onClick={(e) => setAt(e.currentTarget)}>
        Views
      </Button>
      <Popover
        anchorEl={at}
        open={at !== null}
        onClose={() => setAt(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
        slotProps={{ paper: { role: 'dialog', 'aria-label': 'Views', sx: { p: 1.5, minWidth: 240 } } }}
      >
        <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
          <li>
            <Button onClick={() => go('')}>As it is at first</Button>
          </li>
          {mine.map((v) => (
            <Box component="li" key={v.name} sx={{ display: 'flex' }}>
              <Box sx={{ flex: 1 }}>
                <Button onClick={() => go(v.query)}>{v.name}</Button>
              </Box>
              <Button aria-label={`Forget the view ${v.name}`} onClick={() => drop(v)} sx={{ color: 'text.secondary' }}>
                Forget
              </Button>
            </Box>
          ))}
        </Box>
        <Box
          component="form"
          noValidate
          onSubmit={handleSubmit(({ name }) => {
            keep({ screen, name: name.trim(), query: window.location.search });
            reset();
            setAt(null);
          })}
          sx={{ mt: 1, display: 'flex', gap: 1, alignItems: 'flex-start' }}
        >
          <TextIn
            control={control}
            name="name"
            label="Keep this view as"
            wanted="A name is wanted"
            most={mostLetters}
            sx={{ width: 150 }}
          />
          <Button type="submit" sx={{ mt: 2 }}>
            Keep
          </Button>
        </Box>
      </Popover>
    </>
  );
}
