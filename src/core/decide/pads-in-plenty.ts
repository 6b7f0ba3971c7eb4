import { addGroup, padGroups, type PadGroup } from '../records/new-board';
import type { Board } from '../records/board';
import { usbUnsaid } from '../circuit/all-pads';
import { interval, isKnown, isUnknown } from '../quantity/figure';

/** Of each kind of pads so many: more than a build asks for. */
const plenty: Partial<Record<PadGroup, number>> = {
  'hearing port': 0,
  'analogue video': 2,
  'motor outputs': 3,
  'servo output': 12,
  'light output': 2,
};
const mostPorts = 8;

/** A board with its figures, and the pads of another state of it. */
export function withPadsOf(
  board: Board,
  { pads, allPads, ports, buses, outputs, analogueInputs, buzzerPad, video, rails }: Board,
): Board {
  const overlayChip = board.video?.overlayChip;
  return {
    ...board,
    pads,
    allPads,
    ports,
    buses,
    outputs,
    analogueInputs,
    buzzerPad,
    video: video && overlayChip ? { ...video, overlayChip } : video,
    rails: board.rails.slice(0, rails.length).map((r, i) => ({ ...r, pads: rails[i]!.pads })),
  };
}

/** The board as it is at best where not all its pads are drawn: every kind of pad in plenty, and every port with pads for either sense. */
export function padsInPlenty(board: Board): Board {
  const ports = Math.max(
    0,
    (isKnown(board.claimedPorts) ? interval(board.claimedPorts).high : mostPorts) - board.ports.length,
  );
  const counts: typeof plenty = { ...plenty, port: ports, '5 V, also on USB': usbUnsaid(board) ? 1 : 0 };
  const groups = padGroups.flatMap((group) => Array.from({ length: counts[group] ?? 1 }, () => group));
  const drawn = groups.reduce((b, group) => addGroup(b, group, 'inner'), board);
  const more: Board['pads'] = [];
  const pad = (label: string) => {
    const id = `more-${more.length}`;
    more.push({ id, label, edge: 'inner', face: 'top', form: 'pad', size: 'medium', order: 0, reachable: true });
    return id;
  };
  return {
    ...drawn,
    allPads: { value: true, origin: 'assumed' },
    ports: drawn.ports.map((p) => ({
      ...p,
      rx: [
        ...p.rx,
        { pad: pad('RX'), sense: 'plain' as const },
        { pad: pad('RX inverted'), sense: 'inverted' as const },
      ],
      tx: [
        ...p.tx,
        { pad: pad('TX'), sense: 'plain' as const, twoWayInverter: false },
        { pad: pad('TX inverted'), sense: 'inverted' as const, twoWayInverter: true },
      ],
    })),
    rails: drawn.rails.map((r, i) => ({
      ...r,
      pads: r.pads.length > 0 ? r.pads : [pad(r.label)],
      source: atBest(r.source, i >= board.rails.length),
    })),
    analogueInputs: [
      ...drawn.analogueInputs,
      ...(['signal strength', 'air speed'] as const).map((kind) => ({
        id: `more-${kind.replace(' ', '-')}`,
        label: kind,
        kind,
        pad: pad(kind),
        maxVolts: 5,
      })),
    ],
    video: {
      overlayChip: { unknown: true },
      ...drawn.video,
      cameraIns: drawn.video?.cameraIns ?? [],
      cameraControl: drawn.video?.cameraControl ?? pad('camera control'),
    },
    pads: [...drawn.pads, ...more],
  };
}

/** USB and regulator are kept apart where nobody says; a regulator that nobody has named carries whatever is asked. */
function atBest(source: Board['rails'][number]['source'], added: boolean): Board['rails'][number]['source'] {
  if (source.kind === 'either' && (!source.isolated || isUnknown(source.isolated)))
    return { ...source, isolated: { value: true, origin: 'assumed' } };
  return added && source.kind === 'regulator' ? { ...source, ratedAmps: { value: 5, origin: 'assumed' } } : source;
}
