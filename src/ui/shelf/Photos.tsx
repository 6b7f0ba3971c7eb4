import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useRef, useState } from 'react';
import { useAsked } from '../frame/asked';
import { askServer, under } from '../room/ask-server';
import { ForWriters } from '../room/ForWriters';

/** Pictures about a board or a logbook entry, PNG or JPEG; what the camera wrote beside the picture is left out. */
export function Photos({ about }: { about: string }) {
  const input = useRef<HTMLInputElement>(null);
  const [said, setSaid] = useState<string | null>(null);
  const {
    said: list,
    unanswered,
    askAgain,
  } = useAsked<{ photos: string[] }>('Pictures', ['photos', about], `/api/photos?about=${encodeURIComponent(about)}`);
  const photos = list?.photos ?? [];
  const send = async (file: File) => {
    const { ok, said: answer } = await askServer(
      `/api/photos?about=${encodeURIComponent(about)}`,
      { method: 'POST', body: file },
      'The server does not answer. Nothing was kept.',
    );
    setSaid(ok ? null : answer.sentence);
    askAgain();
  };
  const remove = async (id: string) => {
    const { ok, said: answer } = await askServer(
      `/api/photos/${id}`,
      { method: 'DELETE' },
      'The server does not answer. The picture is still there.',
    );
    setSaid(ok ? null : answer.sentence);
    askAgain();
  };
  return (
    <section aria-label="Pictures">
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1 }}>
        <Typography variant="h2" sx={{ flex: 1 }}>
          Pictures
        </Typography>
        <ForWriters>
          <Button variant="outlined" onClick={() => input.current?.click()}>
            Attach
          </Button>
        </ForWriters>
      </Box>
      <input
        ref={input}
        type="file"
        accept="image/png,image/jpeg"
        hidden
        aria-label="Picture"
        onChange={(e) => (e.target.files?.[0] && void send(e.target.files[0]), (e.target.value = ''))}
      />
      {said && (
        <Box role="alert" sx={{ fontSize: 12.5 }}>
          {said}
        </Box>
      )}
      {unanswered}
      {list && photos.length === 0 && (
        <Box sx={{ fontSize: 12.5, color: 'text.secondary' }}>None has been attached yet.</Box>
      )}
      {photos.map((id, i) => (
        <Box key={id} sx={{ mt: 0.5 }}>
          <img src={under(`/api/photos/${id}`)} alt={`Picture ${i + 1}`} style={{ maxWidth: '100%' }} />
          <ForWriters>
            <Button onClick={() => void remove(id)}>Remove</Button>
          </ForWriters>
        </Box>
      ))}
    </section>
  );
}
