import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Select from '@mui/material/Select';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { boardIdsIn, roleOf, setId, withoutSet, withSet } from '@/core';
import { useRoom } from '../room/store';
import { useShelf } from '../room/use-shelf';

/** A set by hand: it takes part in the ladder however it ranks, until it is taken out again. */
export function MakeSet() {
  const { build, edit } = useRoom('build', 'edit');
  const { shelf } = useShelf();
  const router = useRouter();
  const [chosen, setChosen] = useState({ controller: '', esc: '', 'power board': '' });
  const boards = shelf?.boards ?? [];
  const of = (role: keyof typeof chosen) => boards.filter((b) => roleOf(b) === role);
  if (of('controller').length === 0 || of('esc').length + of('power board').length === 0) return null;
  const ids = [chosen.controller, chosen.esc, chosen['power board']].filter((id) => id !== '');
  const nameOf = (id: string) => boards.find((b) => b.id === id)?.name ?? id;
  const make = () => {
    const id = setId(ids);
    edit('make a set', (b) => withSet(b, id));
    router.push(`/b/${build.id}/board/${id}`);
  };
  return (
    <Box
      component="form"
      className="no-print"
      aria-label="Make a set"
      onSubmit={(e) => (e.preventDefault(), make())}
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 1,
        px: 2,
        py: 0.5,
        fontSize: 12.5,
        borderBottom: '1px solid var(--hair)',
        flexWrap: 'wrap',
      }}
    >
      <span>A set by hand:</span>
      {choice('controller', 'a controller')}
      <span>with</span>
      {choice('esc', 'no ESC')}
      <span>and</span>
      {choice('power board', 'no power board')}
      <Button type="submit" variant="outlined" disabled={chosen.controller === '' || ids.length < 2}>
        Make it
      </Button>
      {build.sets.map((id) => (
        <span key={id}>
          {boardIdsIn(id).map(nameOf).join(' + ')}{' '}
          <Button onClick={() => edit('take a set out', (b) => withoutSet(b, id))}>Take out</Button>
        </span>
      ))}
    </Box>
  );

  function choice(role: keyof typeof chosen, empty: string) {
    return (
      <Select
        displayEmpty
        value={chosen[role]}
        onChange={(e) => setChosen({ ...chosen, [role]: e.target.value })}
        inputProps={{ 'aria-label': role }}
        sx={{ width: 150 }}
      >
        <MenuItem value="">{empty}</MenuItem>
        {of(role).map((b) => (
          <MenuItem key={b.id} value={b.id}>
            {b.name}
          </MenuItem>
        ))}
      </Select>
    );
  }
}
