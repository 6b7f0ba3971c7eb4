import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { euro } from '@/core';
import { CurrencyIn, currencyMeant, NumberIn } from '../form/in-form';
import { useOnce } from '../form/use-once';
import { worthBox } from '../form/Worth';
import { useAsked } from '../frame/asked';
import { askServer } from '../room/ask-server';

interface Money {
  currency: string;
  rates: Record<string, number>;
}

/** What new builds are paid in; a rate is what its buyer says, nothing is fetched. */
export function WorkspaceMoney({ mayWrite }: { mayWrite: boolean }) {
  const { said, unanswered } = useAsked<Money>('The currency', ['money'], '/api/money');
  // A form that is being filled in stays where a later answer does not come.
  if (!said) return unanswered ?? <Box role="status">On its way ...</Box>;
  if (!mayWrite) return <Box>New builds are paid in {said.currency}.</Box>;
  return <Form money={said} />;
}

function Form({ money }: { money: Money }) {
  const { control, handleSubmit } = useForm({
    defaultValues: { currency: money.currency, worth: money.rates[euro] ?? null },
  });
  const currency = currencyMeant(useWatch({ control, name: 'currency' }));
  const [said, setSaid] = useState<string | null>(null);
  const save = useOnce(
    handleSubmit(async ({ worth }) => {
      const { [euro]: _, ...others } = currency === money.currency ? money.rates : {};
      const { said: answer } = await askServer(
        '/api/money',
        {
          method: 'PUT',
          body: JSON.stringify({ currency, rates: currency === euro ? others : { ...others, [euro]: worth } }),
        },
        'The server does not answer. Nothing was changed.',
      );
      setSaid(answer.sentence);
    }),
  );
  return (
    <Box
      component="form"
      noValidate
      onSubmit={save}
      sx={{ display: 'flex', gap: 1.5, alignItems: 'flex-start', flexWrap: 'wrap' }}
    >
      <CurrencyIn control={control} name="currency" label="Currency" />
      {currency !== euro && (
        <NumberIn control={control} name="worth" {...worthBox(euro, currency)} wanted="What is it worth?" />
      )}
      <Button type="submit" variant="outlined" sx={{ mt: 2 }}>
        Say it
      </Button>
      {said && (
        <Box component="span" role="status" sx={{ mt: 2.5 }}>
          {said}
        </Box>
      )}
      <Box sx={{ width: '100%', fontSize: 12.5, color: 'text.secondary' }}>
        Builds that are there stay as they are: theirs is changed under Build, Change.
      </Box>
    </Box>
  );
}
