import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { freeId, unsaidSupply, type Peripheral } from '@/core';
import { FigureBox } from '../form/FigureBox';
import { NumberBox } from '../form/NumberBox';

type Supply = Peripheral['modes'][number]['supplies'][number];

/** What a part takes from the board: nothing, one supply, or several (5 V for its chip and the pack for its strips). */
export function PartSupplies({ supplies, onChange }: { supplies: Supply[]; onChange: (supplies: Supply[]) => void }) {
  const several = supplies.length > 1;
  const more = () => {
    const named = supplies.map((s, i) => ({ ...s, label: s.label ?? `supply ${i + 1}` }));
    const label = `supply ${supplies.length + 1}`;
    onChange([...named, { ...unsaidSupply, id: freeId('supply', supplies), label }]);
  };
  return (
    <>
      <FormControlLabel
        control={<Checkbox checked={supplies.length > 0} onChange={(_, yes) => onChange(yes ? [unsaidSupply] : [])} />}
        label="Takes power from the board"
      />
      {supplies.map((s) => (
        <OneSupply
          key={s.id}
          supply={s}
          several={several}
          onChange={(next) => onChange(supplies.map((x) => (x.id === s.id ? { ...x, ...next } : x)))}
          onRemove={() => onChange(supplies.filter((x) => x.id !== s.id))}
        />
      ))}
      {supplies.length > 0 && supplies.length < 4 && (
        <Button onClick={more} sx={{ px: 0.75, mt: 1 }}>
          Add another supply
        </Button>
      )}
      {several && (
        <Box sx={{ fontSize: 12, color: 'text.secondary' }}>
          The first is what the part itself lives on: that one is held to USB where it must work on the desk.
        </Box>
      )}
    </>
  );
}

function OneSupply({
  supply,
  several,
  onChange,
  onRemove,
}: {
  supply: Supply;
  several: boolean;
  onChange: (next: Partial<Supply>) => void;
  onRemove: () => void;
}) {
  const unsaid = 'unknown' in supply.typicalAmps && 'unknown' in supply.peakAmps;
  /** Nobody has said amps, so there are no volts that they were said at. */
  const [volts, setVolts] = useState(unsaid ? null : supply.atVolts);
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1.5, rowGap: 0.75, mt: 0.5, alignItems: 'flex-end' }}>
      {several && (
        <TextField
          label="What it feeds"
          value={supply.label ?? ''}
          onChange={(e) => onChange({ label: e.target.value || undefined })}
          slotProps={{ htmlInput: { maxLength: 40 } }}
          sx={{ width: 150 }}
        />
      )}
      <FigureBox
        label="Least"
        unit="V"
        max={100}
        figure={supply.minVolts}
        onChange={(minVolts) => onChange({ minVolts })}
      />
      <FigureBox
        label="Most"
        unit="V"
        max={100}
        figure={supply.maxVolts}
        onChange={(maxVolts) => onChange({ maxVolts })}
      />
      <NumberBox
        label="Amps said at"
        unit="V"
        min={1}
        max={60}
        width={96}
        mayBeUnknown
        empty="which volts?"
        value={volts}
        onChange={(atVolts) => {
          setVolts(atVolts);
          if (atVolts) onChange({ atVolts });
        }}
      />
      {volts === null ? (
        <Box sx={{ fontSize: 12, color: 'text.secondary', width: '100%' }}>
          Amps mean little without the volts they were said at: those first.
        </Box>
      ) : (
        <>
          <FigureBox
            label={`Steady at ${supply.atVolts} V`}
            unit="A"
            max={100}
            figure={supply.typicalAmps}
            onChange={(typicalAmps) => onChange({ typicalAmps })}
          />
          <FigureBox
            label={`Peak at ${supply.atVolts} V`}
            unit="A"
            max={100}
            figure={supply.peakAmps}
            onChange={(peakAmps) => onChange({ peakAmps })}
          />
        </>
      )}
      {several && (
        <Button onClick={onRemove} aria-label={`Remove ${supply.label ?? 'this supply'}`} sx={{ px: 0.75 }}>
          Remove
        </Button>
      )}
    </Box>
  );
}
