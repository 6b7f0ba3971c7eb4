import Button from '@mui/material/Button';
import Box from '@mui/material/Box';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import { columns } from './columns';

/** Which columns stand there. */
export function ColumnChoice({ shown, onChange }: { shown: string[]; onChange: (shown: string[]) => void }) {
  const [at, setAt] = useState<HTMLElement | null>(null);
  return (
    <>
      <Button aria-haspopup="menu" aria-expanded={at !== null} onClick={(e) => setAt(e.currentTarget)}>
        Columns
      </Button>
      <Menu anchorEl={at} open={at !== null} onClose={() => setAt(null)}>
        {columns.map(({ id, heading }) => {
          const is = shown.includes(id);
          return (
            <MenuItem
              key={id}
              role="menuitemcheckbox"
              aria-checked={is}
              onClick={() => onChange(columns.flatMap((c) => ((c.id === id ? !is : shown.includes(c.id)) ? c.id : [])))}
            >
              <Box component="span" aria-hidden sx={{ width: 22 }}>
                {is ? '✓' : ''}
              </Box>
              {heading}
            </MenuItem>
          );
        })}
      </Menu>
    </>
  );
}
