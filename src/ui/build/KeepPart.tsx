import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { forLibrary, type Peripheral } from '@/core';
import { askServer } from '../room/ask-server';
import { useRoom } from '../room/store';
import { useShelf } from '../room/use-shelf';

/** Puts a copy of a part into the library, for every build to pick. */
export function KeepPart({ peripheral }: { peripheral: Peripheral }) {
  const { reloadShelf } = useShelf();
  const { build } = useRoom('build');
  const [said, setSaid] = useState<string | null>(null);
  const keep = async () => {
    const reply = await askServer(
      '/api/import',
      { method: 'POST', body: JSON.stringify(forLibrary(build, peripheral)) },
      'The server does not answer. The part stays in this build.',
    );
    setSaid(reply.ok ? 'In the library, for every build.' : reply.said.sentence);
    if (reply.ok) reloadShelf();
  };
  return (
    <Box sx={{ display: 'flex', gap: 1, alignItems: 'baseline', fontSize: 12 }}>
      <Button onClick={() => void keep()}>Put it into the library</Button>
      {said && <span role="status">{said}</span>}
    </Box>
  );
}
