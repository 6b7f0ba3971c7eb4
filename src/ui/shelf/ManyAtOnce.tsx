import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQueryClient } from '@tanstack/react-query';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { counted, isCandidate, newestVersion, sealed, withAtHome, type Board } from '@/core';
import { useRoom } from '../room/store';
import { ForWriters } from '../room/ForWriters';
import { useShelf } from '../room/use-shelf';
import { saveAs } from '../frame/save-as';

const mostBeside = 5;

/** What is done with several boards at once. */
export function ManyAtOnce({
  boards,
  onDone,
  onFault,
}: {
  boards: Board[];
  onDone: () => void;
  onFault: (sentence: string | null) => void;
}) {
  const { build, edit } = useRoom('build', 'edit');
  const { removeBoard } = useShelf();
  const client = useQueryClient();
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  if (boards.length === 0) return null;
  const climbing = boards.filter(isCandidate);
  const remove = async () => {
    setBusy(true);
    const faults: string[] = [];
    for (const b of boards) {
      const said = await removeBoard(b.id);
      if (said !== null) faults.push(`${b.name}: ${said}`);
    }
    onFault(faults.length > 0 ? faults.join(' ') : null);
    await client.invalidateQueries({ queryKey: ['bin'] });
    setBusy(false);
    onDone();
  };
  const save = async () =>
    saveAs(
      'rung-boards.json',
      'application/json',
      await sealed({ format: 'rung-shelf', version: newestVersion, name: 'Boards', boards, peripherals: [] }),
    );
  const atHome = (there: boolean) => edit('home of several', (b) => withAtHome(b, boards, there));
  return (
    <Box
      role="group"
      aria-label="With the chosen boards"
      sx={{
        display: 'flex',
        gap: 0.5,
        alignItems: 'center',
        px: 2,
        py: 0.25,
        background: 'var(--copperSoft)',
        borderBottom: '1px solid var(--hair)',
      }}
    >
      <strong>{counted(boards.length, 'board')} chosen:</strong>
      <Button
        disabled={climbing.length < 2}
        onClick={() =>
          router.push(
            `/b/${build.id}/compare?boards=${climbing
              .slice(0, mostBeside)
              .map((b) => b.id)
              .join(',')}`,
          )
        }
      >
        Put side by side{climbing.length > mostBeside ? `, the first ${mostBeside}` : ''}
      </Button>
      <Button onClick={() => void save()}>Save as JSON</Button>
      <ForWriters>
        <Button onClick={() => atHome(true)}>Are at home</Button>
        <Button onClick={() => atHome(false)}>Are not at home</Button>
        <Button disabled={busy} onClick={() => void remove()}>
          Remove from the shelf
        </Button>
      </ForWriters>
      <Box sx={{ flex: 1 }} />
      <Button onClick={onDone}>Choose none</Button>
    </Box>
  );
}
