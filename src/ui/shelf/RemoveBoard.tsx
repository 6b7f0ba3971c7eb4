import Button from '@mui/material/Button';
import { useQueryClient } from '@tanstack/react-query';
import { focusBeside } from '../frame/focus-beside';
import { useShelf } from '../room/use-shelf';

/** Takes a board off the shelf, also one that nobody can open: it can be brought back for 30 days from the foot of the shelf. */
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
  const client = useQueryClient();
  const remove = async (button: HTMLElement) => {
    const focus = focusBeside(button, '[role=row]', '[aria-label="Filter boards"]');
    onDone(await removeBoard(id));
    focus();
    void client.invalidateQueries({ queryKey: ['bin'] });
  };
  return (
    <Button
      color="inherit"
      sx={{ color: 'text.secondary' }}
      aria-label={`Remove ${name} from the shelf`}
      onClick={(e) => void remove(e.currentTarget)}
    >
      Remove
    </Button>
  );
}
