'use client';

import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import type { ReactNode } from 'react';
import { centsOf, currencySign, escArrangements, packsOf, sides, type Build } from '@/core';
import { Term } from '../frame/Term';
import { useRoom } from '../room/store';
import { Choice } from '../form/Choice';
import { FigureBox } from '../form/FigureBox';
import { FrameHoles } from './FrameHoles';
import { NumberBox } from '../form/NumberBox';
import { OwnCapacitor } from './OwnCapacitor';
import { OwnEsc } from './OwnEsc';
import { Packs } from './PackFields';
import { PlanSaid } from './PlanSaid';
import { RadioFields } from './RadioFields';
import { Currencies } from './Currencies';
import { Border } from './Border';

const escWords: Record<Build['motors']['esc'], string> = {
  'on the board': 'to be bought: on the board, or in a set',
  separate: 'mine: the board only signals them',
  any: 'whichever is best, mine or bought',
};

export function CraftFields() {
  const { build, edit } = useRoom('build', 'edit');
  const set = <K extends keyof Build>(key: K, next: Partial<Build[K]>) =>
    edit(String(key), (b) => ({ ...b, [key]: { ...(b[key] as object), ...(next as object) } as Build[K] }));
  const group = (title: string, fields: ReactNode, terms: string[] = []) => (
    <Box
      component="fieldset"
      sx={{
        border: 0,
        borderTop: '1px solid var(--hair)',
        m: 0,
        p: 0,
        pt: 0.5,
        display: 'flex',
        flexWrap: 'wrap',
        gap: 1.5,
        alignItems: 'flex-end',
      }}
    >
      <Box component="legend" sx={{ fontSize: 12, fontWeight: 600, p: 0, pr: 1 }}>
        {title}
      </Box>
      {fields}
      {terms.length > 0 && (
        <Box sx={{ width: '100%', display: 'flex', gap: 1.5, fontSize: 11.5, color: 'text.secondary' }}>
          In words:
          {terms.map((t) => (
            <Term key={t}>{t}</Term>
          ))}
        </Box>
      )}
    </Box>
  );
  return (
    <Box sx={{ mt: 1.5, display: 'flex', flexDirection: 'column', gap: 1 }}>
      {group(
        'Build',
        <>
          <TextField
            label="Name"
            value={build.name}
            onChange={(e) => e.target.value.trim() !== '' && edit('name', (b) => ({ ...b, name: e.target.value }))}
            slotProps={{ htmlInput: { maxLength: 80 } }}
            sx={{ width: 180 }}
          />
          <TextField
            label="What it is for"
            value={build.craft}
            onChange={(e) => edit('craft', (b) => ({ ...b, craft: e.target.value }))}
            slotProps={{ htmlInput: { maxLength: 600 } }}
            sx={{ flex: 1, minWidth: 260 }}
          />
        </>,
      )}
      {group(
        'Frame',
        <>
          <FrameHoles mounts={build.frame.mounts} onChange={(mounts) => set('frame', { mounts })} />
          <NumberBox
            label="Bay length"
            unit="mm"
            value={build.frame.bayLengthMm}
            min={1}
            max={1000}
            onChange={(v) => v && set('frame', { bayLengthMm: v })}
          />
          <NumberBox
            label="Bay width"
            unit="mm"
            value={build.frame.bayWidthMm}
            min={1}
            max={1000}
            onChange={(v) => v && set('frame', { bayWidthMm: v })}
          />
          <NumberBox
            label="Bay height"
            unit="mm"
            value={build.frame.bayHeightMm}
            min={1}
            max={500}
            onChange={(v) => v && set('frame', { bayHeightMm: v })}
          />
          <Box role="group" aria-label="Sides from which a USB plug can be reached">
            {sides.map((s) => (
              <FormControlLabel
                key={s}
                sx={{ mr: 1.5 }}
                control={
                  <Checkbox
                    checked={build.frame.openSides.includes(s)}
                    onChange={(e) =>
                      set('frame', {
                        openSides: e.target.checked
                          ? [...build.frame.openSides, s]
                          : build.frame.openSides.filter((x) => x !== s),
                      })
                    }
                  />
                }
                label={`USB ${s}`}
              />
            ))}
          </Box>
          <NumberBox
            label="Standoffs"
            unit="mm"
            max={50}
            value={build.frame.standoffMm}
            onChange={(v) => set('frame', { standoffMm: v ?? 0 })}
          />
          <NumberBox
            label="Hangs in from above"
            unit="mm"
            max={100}
            width={130}
            value={build.frame.overhangMm}
            onChange={(v) => set('frame', { overhangMm: v ?? 0 })}
          />
          <FigureBox
            label="Bare craft"
            unit="g"
            figure={build.bareMassG}
            onChange={(bareMassG) => edit('bare mass', (b) => ({ ...b, bareMassG }))}
          />
        </>,
        ['bay', 'isolator'],
      )}
      {group(
        'Pack and motors',
        <>
          <Packs
            packs={packsOf(build)}
            onChange={(pack, morePacks) => edit('packs', (b) => ({ ...b, pack, morePacks }))}
          />
          <NumberBox
            label="Motors"
            whole
            max={12}
            width={60}
            value={build.motors.count}
            onChange={(v) => set('motors', { count: v ?? 0 })}
          />
          <NumberBox
            label="Cruise, each"
            unit="A"
            max={300}
            value={build.motors.cruiseAmps}
            onChange={(v) => set('motors', { cruiseAmps: v ?? 0 })}
          />
          <NumberBox
            label="Full throttle, each"
            unit="A"
            max={300}
            width={118}
            value={build.motors.peakAmps}
            onChange={(v) => set('motors', { peakAmps: v ?? 0 })}
          />
          <NumberBox
            label="for up to"
            unit="s"
            max={600}
            value={build.motors.peakSeconds}
            onChange={(v) => set('motors', { peakSeconds: v ?? 0 })}
          />
          <NumberBox
            label="Amps said at"
            unit="V"
            min={1}
            max={80}
            mayBeUnknown
            empty="this pack"
            value={build.motors.atVolts ?? null}
            onChange={(v) => set('motors', { atVolts: v ?? undefined })}
          />
          <Choice
            label="ESCs"
            value={build.motors.esc}
            words={escArrangements}
            says={(word) => escWords[word]}
            onChange={(esc) => set('motors', { esc })}
          />
          <OwnCapacitor />
          <RadioFields
            label="Your radio speaks"
            radio={build.radio}
            onChange={(radio) => edit('radio', (b) => ({ ...b, radio }))}
          />
          <PlanSaid build={build} onChange={(said) => edit('whose word', (b) => ({ ...b, said }))} />
        </>,
        ['cells (S)', 'ESC', 'burst', 'capacitor', 'claim'],
      )}
      {build.motors.esc !== 'on the board' && group('Your own ESC', <OwnEsc />)}
      {group(
        'Limits and comforts',
        <>
          <NumberBox
            label="Take-off mass"
            unit="g"
            min={1}
            value={build.limits.takeOffMassG}
            onChange={(v) => v && set('limits', { takeOffMassG: v })}
          />
          <NumberBox
            label="Budget"
            unit={currencySign(build.currency)}
            value={build.limits.budgetCents / 100}
            onChange={(v) => set('limits', { budgetCents: centsOf(v ?? 0) })}
          />
          <NumberBox
            label="Spare ports"
            whole
            max={8}
            value={build.comforts.sparePorts}
            onChange={(v) => set('comforts', { sparePorts: v ?? 0 })}
          />
          <NumberBox
            label="Storage"
            unit="MB"
            value={build.comforts.storageMb}
            onChange={(v) => set('comforts', { storageMb: v ?? 0 })}
          />
          <FormControlLabel
            control={
              <Checkbox
                checked={build.comforts.barometer}
                onChange={(e) => set('comforts', { barometer: e.target.checked })}
              />
            }
            label="barometer"
          />
          <FormControlLabel
            control={
              <Checkbox
                checked={build.comforts.compass}
                onChange={(e) => set('comforts', { compass: e.target.checked })}
              />
            }
            label="compass"
          />
          <FormControlLabel
            control={
              <Checkbox
                checked={build.comforts.quietGyro}
                onChange={(e) => set('comforts', { quietGyro: e.target.checked })}
              />
            }
            label="quiet gyro"
          />
          <FormControlLabel
            control={
              <Checkbox checked={build.comforts.plugs} onChange={(e) => set('comforts', { plugs: e.target.checked })} />
            }
            label="plugs"
          />
          <FormControlLabel
            control={
              <Checkbox
                checked={build.comforts.topSide}
                onChange={(e) => set('comforts', { topSide: e.target.checked })}
              />
            }
            label="nothing underneath"
          />
          <FormControlLabel
            control={
              <Checkbox
                checked={build.comforts.buttonReach}
                onChange={(e) => set('comforts', { buttonReach: e.target.checked })}
              />
            }
            label="button in reach"
          />
          <Wishes />
          <Border />
          <Currencies />
        </>,
        ['take-off mass', 'barometer', 'gyro', 'port (UART)'],
      )}
    </Box>
  );
}

const wishes = [
  ['spare ports', (c) => c.sparePorts > 0],
  ['storage', (c) => c.storageMb > 0],
  ['barometer', (c) => c.barometer],
  ['compass', (c) => c.compass],
  ['gyro', (c) => c.quietGyro],
  ['plugs', (c) => c.plugs],
  ['top side', (c) => c.topSide],
  ['button', (c) => c.buttonReach],
] as const satisfies readonly (readonly [keyof Build['comforts']['weights'], (c: Build['comforts']) => boolean])[];

/** How much each wish counts against the others; a single one has nothing to be weighed against. */
function Wishes() {
  const { build, edit } = useRoom('build', 'edit');
  const { weights } = build.comforts;
  const set = wishes.filter(([, is]) => is(build.comforts));
  if (set.length < 2) return null;
  return (
    <Box
      role="group"
      aria-label="How much each wish counts, 0 to 5"
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'flex-end', width: '100%' }}
    >
      <Box sx={{ fontSize: 12, color: 'text.secondary', pb: 0.5 }}>
        A missed wish never breaks a board. It counts, 0 to 5:
      </Box>
      {set.map(([wish]) => (
        <NumberBox
          key={wish}
          label={wish}
          max={5}
          width={84}
          value={weights[wish] ?? 0}
          onChange={(v) =>
            edit(`weight ${wish}`, (b) => ({
              ...b,
              comforts: { ...b.comforts, weights: { ...b.comforts.weights, [wish]: v ?? 0 } },
            }))
          }
        />
      ))}
    </Box>
  );
}
