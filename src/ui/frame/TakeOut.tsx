'use client';

import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import { sealed } from '@/core';
import { useRoom } from '../room/store';
import { saveAs } from './save-as';
import { json, outsOfScreen, type Out } from './take-out';

const saidMs = 2500;

/** In one place on every screen: its address, what it shows as text, table or file, the build itself, and paper. */
export function TakeOut() {
  const { build } = useRoom('build');
  const [at, setAt] = useState<HTMLElement | null>(null);
  const [outs, setOuts] = useState<Out[]>([]);
  const [said, setSaid] = useState<string | null>(null);
  const open = (on: HTMLElement) => {
    setOuts([
      { says: 'Copy the address of this view', text: () => window.location.href },
      ...outsOfScreen(),
      { says: 'Save the build as JSON', file: json(build.id), text: () => sealed(build) },
    ]);
    setAt(on);
  };
  const take = async ({ text, file }: Out) => {
    setAt(null);
    const what = await text();
    if (file) saveAs(file.name, file.type, what);
    const went =
      file !== undefined ||
      (await navigator.clipboard.writeText(what).then(
        () => true,
        () => false,
      ));
    let words = 'The browser did not let it';
    if (went) words = file ? 'Saved' : 'Copied';
    setSaid(words);
    setTimeout(() => setSaid(null), saidMs);
  };
  return (
    <>
      <Button
        aria-haspopup="menu"
        aria-expanded={at !== null}
        title="Copy, save or print what this screen shows"
        onClick={(e) => open(e.currentTarget)}
      >
        {said ?? 'Take out'}
      </Button>
      <span role="status" className="sr">
        {said}
      </span>
      <Menu anchorEl={at} open={at !== null} onClose={() => setAt(null)}>
        {outs.map((o) => (
          <MenuItem key={o.says} onClick={() => void take(o)}>
            {o.says}
          </MenuItem>
        ))}
        <MenuItem
          onClick={() => {
            setAt(null);
            // After the menu has gone: it would stand on the paper.
            setTimeout(() => window.print(), 100);
          }}
        >
          Print, or save as PDF
        </MenuItem>
      </Menu>
    </>
  );
}
