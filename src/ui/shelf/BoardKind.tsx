import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { boardKinds, isCandidate, ofKind, sides, type Board } from '@/core';
import { Choice } from '../form/Choice';
import { today } from '../room/today';
import { RadioFields } from '../build/RadioFields';
import { CircuitPart, CircuitRow } from './CircuitRow';
import { Said } from './Said';

const notSaid = 'not said';
const turns = [0, 90, 180, 270] as const;

function targetOf({ firmware }: Board): string {
  return firmware && 'value' in firmware.target ? firmware.target.value : '';
}

function firmwareOf({ firmware }: Board, target: string): Board['firmware'] {
  const supported = firmware?.supported ?? { unknown: true as const };
  if (target === '') return 'unknown' in supported ? undefined : { target: { unknown: true }, supported };
  return { target: { value: target, origin: 'claim', seen: today() }, supported };
}

/** What kind of board it is, and where plug, button, arrow and cables are. */
export function BoardKind({ board, onChange }: { board: Board; onChange: (b: Board) => void }) {
  // An ESC or a power board has no processor: nobody looks for its plug, its arrow or its firmware.
  const alone = isCandidate(board);
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
        <Said label="Name" value={board.name} most={80} width={130} onSay={(name) => onChange({ ...board, name })} />
        <Said
          label="Maker"
          value={board.maker}
          most={80}
          width={110}
          onSay={(maker) => onChange({ ...board, maker })}
        />
        <Said
          label="Revision"
          value={board.revision}
          width={70}
          onSay={(revision) => onChange({ ...board, revision })}
        />
        {alone && (
          <>
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
          </>
        )}
        <Box role="group" aria-label="Edges that cables leave by">
          {sides.map((s) => (
            <FormControlLabel
              key={s}
              label={`cables ${s}`}
              control={<Checkbox checked={cableSides.includes(s)} onChange={() => leave(s)} />}
            />
          ))}
        </Box>
        {alone && (
          <>
            <RadioFields
              label="Its own receiver speaks"
              radio={board.receiver}
              onChange={(receiver) => onChange({ ...board, receiver })}
            />
            <Said
              label="Firmware target, as the seller names it"
              empty
              width={230}
              most={200}
              value={targetOf(board)}
              onSay={(value) => onChange({ ...board, firmware: firmwareOf(board, value) })}
            />
          </>
        )}
      </CircuitRow>
    </CircuitPart>
  );
}
