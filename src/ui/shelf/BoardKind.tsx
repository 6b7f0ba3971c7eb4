import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { boardKinds, ofKind, sides, type Board } from '@/core';
import { Choice } from '../build/Choice';
import { CircuitPart, CircuitRow } from './CircuitRow';
import { Said } from './Said';

const notSaid = 'not said';
const turns = [0, 90, 180, 270] as const;

/** What kind of board it is, and where plug, button, arrow and cables are. */
export function BoardKind({ board, onChange }: { board: Board; onChange: (b: Board) => void }) {
  const { usb, buttonSide, arrowOffsetDeg, cableSides } = board;
  const leave = (side: (typeof sides)[number]) =>
    onChange({
      ...board,
      cableSides: cableSides.includes(side) ? cableSides.filter((s) => s !== side) : [...cableSides, side],
    });
  return (
    <CircuitPart title="Kind and sides">
      <CircuitRow name="Kind and sides">
        <Choice label="Kind" value={board.kind} words={boardKinds} onChange={(kind) => onChange(ofKind(board, kind))} />
        <Said
          label="Revision"
          value={board.revision}
          width={70}
          onSay={(revision) => onChange({ ...board, revision })}
        />
        <Choice
          label="USB plug"
          value={usb.plug}
          words={['C', 'micro']}
          onChange={(plug) => onChange({ ...board, usb: { ...usb, plug } })}
        />
        <Choice
          label="USB plug at"
          value={usb.side}
          words={['unknown', ...sides]}
          says={(s) => (s === 'unknown' ? notSaid : s)}
          onChange={(side) => onChange({ ...board, usb: { ...usb, side } })}
        />
        <Choice
          label="Button at"
          value={buttonSide ?? notSaid}
          words={[notSaid, ...sides]}
          onChange={(side) => onChange({ ...board, buttonSide: side === notSaid ? undefined : side })}
        />
        <Choice
          label="Arrow against the nose"
          value={String(arrowOffsetDeg)}
          words={turns.map(String)}
          says={(t) => `${t} degrees`}
          onChange={(t) => onChange({ ...board, arrowOffsetDeg: turns.find((n) => String(n) === t)! })}
        />
        <Box role="group" aria-label="Edges that cables leave by">
          {sides.map((s) => (
            <FormControlLabel
              key={s}
              label={`cables ${s}`}
              control={<Checkbox checked={cableSides.includes(s)} onChange={() => leave(s)} />}
            />
          ))}
        </Box>
      </CircuitRow>
    </CircuitPart>
  );
}
