import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { takePort, type Board } from '@/core';
import { NumberBox } from '../form/NumberBox';
import { CircuitPart, CircuitRow } from './CircuitRow';
import { Said } from './Said';

type Port = Board['ports'][number];
type Release = NonNullable<NonNullable<Port['taken']>['release']>;

/** Which ports something on the board already uses, what would free them and what that costs the buyer. */
export function BoardPorts({ board, onChange }: { board: Board; onChange: (b: Board) => void }) {
  if (board.ports.length === 0) return null;
  return (
    <CircuitPart title="Ports">
      {board.ports.map((p) => (
        <CircuitRow key={p.id} name={p.label}>
          <Box sx={{ width: 64, fontWeight: 600, pb: 0.5 }}>{p.label}</Box>
          <Taken port={p} onTake={(taken) => onChange(takePort(board, p.id, taken))} />
        </CircuitRow>
      ))}
    </CircuitPart>
  );
}

function Taken({ port, onTake }: { port: Port; onTake: (taken: Port['taken'] | null) => void }) {
  const { taken } = port;
  if (!taken) return <Button onClick={() => onTake({ by: 'something on the board' })}>Free: say what takes it</Button>;
  const { release: _, ...held } = taken;
  const put = (release: Release | undefined) => onTake({ ...held, ...(release ? { release } : {}) });
  return (
    <>
      <Said label="Taken by" value={taken.by} most={600} onSay={(by) => onTake({ ...taken, by })} />
      {taken.release ? (
        <>
          <Said
            label="Freed by"
            value={taken.release.what}
            most={600}
            width={190}
            onSay={(what) => put({ ...taken.release!, what })}
          />
          <Said
            label="Then lost"
            value={taken.release.lost}
            most={600}
            width={170}
            onSay={(lost) => put({ ...taken.release!, lost })}
          />
          <NumberBox
            label="Effort"
            whole
            max={50}
            width={56}
            value={taken.release.effort}
            onChange={(effort) => put({ ...taken.release!, effort: effort ?? 0 })}
          />
          <Button onClick={() => put(undefined)}>Cannot be freed</Button>
        </>
      ) : (
        <Button onClick={() => put({ what: 'Turn it off', lost: 'what it does', cents: 0, grams: 0, effort: 1 })}>
          Can be freed
        </Button>
      )}
      <Button onClick={() => onTake(null)}>It is free</Button>
      <FormControlLabel
        label="brings ESC telemetry"
        control={
          <Checkbox
            checked={taken.carries !== undefined}
            onChange={(_, yes) => onTake({ ...taken, carries: yes ? 'esc-telemetry' : undefined })}
          />
        }
      />
    </>
  );
}
