import TextField from '@mui/material/TextField';

/** A few words that are taken over when the box is left or Enter is pressed. */
export function Said({
  label,
  value,
  onSay,
  width = 160,
  most = 40,
  empty = false,
}: {
  label: string;
  value: string;
  onSay: (words: string) => void;
  width?: number;
  most?: number;
  empty?: boolean;
}) {
  const leave = (typed: string) => {
    const words = typed.trim();
    if (words !== value && (empty || words !== '')) onSay(words);
  };
  return (
    <TextField
      label={label}
      key={value}
      defaultValue={value}
      onBlur={(e) => leave(e.target.value)}
      onKeyDown={(e) => e.key === 'Enter' && (e.target as HTMLElement).blur()}
      slotProps={{ htmlInput: { maxLength: most } }}
      sx={{ width }}
    />
  );
}
