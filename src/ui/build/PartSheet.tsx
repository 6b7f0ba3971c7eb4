'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import {
  asKind,
  currencySign,
  flag,
  mayWantAerial,
  peripheralKinds,
  places,
  usualPlace,
  type Part,
  type Peripheral,
  centsOf,
} from '@/core';
import { useRoom } from '../room/store';
import { ChangedByWriters, ForWriters } from '../room/ForWriters';
import { changedPart } from './change';
import { Choice } from '../form/Choice';
import { FigureBox } from '../form/FigureBox';
import { KeepPart } from './KeepPart';
import { NumberBox } from '../form/NumberBox';
import { PartLinks } from './PartLinks';
import { PartSupplies } from './PartSupplies';
import { RadioFields } from './RadioFields';

type Mode = Peripheral['modes'][number];

/** The electrical needs of one part, to be corrected where they stand. The library keeps its own copy. */
export function PartSheet({ part, onClose }: { part: Part; onClose: () => void }) {
  const { build, edit } = useRoom('build', 'edit');
  const { peripheral } = part;
  const change = (what: string, next: Partial<Peripheral>) =>
    edit(`${what} ${part.id}`, (b) =>
      changedPart(b, part.id, { peripheral: { ...b.parts.find((p) => p.id === part.id)!.peripheral, ...next } }),
    );
  const mode = (id: string, what: string, next: Partial<Mode>) =>
    change(`${what} ${id}`, { modes: peripheral.modes.map((m) => (m.id === id ? { ...m, ...next } : m)) });
  return (
    <Box
      component="section"
      aria-label={`Details of ${peripheral.name}`}
      sx={{ mt: 2, borderTop: '2px solid var(--copper)', pt: 1, display: 'flex', flexDirection: 'column', gap: 1.25 }}
    >
      <Box sx={{ display: 'flex', alignItems: 'baseline' }}>
        <Typography variant="h2" sx={{ flex: 1 }}>
          {peripheral.name}
        </Typography>
        <Button onClick={onClose}>Close</Button>
      </Box>
      {peripheral.summary && <Box sx={{ fontSize: 12, color: 'text.secondary' }}>{peripheral.summary}</Box>}
      <ChangedByWriters>
        <TextField
          label="Name"
          value={peripheral.name}
          onChange={(e) => e.target.value.trim() !== '' && change('name', { name: e.target.value })}
          slotProps={{ htmlInput: { maxLength: 80 } }}
        />
        {peripheral.maker === 'your own' && (
          <Choice
            label="Kind: it is wired as most of its kind are"
            value={peripheral.kind}
            words={peripheralKinds}
            onChange={(kind) => change('kind', asKind(peripheral, kind))}
          />
        )}
        <Box sx={{ display: 'flex', gap: 1.5 }}>
          <FigureBox label="Mass" unit="g" figure={peripheral.massG} onChange={(massG) => change('mass', { massG })} />
          <NumberBox
            label="Price"
            unit={currencySign(build.currency)}
            mayBeUnknown
            empty="not known"
            value={peripheral.cents === null ? null : peripheral.cents / 100}
            onChange={(v) => change('price', { cents: v === null ? null : centsOf(v) })}
          />
        </Box>
        <Box sx={{ display: 'flex', flexDirection: 'column' }}>
          <FormControlLabel
            control={
              <Checkbox
                checked={part.onUsb}
                onChange={(e) => edit(`usb ${part.id}`, (b) => changedPart(b, part.id, { onUsb: e.target.checked }))}
              />
            }
            label="Must work from USB alone on the desk"
          />
          <FormControlLabel
            control={
              <Checkbox
                checked={part.owned}
                onChange={(e) => edit(`owned ${part.id}`, (b) => changedPart(b, part.id, { owned: e.target.checked }))}
              />
            }
            label="At home already"
          />
        </Box>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1.5, rowGap: 0.5, alignItems: 'flex-end' }}>
          <Choice
            label="Sits, seen from the board"
            value={part.sits ?? usualPlace[peripheral.kind]}
            words={places}
            onChange={(sits) => edit(`place ${part.id}`, (b) => changedPart(b, part.id, { sits }))}
          />
          <NumberBox
            label="Its wires"
            empty="routed"
            unit="mm"
            min={10}
            max={3000}
            width={120}
            mayBeUnknown
            value={part.wireMm ?? null}
            onChange={(v) => edit(`wire ${part.id}`, (b) => changedPart(b, part.id, { wireMm: v ?? undefined }))}
          />
          <Box sx={{ fontSize: 12, color: 'text.secondary', width: '100%' }}>
            {part.wireMm === undefined ? 'Routed over the bay until you have measured them.' : 'As measured.'}
          </Box>
        </Box>
        {peripheral.kind === 'light' && (
          <NumberBox
            label="How many lights in the chain"
            whole
            min={1}
            max={300}
            mayBeUnknown
            width={170}
            value={peripheral.lights ?? null}
            onChange={(v) => change('lights', { lights: v ?? undefined })}
          />
        )}
        {mayWantAerial(peripheral.kind) && (
          <Choice
            label="Comes with its aerial"
            value={peripheral.aerial ? flag(peripheral.aerial) : 'unknown'}
            words={['yes', 'no', 'unknown']}
            says={(w) => (w === 'unknown' ? 'nobody says' : w)}
            onChange={(w) =>
              change('aerial', {
                aerial: w === 'unknown' ? { unknown: true } : { value: w === 'yes', origin: 'manual' },
              })
            }
          />
        )}
        {peripheral.kind === 'receiver' && (
          <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'flex-end' }}>
            <RadioFields label="It speaks" radio={peripheral.radio} onChange={(radio) => change('radio', { radio })} />
          </Box>
        )}
        {peripheral.modes.map((m, i) => (
          <Box key={m.id} sx={{ borderTop: '1px solid var(--hair)', pt: 0.75 }}>
            <Typography variant="h3">
              {peripheral.modes.length > 1 ? `Way ${i + 1}: ` : ''}
              {m.label}
            </Typography>
            <PartLinks links={m.links} onChange={(links) => mode(m.id, 'wires', { links })} />
            {m.lost.map((l) => (
              <Box key={l} sx={{ fontSize: 12 }}>
                Lost: {l}
              </Box>
            ))}
            <PartSupplies supplies={m.supplies} onChange={(supplies) => mode(m.id, 'power', { supplies })} />
          </Box>
        ))}
      </ChangedByWriters>
      <ForWriters>
        <KeepPart peripheral={peripheral} />
      </ForWriters>
    </Box>
  );
}
