'use client';

import { currencySign, money, type Part, type Priority, linkWords } from '@/core';
import { useSortable } from '@dnd-kit/sortable';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useWords } from '../frame/ways';
import { focusBeside } from '../frame/focus-beside';
import { useRoom } from '../room/store';
import { ChangedByWriters, ForWriters } from '../room/ForWriters';
import { changedPart, movedPart, withoutPart } from './change';

const priorities: Priority[] = ['must', 'should', 'nice'];

/** One line of the list: what it is, what it needs, how important it is. */
export function PartRow({
  part,
  name,
  index,
  selected,
  onSelect,
}: {
  part: Part;
  name: string;
  index: number;
  selected: boolean;
  onSelect: () => void;
}) {
  const { build, edit } = useRoom('build', 'edit');
  const { attributes, listeners, setNodeRef, transform, isDragging } = useSortable({ id: part.id });
  const { peripheral } = part;
  const mode = peripheral.modes[0]!;
  const needs = mode.links.map(linkWords).join(', ') || 'no wire to the board';
  const volts = mode.supplies.map(voltsWords).join(' and ') || 'no supply';
  const words = useWords();
  const mass = 'value' in peripheral.massG ? words(`${peripheral.massG.value} g`) : '? g';
  return (
    <Box
      component="li"
      ref={setNodeRef}
      data-part={part.id}
      onKeyDown={(e) => {
        if (!e.altKey || (e.key !== 'ArrowUp' && e.key !== 'ArrowDown')) return;
        e.preventDefault();
        edit(`move ${part.id}`, (b) => movedPart(b, part.id, index + (e.key === 'ArrowUp' ? -1 : 1)));
      }}
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 1,
        borderBottom: '1px solid var(--hair)',
        py: 0.5,
        px: 0.5,
        background: selected ? 'var(--copperSoft)' : 'transparent',
        opacity: isDragging ? 0.5 : 1,
      }}
      style={{ transform: transform ? `translateY(${transform.y}px)` : undefined }}
    >
      <Box
        component="span"
        {...attributes}
        {...listeners}
        aria-label={`${index + 1}, move ${name}`}
        sx={{ cursor: 'grab', color: 'text.secondary', px: 0.5, width: 24, textAlign: 'right', fontSize: 12 }}
      >
        {index + 1}
      </Box>
      <Box
        component="button"
        type="button"
        onClick={onSelect}
        aria-expanded={selected}
        sx={{
          flex: 1,
          minWidth: 0,
          textAlign: 'left',
          background: 'none',
          border: 0,
          font: 'inherit',
          color: 'inherit',
          cursor: 'pointer',
          p: 0,
        }}
      >
        <Box component="span" sx={{ fontWeight: 600 }}>
          {name}
        </Box>
        <Box component="span" sx={{ color: 'text.secondary', fontSize: 12 }}>
          {' '}
          {peripheral.kind}
        </Box>
        <Box
          component="span"
          sx={{
            display: 'block',
            fontSize: 12,
            color: 'text.secondary',
            whiteSpace: 'nowrap',
            overflow: 'hidden',
            textOverflow: 'ellipsis',
          }}
        >
          {needs}; {volts}
          {peripheral.modes.length > 1 ? `; ${peripheral.modes.length} ways to wire it` : ''}
          {part.onUsb ? '; works on USB' : ''}
          {part.owned ? '; at home already' : ''}
        </Box>
      </Box>
      <Box component="span" sx={{ width: 50, textAlign: 'right', fontSize: 12 }}>
        {mass}
      </Box>
      <Box
        component="span"
        sx={{ width: 64, textAlign: 'right', fontSize: 12, color: part.owned ? 'text.secondary' : undefined }}
      >
        {priceWords(part, build.currency)}
      </Box>
      <ChangedByWriters>
        <Box role="radiogroup" aria-label={`How important is ${name}`} sx={{ display: 'flex' }}>
          {priorities.map((p) => (
            <Button
              key={p}
              role="radio"
              aria-checked={part.priority === p}
              onClick={() => edit(`priority ${part.id}`, (b) => changedPart(b, part.id, { priority: p }))}
              sx={{
                px: 0.75,
                py: 0,
                borderRadius: 0,
                color: part.priority === p ? 'text.primary' : 'text.secondary',
                borderBottom: part.priority === p ? '3px solid var(--copper)' : '3px solid transparent',
                fontWeight: part.priority === p ? 640 : 450,
              }}
            >
              {p}
            </Button>
          ))}
        </Box>
      </ChangedByWriters>
      <ForWriters>
        <Button
          aria-label={`Remove ${name}`}
          onClick={(e) => {
            const focus = focusBeside(e.currentTarget, 'li', '#add-part');
            edit(`remove ${part.id}`, (b) => withoutPart(b, part.id));
            focus();
          }}
          sx={{ px: 0.75 }}
        >
          Remove
        </Button>
      </ForWriters>
    </Box>
  );
}

function priceWords({ owned, peripheral }: Part, currency: string): string {
  if (owned) return 'owned';
  return peripheral.cents === null ? `? ${currencySign(currency)}` : money(peripheral.cents, currency);
}

function voltsWords(supply: Part['peripheral']['modes'][number]['supplies'][number]): string {
  const end = (f: typeof supply.minVolts) => {
    if ('value' in f) return String(f.value);
    return 'low' in f ? `${f.low} or ${f.high}` : '?';
  };
  return `${end(supply.minVolts)} to ${end(supply.maxVolts)} V`;
}
