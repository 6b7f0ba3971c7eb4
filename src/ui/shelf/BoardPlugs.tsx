import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { putPlug, type Board } from '@/core';
import { CircuitPart, CircuitRow } from './CircuitRow';
import { Said } from './Said';

const pinsIn = (words: string) =>
  words
    .split(/[\s,;]+/)
    .filter((p) => p !== '')
    .map((p) => p.slice(0, 40))
    .slice(0, 40);

/** Plugs, each with its pins in order as they are printed; a pin that is named like a pad is that pad. */
export function BoardPlugs({ board, onChange }: { board: Board; onChange: (b: Board) => void }) {
  return (
    <CircuitPart
      title="Plugs"
      action={<Button onClick={() => onChange(putPlug(board, null, 'plug', 'SH', ['GND']))}>Add a plug</Button>}
    >
      {board.plugs.map((p) => {
        const names = p.pins.map((x) => x.name);
        const loose = p.pins.filter((x) => !x.pad && !/^gnd$/i.test(x.name)).map((x) => x.name);
        return (
          <CircuitRow key={p.id} name={p.label}>
            <Said
              label="Plug"
              value={p.label}
              width={120}
              onSay={(label) => onChange(putPlug(board, p.id, label, p.family, names))}
            />
            <Said
              label="Family"
              value={p.family}
              width={90}
              onSay={(family) => onChange(putPlug(board, p.id, p.label, family, names))}
            />
            <Said
              label="Pins in order"
              value={names.join(' ')}
              most={400}
              width={260}
              onSay={(words) => onChange(putPlug(board, p.id, p.label, p.family, pinsIn(words)))}
            />
            <Box sx={{ flex: 1, minWidth: 120, color: 'text.secondary', pb: 0.5 }}>
              {loose.length > 0 ? `no pad is named ${loose.join(', ')}` : 'every pin has its pad'}
            </Box>
            <Button onClick={() => onChange(putPlug(board, p.id, p.label, p.family, []))}>Remove</Button>
          </CircuitRow>
        );
      })}
    </CircuitPart>
  );
}
