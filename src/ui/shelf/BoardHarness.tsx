import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { roleOf, type Board } from '@/core';
import { Choice } from '../form/Choice';
import { NumberBox } from '../form/NumberBox';
import { today } from '../room/today';
import { CircuitPart, CircuitRow } from './CircuitRow';
import { Said } from './Said';

const inMassWords = ['not said', 'yes', 'no'] as const;

/** The plug between controller and ESC with the order of its pins, and the capacitor that comes with a board. */
export function BoardHarness({ board, onChange }: { board: Board; onChange: (b: Board) => void }) {
  const { escPlug, capacitor } = board;
  const role = roleOf(board);
  const put = (next: Partial<NonNullable<Board['escPlug']>>) => {
    const plug = { family: 'SH 1.0', pins: ['GND'], ...escPlug, ...next };
    onChange({ ...board, escPlug: plug.pins.length > 0 ? plug : undefined });
  };
  const pinsOf = (typed: string) =>
    typed
      .split(/[\s,;]+/)
      .filter(Boolean)
      .slice(0, 20)
      .map((p) => p.slice(0, 40));
  return (
    <CircuitPart title={role === 'controller' || role === 'esc' ? 'Harness and capacitor' : 'Capacitor'}>
      {(role === 'controller' || role === 'esc') && (
        <CircuitRow name="Harness">
          <Said
            label="Pins of the plug to the other, in order"
            empty
            width={330}
            most={200}
            value={escPlug?.pins.join(' ') ?? ''}
            onSay={(typed) => put({ pins: pinsOf(typed) })}
          />
          {escPlug && (
            <>
              <Said label="Family" width={90} value={escPlug.family} onSay={(family) => put({ family })} />
              <FormControlLabel
                control={
                  <Checkbox
                    size="small"
                    checked={escPlug.rigid === true}
                    onChange={(e) => put({ rigid: e.target.checked || undefined })}
                  />
                }
                label="board to board: no line can be moved"
              />
            </>
          )}
        </CircuitRow>
      )}
      <CircuitRow name="Capacitor">
        <NumberBox
          label="Comes with"
          unit="µF"
          empty="none"
          mayBeUnknown
          min={1}
          max={10000}
          width={110}
          value={capacitor?.microfarads ?? null}
          onChange={(microfarads) =>
            onChange({
              ...board,
              capacitor: microfarads === null ? undefined : { volts: 35, ...capacitor, microfarads },
            })
          }
        />
        {capacitor && (
          <>
            <NumberBox
              label="rated"
              unit="V"
              min={1}
              max={200}
              value={capacitor.volts}
              onChange={(volts) => volts && onChange({ ...board, capacitor: { ...capacitor, volts } })}
            />
            <Choice
              label="In the stated mass"
              value={inMassWord(capacitor)}
              words={inMassWords}
              onChange={(said) => onChange({ ...board, capacitor: { ...capacitor, inMass: inMassOf(said) } })}
            />
          </>
        )}
      </CircuitRow>
    </CircuitPart>
  );
}

type Capacitor = NonNullable<Board['capacitor']>;

function inMassWord({ inMass }: Capacitor): (typeof inMassWords)[number] {
  if (!inMass || 'unknown' in inMass) return 'not said';
  return inMass.value ? 'yes' : 'no';
}

function inMassOf(said: (typeof inMassWords)[number]): Capacitor['inMass'] {
  return said === 'not said' ? undefined : { value: said === 'yes', origin: 'manual', seen: today() };
}
