'use client';

import { closestCenter, DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from '@dnd-kit/sortable';
import Box from '@mui/material/Box';
import { numbered } from '@/core';
import { useRoom } from '../room/store';
import { movedPart } from './change';
import { PartRow } from './PartRow';

export function PartList({ selected, onSelect }: { selected: string | null; onSelect: (id: string | null) => void }) {
  const { build, edit } = useRoom('build', 'edit');
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const named = numbered(build).parts;
  if (build.parts.length === 0) {
    return (
      <Box sx={{ border: '1px dashed var(--hair)', p: 3, color: 'text.secondary', maxWidth: 620 }}>
        Nothing hangs here yet. Start with the receiver: press <kbd>/</kbd>, type <em>receiver</em> and press Enter.
        Then camera, video transmitter, positioning, lights: whatever needs a wire. The ladder follows as you type.
        <Box sx={{ mt: 1 }}>
          Frame, pack, motors and limits above are those of a plain five-inch craft to start from: put in your own, the
          limits too.
        </Box>
      </Box>
    );
  }
  return (
    <DndContext
      id="parts"
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={({ active, over }) => {
        if (over)
          edit(`move ${active.id}`, (b) =>
            movedPart(
              b,
              String(active.id),
              b.parts.findIndex((p) => p.id === over.id),
            ),
          );
      }}
    >
      <SortableContext items={build.parts.map((p) => p.id)} strategy={verticalListSortingStrategy}>
        <Box
          component="ol"
          aria-label="Parts"
          sx={{ m: 0, p: 0, listStyle: 'none', borderTop: '1px solid var(--ink)' }}
        >
          {build.parts.map((part, index) => (
            <PartRow
              key={part.id}
              part={part}
              name={named[index]!.peripheral.name}
              index={index}
              selected={part.id === selected}
              onSelect={() => onSelect(part.id === selected ? null : part.id)}
            />
          ))}
        </Box>
      </SortableContext>
    </DndContext>
  );
}
