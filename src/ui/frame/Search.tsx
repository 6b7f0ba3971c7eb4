'use client';

import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { usePathname, useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { glossary, isCandidate, numbered, type Board } from '@/core';
import { askServer } from '../room/ask-server';
import { useRoom } from '../room/store';
import { useLibrary, useShelf } from '../room/use-shelf';
import { findByName, type Named } from './find-by-name';
import { optionGroup } from './OptionGroup';
import { useLetterKey } from './letter-keys';
import { screenAddress, screens } from './screens';

interface Found extends Named {
  href: string;
}

const mostShown = 40;
/** Where "/" goes into a box of the screen itself. */
const ownFilter = /^\/b\/[^/]+(\/ladder)?$/;

/** Finds everything there is by name: screens, boards, parts of the build and of the library, builds, words. Ctrl+K anywhere. */
export function Search() {
  const [open, setOpen] = useState(false);
  const path = usePathname();
  useHotkeys('mod+k', () => setOpen(true), { preventDefault: true, enableOnFormTags: true });
  useLetterKey('/', () => !ownFilter.test(path) && setOpen(true), { preventDefault: true, useKey: true });
  return (
    <>
      <Button title="Find anything (Ctrl+K)" onClick={() => setOpen(true)}>
        Find
      </Button>
      <Dialog
        open={open}
        onClose={() => setOpen(false)}
        aria-label="Find anything"
        fullWidth
        maxWidth="sm"
        slotProps={{ paper: { sx: { p: 2, alignSelf: 'flex-start' } } }}
      >
        {open && <EverythingBox onDone={() => setOpen(false)} />}
      </Dialog>
    </>
  );
}

function EverythingBox({ onDone }: { onDone: () => void }) {
  const router = useRouter();
  const all = useEverything();
  return (
    <Autocomplete<Found>
      options={all}
      groupBy={(f) => f.group}
      renderGroup={optionGroup}
      getOptionLabel={(f) => f.name}
      getOptionKey={(f) => f.group + f.href + f.name}
      filterOptions={(some, { inputValue }) => findByName(some, inputValue).slice(0, mostShown)}
      onChange={(_, f) => {
        if (!f) return;
        onDone();
        router.push(f.href);
      }}
      openOnFocus
      autoHighlight
      noOptionsText="Nothing is called so: no screen, board, part, build or word."
      renderInput={(params) => <TextField {...params} autoFocus label="A screen, a board, a part, a build, a word" />}
      renderOption={({ key, ...props }, f) => (
        <li key={key} {...props}>
          <span>
            {f.name} <span style={{ color: 'var(--faded)', fontSize: 12 }}>{f.more}</span>
          </span>
        </li>
      )}
    />
  );
}

function useEverything(): Found[] {
  const { build, rights } = useRoom('build', 'rights');
  const { shelf } = useShelf();
  const library = useLibrary();
  const { data: builds } = useQuery({
    queryKey: ['names of builds'],
    enabled: rights.shared === null,
    queryFn: async () =>
      (await askServer<{ builds: { id: string; name: string }[] }>('/api/builds', {}, '')).said.builds ?? [],
  });
  return useMemo(() => {
    const base = `/b/${build.id}`;
    if (rights.shared !== null) return boardsOf((shelf?.boards ?? []).filter(isCandidate), base);
    return [
      ...Object.entries(screens).map(([at, name]) => ({
        group: 'Screens',
        name,
        more: '',
        href: screenAddress(build.id, at),
      })),
      { group: 'Screens', name: 'All builds', more: 'the first page', href: '/' },
      { group: 'Screens', name: 'Settings', more: 'units, days, currency, keys', href: '/settings' },
      ...numbered(build).parts.map((p) => ({
        group: `Parts of ${build.name}`,
        name: p.peripheral.name,
        more: p.peripheral.kind,
        href: `${base}?part=${p.id}`,
      })),
      ...boardsOf(shelf?.boards ?? [], base),
      ...(builds ?? []).map((b) => ({ group: 'Builds', name: b.name, more: '', href: `/b/${b.id}` })),
      ...(library ?? []).map((p) => ({
        group: 'Parts of the library: to be added to the build',
        name: p.name,
        more: p.kind,
        href: `${base}?add=${encodeURIComponent(p.name)}`,
      })),
      ...glossary.map((g) => ({
        group: 'Words',
        name: g.term,
        more: g.means,
        href: `/glossary#${encodeURIComponent(g.term)}`,
      })),
    ];
  }, [build, rights.shared, shelf, builds, library]);
}

function boardsOf(boards: Board[], base: string): Found[] {
  return boards.map((b) => ({
    group: 'Boards',
    name: b.name,
    more: `${b.maker}, ${b.kind}`,
    href: `${base}/${isCandidate(b) ? 'board' : 'shelf'}/${b.id}`,
  }));
}
