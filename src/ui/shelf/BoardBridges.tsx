import Button from '@mui/material/Button';
import { addBridge, changeBridge, removeBridge, type Board } from '@/core';
import { Choice } from '../form/Choice';
import { NumberBox } from '../form/NumberBox';
import { CircuitPart, CircuitRow } from './CircuitRow';
import { Said } from './Said';

type Bridge = Board['bridges'][number];

/** Solder bridges, jumpers and switches with their positions. What one switches is chosen at the rail. */
export function BoardBridges({ board, onChange }: { board: Board; onChange: (b: Board) => void }) {
  return (
    <CircuitPart title="Bridges" action={<Button onClick={() => onChange(addBridge(board))}>Add a bridge</Button>}>
      {board.bridges.map((b) => (
        <Row
          key={b.id}
          bridge={b}
          onChange={(change) => onChange(changeBridge(board, b.id, change))}
          onName={(positions) =>
            onChange({ ...board, bridges: board.bridges.map((x) => (x.id === b.id ? { ...x, positions } : x)) })
          }
          onRemove={() => onChange(removeBridge(board, b.id))}
        />
      ))}
    </CircuitPart>
  );
}

function Row({
  bridge,
  onChange,
  onName,
  onRemove,
}: {
  bridge: Bridge;
  onChange: (change: Partial<Bridge>) => void;
  onName: (positions: Bridge['positions']) => void;
  onRemove: () => void;
}) {
  return (
    <CircuitRow name={bridge.label}>
      <Said label="Bridge" value={bridge.label} width={130} onSay={(label) => onChange({ label })} />
      <Choice
        label="Form"
        value={bridge.form}
        words={['solder bridge', 'jumper', 'switch']}
        onChange={(form) => onChange({ form })}
      />
      <Choice label="On the" value={bridge.face} words={['top', 'bottom']} onChange={(face) => onChange({ face })} />
      {bridge.positions.map((p, i) => (
        <Said
          key={p.id}
          label={`Position ${i + 1}`}
          value={p.label}
          width={96}
          onSay={(label) => onName(bridge.positions.map((x) => (x.id === p.id ? { ...x, label } : x)))}
        />
      ))}
      <Choice
        label="Delivered"
        value={bridge.factory}
        words={bridge.positions.map((p) => p.id)}
        says={(id) => bridge.positions.find((p) => p.id === id)!.label}
        onChange={(factory) => onChange({ factory })}
      />
      <NumberBox
        label="Effort"
        whole
        max={20}
        width={56}
        value={bridge.effort}
        onChange={(effort) => onChange({ effort: effort ?? 0 })}
      />
      <Button onClick={onRemove}>Remove</Button>
    </CircuitRow>
  );
}
