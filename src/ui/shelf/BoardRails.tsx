import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useState } from 'react';
import {
  addSupplyPad,
  mayFeed,
  feedRail,
  railFigures,
  railSourceOf,
  railSources,
  removeRail,
  shareRails,
  type Board,
} from '@/core';
import { Choice } from '../form/Choice';
import { NumberBox } from '../form/NumberBox';
import { Figure } from './BoardFigures';
import { CircuitPart, CircuitRow } from './CircuitRow';
import { Said } from './Said';

type Rail = Board['rails'][number];

/** What each rail is fed from, and the figures of its regulator. */
export function BoardRails({ board, onChange }: { board: Board; onChange: (b: Board) => void }) {
  const [fault, setFault] = useState<string | null>(null);
  const put = (id: string, change: Partial<Rail>) =>
    onChange({ ...board, rails: board.rails.map((r) => (r.id === id ? { ...r, ...change } : r)) });
  const takeOut = (r: Rail) => {
    const left = removeRail(board, r.id);
    setFault(left ? null : `Another rail is fed from ${r.label}: feed that one from elsewhere first.`);
    if (left) onChange(left);
  };
  return (
    <CircuitPart title="Rails">
      {board.rails.map((r) => (
        <CircuitRow key={r.id} name={r.label}>
          <Said label="Rail" value={r.label} width={104} onSay={(label) => put(r.id, { label })} />
          <Choice
            label="Fed from"
            value={railSourceOf(r)}
            words={railSources}
            onChange={(from) => onChange(feedRail(board, r.id, from))}
          />
          <Feeders rail={r} board={board} onChange={(source) => put(r.id, { source })} />
          <Box sx={{ flex: 1, minWidth: 80, color: 'text.secondary', pb: 0.5 }}>
            {r.pads.length === 0
              ? 'no pads'
              : r.pads.map((id) => board.pads.find((p) => p.id === id)?.label ?? id).join(', ')}
          </Box>
          <FormControlLabel
            control={<Checkbox checked={r.servos ?? false} onChange={(e) => put(r.id, { servos: e.target.checked })} />}
            label="for servos"
          />
          <Button onClick={() => onChange(addSupplyPad(board, r.id, r.label.slice(0, 8)))}>Add a pad</Button>
          {board.rails.length > 1 && <Button onClick={() => takeOut(r)}>Remove</Button>}
        </CircuitRow>
      ))}
      <Together board={board} onChange={onChange} />
      {fault && (
        <Box role="alert" sx={{ color: 'error.main', fontSize: 12.5 }}>
          {fault}
        </Box>
      )}
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(270px, 1fr))', columnGap: 3 }}>
        {railFigures(board).map((f) => (
          <Figure key={f.field} figure={f} board={board} onChange={onChange} />
        ))}
      </Box>
    </CircuitPart>
  );
}

/** Regulators that carry less together than each alone. */
function Together({ board, onChange }: { board: Board; onChange: (b: Board) => void }) {
  const regulators = board.rails.filter((r) => r.source.kind === 'regulator');
  if (regulators.length < 2) return null;
  return (
    <>
      {board.sharedLimits?.map((limit, i) => (
        <CircuitRow key={i} name={`Carried together (${i + 1})`}>
          <Box sx={{ pb: 0.5 }}>Together no more than a limit of their own:</Box>
          {regulators.map((r) => (
            <FormControlLabel
              key={r.id}
              control={
                <Checkbox
                  checked={limit.rails.includes(r.id)}
                  onChange={(e) =>
                    onChange(
                      shareRails(
                        board,
                        i,
                        e.target.checked ? [...limit.rails, r.id] : limit.rails.filter((id) => id !== r.id),
                      ),
                    )
                  }
                />
              }
              label={r.label}
            />
          ))}
          <Button onClick={() => onChange(shareRails(board, i, []))}>Remove</Button>
        </CircuitRow>
      ))}
      <Button
        onClick={() =>
          onChange(
            shareRails(
              board,
              null,
              regulators.slice(0, 2).map((r) => r.id),
            ),
          )
        }
      >
        Some share a limit
      </Button>
    </>
  );
}

/** The rails behind a rail. */
function Feeders({ rail, board, onChange }: { rail: Rail; board: Board; onChange: (source: Rail['source']) => void }) {
  const { source } = rail;
  const others = mayFeed(board, rail.id);
  const named = (label: string, value: string, put: (id: string) => void) => (
    <Choice
      key={label}
      label={label}
      value={value}
      words={others.map((r) => r.id)}
      says={(id) => others.find((r) => r.id === id)!.label}
      onChange={put}
    />
  );
  switch (source.kind) {
    case 'regulator':
      return named('out of', source.input, (input) => onChange({ ...source, input }));
    case 'either':
      return (
        <>
          {source.of.map((of, i) =>
            named(i === 0 ? 'this' : `or this${i > 1 ? ` (${i})` : ''}`, of, (id) =>
              onChange({ ...source, of: source.of.map((x, n) => (n === i ? id : x)) }),
            ),
          )}
          {[...new Set(source.of)].map((id) => (
            <NumberBox
              key={`diode ${id}`}
              label={`Diode from ${others.find((r) => r.id === id)?.label ?? id}`}
              unit="V"
              max={2}
              width={130}
              mayBeUnknown
              empty="none"
              value={source.dropVolts?.[id] ?? null}
              onChange={(v) => onChange({ ...source, dropVolts: { ...source.dropVolts, [id]: v ?? 0 } })}
            />
          ))}
          <Choice
            label="Kept apart"
            value={apartWord(source.isolated)}
            words={source.isolated ? apartWords : [takenAsApart, ...apartWords]}
            onChange={(said) =>
              onChange({
                ...source,
                isolated: said === 'nobody says' ? { unknown: true } : { value: said === 'yes', origin: 'claim' },
              })
            }
          />
        </>
      );
    case 'bridge': {
      const bridge = board.bridges.find((b) => b.id === source.bridge);
      return (
        <>
          {bridge?.positions.map((p) =>
            named(`${bridge.label}: ${p.label}`, source.byPosition[p.id] ?? '', (id) =>
              onChange({ ...source, byPosition: { ...source.byPosition, [p.id]: id } }),
            ),
          )}
        </>
      );
    }
    default:
      return null;
  }
}

const apartWords = ['nobody says', 'yes', 'no'] as const;
/** A file that is silent about it is read so (docs/method-rules.md). */
const takenAsApart = 'taken as yes';

/** Do diodes keep USB and regulator apart? */
function apartWord(
  isolated: Extract<Rail['source'], { kind: 'either' }>['isolated'],
): (typeof apartWords)[number] | typeof takenAsApart {
  if (!isolated) return takenAsApart;
  if ('unknown' in isolated) return 'nobody says';
  if (isolated.value) return 'yes';
  return 'no';
}
