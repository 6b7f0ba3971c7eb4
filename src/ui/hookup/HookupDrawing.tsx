'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { parseAsBoolean, parseAsString, useQueryState } from 'nuqs';
import { useHotkeys } from 'react-hotkeys-hook';
import {
  asItLies,
  drawHookup,
  harnessOf,
  wireList,
  wiresCsv,
  type Board,
  type Climb,
  type FaceDrawing,
  type Wire,
} from '@/core';
import { useRoom } from '../room/store';
import { csv, useTakeOut } from '../frame/take-out';
import { Repin } from '../after/Repin';
import { FaceFigure, type Picked } from './FaceFigure';
import { Faces } from './Faces';
import { inkOnWhite } from './ink-on-white';
import { JointTable } from './JointTable';
import { PartPads } from './PartPads';
import { useZoom } from './use-zoom';
import { useLetterKey } from '../frame/letter-keys';

/** The drawing by which the board is soldered: both faces as they will lie, every joint with the part's own pin, and one net lit where it is asked for. */
export function HookupDrawing({
  board,
  climb,
  part,
  locked,
  onPart,
}: {
  board: Board;
  climb: Climb;
  part: string | null;
  locked: Set<string>;
  onPart: (part: string | null) => void;
}) {
  const { build } = useRoom('build');
  const [lines, setLines] = useQueryState('lines', parseAsBoolean.withDefault(false));
  const [net, setNet] = useQueryState('net', parseAsString);
  const zoom = useZoom();
  const lying = asItLies(build, board);
  const wires = wireList(build, board, climb.hookup);
  const faces = drawHookup(lying, climb.hookup, wires, { stubs: !lines });
  const picked: Picked = { part, net };
  const harness = harnessOf(build, board);
  useLetterKey('plus, =, add', () => zoom.larger());
  useLetterKey('minus, subtract', () => zoom.smaller());
  useLetterKey('0', () => zoom.fit());
  useHotkeys('escape', () => void setNet(null));
  const pickPad = (pad: string) => {
    const joined = wires.filter((w) => w.padId === pad);
    const [first] = joined;
    if (!first) return;
    onPart(null);
    void setNet(first.net === net ? null : first.net);
  };
  useTakeOut(() => [
    ...faces.map((f, i) => ({
      says: `Save the ${f.face}${board.members ? ` of board ${i + 1}` : ''} as SVG`,
      file: { name: `${board.id}-${i + 1}-${f.face}.svg`, type: 'image/svg+xml' },
      text: () => inkOnWhite(zoom.picture.current!.querySelectorAll('svg')[i]!),
    })),
    { says: 'Save the wires as CSV', file: csv(`${board.id}-wires`), text: () => wiresCsv(wires) },
  ]);
  const drawn = (some: FaceDrawing[]) => (
    <Faces faces={some} among={faces}>
      {(f) => (
        <FaceFigure
          drawing={f}
          picked={picked}
          locked={locked}
          onPart={(p) => onPart(p === part ? null : p)}
          onPad={pickPad}
        />
      )}
    </Faces>
  );
  return (
    <Box>
      <Box
        className="no-print"
        sx={{ display: { xs: 'none', sm: 'flex' }, gap: 0.5, alignItems: 'center', flexWrap: 'wrap', fontSize: 12 }}
      >
        <Key />
        <Box sx={{ flex: 1 }} />
        <Button aria-pressed={lines} onClick={() => void setLines(lines ? null : true)}>
          {lines ? 'Supply and ground as stubs' : 'Supply and ground as lines'}
        </Button>
        <Button aria-label="Larger" onClick={() => zoom.larger()}>
          +
        </Button>
        <Button aria-label="Smaller" onClick={() => zoom.smaller()}>
          −
        </Button>
        <Button onClick={() => zoom.fit()}>Fit</Button>
      </Box>
      <Box role="status" aria-live="polite" sx={{ fontSize: 12, minHeight: 18 }}>
        {pickedWords(picked, wires)}
      </Box>
      <Box sx={{ display: { xs: 'none', sm: 'block' } }}>
        <div ref={zoom.frame} className="drawing" style={{ overflow: 'hidden', touchAction: 'pan-y' }}>
          <div ref={zoom.picture} style={{ transformOrigin: '0 0' }}>
            {drawn(faces.filter((f) => f.member === faces[0]!.member))}
            {board.members && harness && <Repin {...harness} />}
            {board.members && drawn(faces.filter((f) => f.member !== faces[0]!.member))}
          </div>
        </div>
      </Box>
      <Box sx={{ display: { xs: 'block', sm: 'none' } }}>
        <PartPads board={lying} climb={climb} wires={wires} part={part} onPart={onPart} />
      </Box>
      <Standing climb={climb} />
      {!board.members && harness && <Repin {...harness} />}
      <JointTable
        board={board}
        hookup={climb.hookup}
        wires={wires}
        net={net}
        onNet={(picked) => {
          onPart(null);
          void setNet(picked);
        }}
      />
    </Box>
  );
}

/** How each bridge must stand: it is set before a wire lies over it. */
function Standing({ climb }: { climb: Climb }) {
  const { bridges } = climb.hookup;
  if (bridges.length === 0) return null;
  return (
    <Box sx={{ fontSize: 12, my: 0.5 }}>
      Bridges: {bridges.map((b) => `${b.label} at ${b.positionLabel}${b.moved ? ' (set it)' : ''}`).join('; ')}.
    </Box>
  );
}

function Key() {
  return (
    <Box sx={{ color: 'text.secondary', display: 'flex', gap: 1.5, flexWrap: 'wrap' }}>
      <span>line: signal, 28 AWG</span>
      <Box component="span" sx={{ color: 'primary.main' }}>
        copper: supply
      </Box>
      <span>grey: ground</span>
      <span>number at a pad: the part that joins there</span>
      <span>struck pad: the board&apos;s own</span>
    </Box>
  );
}

/** What is picked, said in words: of a part its joints, of a net the pads it lies on and the parts it joins. */
function pickedWords({ part, net }: Picked, wires: readonly Wire[]): string {
  const mine = wires.filter((w) => (part ? w.part === part : net !== null && w.net === net));
  if (mine.length === 0) return 'Pick a part or a pad: its net lights up.';
  if (part) return `${mine[0]!.partName}: ${mine.map((w) => `${w.pin.name} to ${w.from}`).join(', ')}.`;
  const pads = [...new Set(mine.map((w) => w.from))].join(', ');
  const parts = [...new Set(mine.map((w) => w.partName))].join(', ');
  return `One net on ${pads}: ${parts}.`;
}
