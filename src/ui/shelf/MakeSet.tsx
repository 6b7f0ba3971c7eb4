import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Select from '@mui/material/Select';
import { useRouter } from 'next/navigation';
import { Controller, useForm } from 'react-hook-form';
import { boardIdsIn, roleOf, setId, withoutSet, withSet } from '@/core';
import { useRoom } from '../room/store';
import { useShelf } from '../room/use-shelf';

const roles = ['controller', 'esc', 'power board'] as const;
type Chosen = Record<(typeof roles)[number], string>;

/** A set by hand: it takes part in the ladder however it ranks, until it is taken out again. */
export function MakeSet() {
  const { build, edit } = useRoom('build', 'edit');
  const { shelf } = useShelf();
  const router = useRouter();
  const { control, handleSubmit, setError, formState } = useForm<Chosen>({
    defaultValues: { controller: '', esc: '', 'power board': '' },
  });
  const boards = shelf?.boards ?? [];
  const of = (role: keyof Chosen) => boards.filter((b) => roleOf(b) === role);
  if (of('controller').length === 0 || of('esc').length + of('power board').length === 0) return null;
  const nameOf = (id: string) => boards.find((b) => b.id === id)?.name ?? id;
  const make = handleSubmit((chosen) => {
    const ids = roles.map((role) => chosen[role]).filter((id) => id !== '');
    if (chosen.controller === '' || ids.length < 2)
      return setError('root', { message: 'Choose a controller, and an ESC or a power board that goes with it.' });
    const id = setId(ids);
    edit('make a set', (b) => withSet(b, id));
    router.push(`/b/${build.id}/board/${id}`);
  });
  return (
    <Box
      component="form"
      className="no-print"
      aria-label="Make a set"
      noValidate
      onSubmit={make}
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
      <Button type="submit" variant="outlined">
        Make it
      </Button>
      {formState.errors.root && <span role="alert">{formState.errors.root.message}</span>}
      {build.sets.map((id) => (
        <span key={id}>
          {boardIdsIn(id).map(nameOf).join(' + ')}{' '}
          <Button onClick={() => edit('take a set out', (b) => withoutSet(b, id))}>Take out</Button>
        </span>
      ))}
    </Box>
  );

  function choice(role: keyof Chosen, empty: string) {
    return (
      <Controller
        control={control}
        name={role}
        render={({ field: { ref, ...field } }) => (
          <Select {...field} displayEmpty inputRef={ref} inputProps={{ 'aria-label': role }} sx={{ width: 150 }}>
            <MenuItem value="">{empty}</MenuItem>
            {of(role).map((b) => (
              <MenuItem key={b.id} value={b.id}>
                {b.name}
              </MenuItem>
            ))}
          </Select>
        )}
      />
    );
  }
}
