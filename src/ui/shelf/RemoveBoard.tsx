import Button from '@mui/material/Button';
import { useState } from 'react';
import { useShelf } from '../room/use-shelf';

/** Takes a board off the shelf, also one that nobody can open: the first press asks, the second removes, leaving the button changes nothing. */
export function RemoveBoard({
  id,
  name,
  onDone,
}: {
  id: string;
  name: string;
  onDone: (fault: string | null) => void;
}) {
  const { removeBoard } = useShelf();
  const [asking, setAsking] = useState(false);
  return (
    <Button
      color={asking ? 'error' : 'inherit'}
      sx={{ color: asking ? undefined : 'text.secondary' }}
      variant={asking ? 'contained' : 'text'}
      aria-label={asking ? `Remove ${name} from the shelf for good` : `Remove ${name} from the shelf`}
      onBlur={() => setAsking(false)}
      onClick={() => (asking ? void removeBoard(id).then(onDone) : setAsking(true))}
    >
      {asking ? 'For good?' : 'Remove'}
    </Button>
  );
}
