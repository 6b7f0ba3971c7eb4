'use client';

import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { newOwnEsc, type Build, type NumberFigure } from '@/core';
import { useRoom } from '../room/store';
import { Choice } from '../form/Choice';
import { FigureBox } from '../form/FigureBox';
import { NumberBox } from '../form/NumberBox';

type Esc = NonNullable<Build['motors']['ownEsc']>;

/** The ESC the buyer has: rated against the motors, and its plug pin by pin against the board's. */
export function OwnEsc() {
  const { build, edit } = useRoom('build', 'edit');
  const esc = build.motors.ownEsc;
  const put = (ownEsc: Esc | undefined) => edit('own ESC', (b) => ({ ...b, motors: { ...b.motors, ownEsc } }));
  if (!esc) return <Button onClick={() => put(newOwnEsc(build.motors))}>Say which ESC you have</Button>;
  const set = (next: Partial<Esc>) => put({ ...esc, ...next });
  return (
    <>
      <TextField
        label="Name"
        value={esc.name}
        onChange={(e) => e.target.value.trim() !== '' && set({ name: e.target.value })}
        slotProps={{ htmlInput: { maxLength: 80 } }}
        sx={{ width: 150 }}
      />
      <NumberBox
        label="Channels"
        whole
        min={1}
        max={12}
        width={70}
        value={typeof esc.channels === 'number' ? esc.channels : null}
        onChange={(v) => v && set({ channels: v })}
      />
      <FigureBox
        label="Continuous, each"
        unit="A"
        max={300}
        figure={esc.continuousAmps}
        onChange={(continuousAmps) => set({ continuousAmps })}
      />
      <FigureBox
        label="Burst, each"
        unit="A"
        max={300}
        figure={esc.burstAmps}
        onChange={(burstAmps) => set({ burstAmps })}
      />
      <FigureBox
        label="for"
        unit="s"
        max={600}
        figure={esc.burstSeconds}
        onChange={(burstSeconds) => set({ burstSeconds })}
      />
      <FigureBox
        label="Most cells"
        unit="S"
        max={14}
        figure={esc.maxCells}
        onChange={(maxCells) => set({ maxCells })}
      />
      <FigureBox
        label="or most volts"
        unit="V"
        max={100}
        figure={esc.maxVolts ?? { unknown: true }}
        onChange={(maxVolts) => set({ maxVolts })}
      />
      <NumberBox
        label="How many"
        whole
        min={1}
        max={12}
        width={80}
        value={esc.count}
        onChange={(v) => v && set({ count: v })}
      />
      <Choice
        label="Sends telemetry"
        value={telemetryWord(esc.telemetry)}
        words={telemetryWords}
        onChange={(said) => set({ telemetry: telemetryOf(said) })}
      />
      <Choice
        label="Listens at"
        value={build.motors.signal}
        words={['digital', '50 Hz']}
        onChange={(signal) => edit('ESC signal', (b) => ({ ...b, motors: { ...b.motors, signal } }))}
      />
      <TextField
        label="Plug family"
        value={esc.plugFamily ?? ''}
        onChange={(e) => set({ plugFamily: e.target.value === '' ? undefined : e.target.value })}
        slotProps={{ htmlInput: { maxLength: 40 } }}
        sx={{ width: 100 }}
      />
      <NumberBox
        label="Under the board"
        unit="mm"
        max={50}
        value={esc.heightMm}
        onChange={(v) => set({ heightMm: v ?? 0 })}
      />
      <FigureBox
        label="Its regulator gives"
        unit="V"
        max={20}
        figure={esc.gives?.volts ?? { unknown: true }}
        onChange={(volts) => set({ gives: gives(volts, esc.gives?.amps) })}
      />
      <FigureBox
        label="and"
        unit="A"
        max={20}
        figure={esc.gives?.amps ?? { unknown: true }}
        onChange={(amps) => set({ gives: gives(esc.gives?.volts, amps) })}
      />
      <FigureBox
        label="Asks for a capacitor of"
        unit="µF"
        max={10000}
        figure={esc.wantsMicrofarads ?? { unknown: true }}
        onChange={(wantsMicrofarads) => set({ wantsMicrofarads })}
      />
      <PinOrder pins={esc.pins} onChange={(pins) => set({ pins })} />
      <Button onClick={() => put(undefined)}>Take it out</Button>
    </>
  );
}

/** Where neither is said, nobody says whether it has a regulator at all. */
function gives(volts: NumberFigure = { unknown: true }, amps: NumberFigure = { unknown: true }): Esc['gives'] {
  return 'unknown' in volts && 'unknown' in amps ? undefined : { volts, amps };
}

const telemetryWords = ['as listed', 'nobody says', 'yes', 'no'] as const;
type TelemetryWord = (typeof telemetryWords)[number];

function telemetryWord(said: Esc['telemetry']): TelemetryWord {
  if (!said) return 'as listed';
  if ('unknown' in said) return 'nobody says';
  return said.value ? 'yes' : 'no';
}

function telemetryOf(word: TelemetryWord): Esc['telemetry'] {
  if (word === 'as listed') return undefined;
  return word === 'nobody says' ? { unknown: true } : { value: word === 'yes', origin: 'manual' };
}

function PinOrder({ pins, onChange }: { pins: string[]; onChange: (pins: string[]) => void }) {
  return (
    <TextField
      label="Pins of its plug, in order"
      key={pins.join(' ')}
      defaultValue={pins.join(' ')}
      placeholder="GND BAT CUR TLM 1 2 3 4"
      onBlur={(e) =>
        onChange(
          e.target.value
            .split(/[\s,;]+/)
            .filter((p) => p !== '')
            .map((p) => p.slice(0, 40))
            .slice(0, 20),
        )
      }
      sx={{ minWidth: 240 }}
    />
  );
}
