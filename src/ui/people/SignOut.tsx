import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { forgetKept } from '../frame/offline';
import { askServer, under } from '../room/ask-server';

/** Whoever leaves a machine to others must know whether they have left it: where that did not go it is said. */
export function SignOut() {
  const [fault, setFault] = useState<string | null>(null);
  const leave = async () => {
    const { ok, said } = await askServer('/api/sign-out', { method: 'POST' }, 'The server does not answer.');
    if (!ok) return setFault(`You are still signed in. ${said.sentence}`);
    await forgetKept();
    window.location.assign(under('/sign-in'));
  };
  return (
    <>
      <Button onClick={() => void leave()}>Sign out</Button>
      {fault && (
        <Box component="span" role="alert" sx={{ color: 'error.main', fontSize: 12.5 }}>
          {fault}
        </Box>
      )}
    </>
  );
}
