import Button from '@mui/material/Button';
import { useRef } from 'react';

/** A button that opens the machine's dialog for files. `label` names the field for whoever does not see it. */
export function PickFiles({
  words,
  label,
  accept,
  title,
  outlined = false,
  onPick,
}: {
  words: string;
  label: string;
  accept: string;
  title?: string;
  outlined?: boolean;
  onPick: (files: File[]) => void;
}) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button variant={outlined ? 'outlined' : 'text'} title={title} onClick={() => input.current?.click()}>
        {words}
      </Button>
      <input
        ref={input}
        type="file"
        multiple
        hidden
        accept={accept}
        aria-label={label}
        onChange={(e) => {
          const files = [...(e.target.files ?? [])];
          // The same file may be picked again.
          e.target.value = '';
          if (files.length > 0) onPick(files);
        }}
      />
    </>
  );
}
