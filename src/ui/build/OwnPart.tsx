import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useForm, useWatch } from 'react-hook-form';
import {
  centsOf,
  kindMeant,
  ownPart,
  partPageWords,
  peripheralKinds,
  readPartPage,
  saysSomething,
  withPartPage,
  type Peripheral,
  type PeripheralKind,
} from '@/core';
import { today } from '../room/today';
import { ChoiceIn, NumberIn, TextIn } from '../form/in-form';

/** A part that no library has: a name and a kind make one, wired as most of its kind are; what the line or its page says of it goes into it. */
export function OwnPart({ name: said, onMake }: { name: string; onMake: (part: Peripheral) => void }) {
  const { control, handleSubmit } = useForm({
    defaultValues: {
      name: said.split(/[,;\n]/)[0]!.trim(),
      kind: (kindMeant(said)?.kinds[0] ?? 'other') as PeripheralKind,
      price: null as number | null,
      page: '',
    },
  });
  const page = useWatch({ control, name: 'page' });
  const told = readPartPage(`${said}\n${page}`);
  const source = (page || said).trim();
  const make = handleSubmit(({ name, kind, price }) => {
    const bare = ownPart(name, kind, centsOf(price!));
    if (bare) onMake(saysSomething(told) ? withPartPage(bare, told, { origin: 'claim', seen: today(), source }) : bare);
  });
  return (
    <Box
      component="form"
      noValidate
      aria-label="A part of your own"
      onSubmit={(e) => {
        e.stopPropagation();
        void make(e);
      }}
      sx={{ display: 'flex', gap: 1, alignItems: 'flex-start', flexWrap: 'wrap' }}
    >
      <TextIn
        control={control}
        name="name"
        label="Name of the part"
        wanted="A name is wanted"
        sx={{ flex: '1 1 220px' }}
      />
      <ChoiceIn control={control} name="kind" label="Kind" words={peripheralKinds} />
      {/* What is not said to be free is not taken to be. */}
      <NumberIn
        control={control}
        name="price"
        label="Price, 0 if at home"
        unit="€"
        wanted="A price is wanted, 0 if it is at home"
        width={110}
      />
      <TextIn
        control={control}
        name="page"
        label="Its page, pasted"
        multiline
        maxRows={4}
        placeholder="5-36 V, 0.3 A, 9 g ..."
        most={20_000}
        sx={{ flex: '1 1 220px' }}
      />
      <Button type="submit" sx={{ mt: 2 }}>
        Make it one of my own
      </Button>
      {saysSomething(told) && (
        <Box role="status" sx={{ width: '100%', fontSize: 12, color: 'text.secondary' }}>
          Understood: {partPageWords(told)}
        </Box>
      )}
    </Box>
  );
}
