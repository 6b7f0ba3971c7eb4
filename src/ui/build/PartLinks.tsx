import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Select from '@mui/material/Select';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { choiceOf, linkChoices, withLink, type Link } from '@/core';
import { NumberBox } from '../form/NumberBox';

/** What one way of wiring a part asks of the board, wire by wire. */
export function PartLinks({ links, onChange }: { links: readonly Link[]; onChange: (links: Link[]) => void }) {
  const put = (at: number, link: Link) => onChange(links.map((l, i) => (i === at ? link : l)));
  return (
    <Box
      role="group"
      aria-label="What it asks of the board"
      sx={{ display: 'flex', flexDirection: 'column', gap: 0.25 }}
    >
      {links.map((link, at) => (
        <Box key={link.id} sx={{ display: 'flex', gap: 0.75, alignItems: 'flex-end', flexWrap: 'wrap' }}>
          <PickLink
            label="Asks for"
            value={choiceOf(link)}
            onPick={(choice) => put(at, { ...withLink([], choice)[0]!, id: link.id })}
          />
          {link.kind === 'output' && (
            <NumberBox
              label="How many"
              whole
              min={1}
              max={16}
              width={56}
              value={link.count}
              onChange={(count) => count && put(at, { ...link, count })}
            />
          )}
          {link.kind === 'i2c' && (
            <Address value={link.address} onChange={(address) => put(at, { ...link, address })} />
          )}
          <LinkVolts link={link} onChange={(next) => put(at, next)} />
          <Button onClick={() => onChange(links.filter((l) => l !== link))}>Remove</Button>
        </Box>
      ))}
      {links.length === 0 && <Box sx={{ fontSize: 12 }}>No wire to the board.</Box>}
      {links.length < 8 && (
        <PickLink label="One more" value="" onPick={(choice) => onChange(withLink(links, choice))} />
      )}
    </Box>
  );
}

function PickLink({ label, value, onPick }: { label: string; value: string; onPick: (choice: string) => void }) {
  return (
    <Select
      displayEmpty
      value={value}
      onChange={(e) => onPick(e.target.value)}
      inputProps={{ 'aria-label': label }}
      renderValue={(v) => (v === '' ? 'one more wire ...' : linkChoices.find((c) => c.id === v)!.says)}
      sx={{ flex: '1 1 160px', minWidth: 160, fontSize: 12 }}
    >
      {linkChoices.map((c) => (
        <MenuItem key={c.id} value={c.id}>
          {c.says}
        </MenuItem>
      ))}
    </Select>
  );
}

/** An I2C address as data sheets print it. What is typed stays until it is one. */
function Address({ value, onChange }: { value: number | undefined; onChange: (address: number | undefined) => void }) {
  const [typed, setTyped] = useState<string | null>(null);
  const take = (text: string) => {
    const n = Number(text);
    const empty = text.trim() === '';
    const sound = empty || (Number.isInteger(n) && n >= 0x08 && n <= 0x77);
    setTyped(sound ? null : text);
    if (sound) onChange(empty ? undefined : n);
  };
  return (
    <TextField
      label="Address"
      placeholder="unknown"
      value={typed ?? (value === undefined ? '' : `0x${value.toString(16)}`)}
      error={typed !== null}
      helperText={typed === null ? undefined : '0x08 to 0x77'}
      onChange={(e) => setTyped(e.target.value)}
      onBlur={(e) => take(e.target.value)}
      sx={{ width: 62 }}
    />
  );
}

/** Levels of a wire, where they are not those that every part of its kind has. */
function LinkVolts({ link, onChange }: { link: Link; onChange: (link: Link) => void }) {
  const box = (
    label: string,
    most: number,
    empty: string,
    value: number | undefined,
    put: (v: number | undefined) => Link,
  ) => (
    <NumberBox
      label={label}
      unit="V"
      min={0.5}
      max={most}
      width={104}
      mayBeUnknown
      empty={empty}
      value={value ?? null}
      onChange={(v) => onChange(put(v ?? undefined))}
    />
  );
  switch (link.kind) {
    case 'serial':
      return (
        <>
          {box('Sends', 12, 'to 3.3', link.sendsVolts, (sendsVolts) => ({ ...link, sendsVolts }))}
          {box('Hears from', 5, 'usual', link.hearsFromVolts, (hearsFromVolts) => ({ ...link, hearsFromVolts }))}
        </>
      );
    case 'i2c':
      return box('Pulls up to', 12, 'to 3.3', link.pullsToVolts, (pullsToVolts) => ({ ...link, pullsToVolts }));
    case 'output':
      return box('Hears from', 12, 'usual', link.hearsFromVolts, (hearsFromVolts) => ({ ...link, hearsFromVolts }));
    case 'analogue':
      return box('Puts on it', 100, 'unsaid', link.sendsVolts, (sendsVolts) => ({ ...link, sendsVolts }));
    default:
      return null;
  }
}
