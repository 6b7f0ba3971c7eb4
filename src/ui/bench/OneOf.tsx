import Button from '@mui/material/Button';

/** A few buttons of which one is pressed. */
export function OneOf<T extends string>({
  of,
  at,
  says,
  onPick,
}: {
  of: readonly T[];
  at: T;
  says: (word: T) => string;
  onPick: (word: T) => void;
}) {
  return of.map((word) => (
    <Button
      key={word}
      aria-pressed={word === at}
      variant={word === at ? 'contained' : 'outlined'}
      onClick={() => onPick(word)}
    >
      {says(word)}
    </Button>
  ));
}
