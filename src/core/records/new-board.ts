import { boardSchema, type Board, type Pad } from './board';
import { idFrom, newestVersion } from './words';
import { unknown, unknownEsc, unknownPattern } from './unknown-figures';

function hasEsc(kind: Board['kind']): boolean {
  return kind === 'stack' || kind === 'all-in-one' || kind === 'esc';
}

/** Makes it another kind of board. An ESC comes with the kind, as far as nothing is known of one; where there was one it stays. */
export function ofKind(board: Board, kind: Board['kind']): Board {
  return { ...board, kind, esc: board.esc ?? (hasEsc(kind) ? unknownEsc : undefined) };
}

/** A board of which nothing is known yet but its name and kind. */
export function newBoard(id: string, name: string, maker: string, kind: Board['kind'] = 'flight controller'): Board {
  return boardSchema.parse({
    format: 'rung-board',
    version: newestVersion,
    id,
    name,
    maker,
    kind,
    ...(hasEsc(kind) ? { esc: unknownEsc } : {}),
    processor: unknown,
    claimedPorts: unknown,
    packCells: { min: unknown, max: unknown },
    mounting: { patterns: [unknownPattern], softIsolators: unknown },
    lengthMm: unknown,
    widthMm: unknown,
    heightMm: unknown,
    massG: unknown,
    usb: { plug: 'C', side: 'unknown' },
    allPads: unknown,
    barometer: unknown,
    storageMb: unknown,
    gyroNoise: unknown,
    rails: [{ id: 'pack', label: 'Pack', source: { kind: 'pack' } }],
  });
}

/** The next free id made of a word and a number. */
export function freeId(word: string, taken: readonly { id: string }[]): string {
  for (let n = 1; ; n++) if (!taken.some((t) => t.id === `${word}${n}`)) return `${word}${n}`;
}

/** The wanted id, or with a number behind it where a pad has it already. */
export function padId(board: Board, wanted: string): string {
  return board.pads.some((p) => p.id === wanted) ? freeId(`${wanted}-`, board.pads) : wanted;
}

/** Pads behind those of an edge and a face. */
export function addPads(
  board: Board,
  edge: Pad['edge'],
  face: Pad['face'],
  labels: { id: string; label: string; size?: Pad['size'] }[],
): Board {
  const order = Math.max(-1, ...board.pads.filter((p) => p.edge === edge && p.face === face).map((p) => p.order));
  return {
    ...board,
    pads: [
      ...board.pads,
      ...labels.map((l, i): Pad => ({
        id: l.id,
        label: l.label,
        edge,
        face,
        form: 'pad',
        size: l.size ?? 'medium',
        order: order + 1 + i,
        reachable: true,
      })),
    ],
  };
}

/** Groups of pads as boards of the trade bring them out; each adds the pads with what stands behind them. */
export const padGroups = [
  'port',
  'hearing port',
  '5 V regulator',
  '9 V regulator',
  '5 V, also on USB',
  'pack supply',
  'I2C',
  'CAN',
  'analogue video',
  'light output',
  'motor outputs',
  'servo output',
  'buzzer',
  'battery and current inputs',
  'ground',
] as const;
export type PadGroup = (typeof padGroups)[number];

export function addGroup(board: Board, group: PadGroup, edge: Pad['edge'], face: Pad['face'] = 'top'): Board {
  switch (group) {
    case 'port':
    case 'hearing port': {
      const id = freeId('port', board.ports);
      const n = id.slice(4);
      const talks = group === 'port';
      const [rx, tx] = [padId(board, `r${n}`), padId(board, `t${n}`)];
      const padded = addPads(board, edge, face, [
        { id: rx, label: `R${n}` },
        ...(talks ? [{ id: tx, label: `T${n}` }] : []),
      ]);
      return {
        ...padded,
        ports: [
          ...padded.ports,
          {
            id,
            label: `Port ${n}`,
            rx: [{ pad: rx, sense: 'plain' }],
            tx: talks ? [{ pad: tx, sense: 'plain', twoWayInverter: false }] : [],
          },
        ],
      };
    }
    case '5 V regulator':
    case '9 V regulator': {
      const volts = group === '5 V regulator' ? 5 : 9;
      const id = freeId(`v${volts}-`, board.rails);
      const pad = padId(board, id);
      const padded = addPads(board, edge, face, [{ id: pad, label: `${volts}V` }]);
      const assumed = { value: volts, origin: 'print' as const };
      return {
        ...padded,
        rails: [
          ...padded.rails,
          {
            id,
            label: `${volts} V`,
            pads: [pad],
            source: {
              kind: 'regulator',
              type: 'buck',
              outVolts: assumed,
              ratedAmps: unknown,
              dropOutVolts: { value: 1, origin: 'assumed', source: 'a usual small buck' },
              input: 'pack',
              filtered: false,
            },
          },
        ],
      };
    }
    case '5 V, also on USB': {
      // Whichever is up: USB, or the regulator of 5 V that the board has.
      const made = board.rails.some(isFive) ? board : addGroup(board, '5 V regulator', edge, face);
      const usb = made.rails.find((r) => r.source.kind === 'usb') ?? {
        id: freeId('usb', made.rails),
        label: 'USB',
        pads: [],
        source: { kind: 'usb' as const, dropVolts: 0 },
      };
      const rail = {
        id: freeId('five', made.rails),
        label: '5 V, also on USB',
        pads: [],
        source: { kind: 'either' as const, of: [usb.id, made.rails.find(isFive)!.id], isolated: unknown },
      };
      return addSupplyPad({ ...made, rails: [...together(made.rails, usb), rail] }, rail.id, '5V', edge, face);
    }
    case 'pack supply': {
      const pack = board.rails.find((r) => r.source.kind === 'pack') ?? {
        id: freeId('pack', board.rails),
        label: 'Pack',
        pads: [],
        source: { kind: 'pack' as const },
      };
      return addSupplyPad({ ...board, rails: together(board.rails, pack) }, pack.id, 'BAT', edge, face);
    }
    case 'I2C':
    case 'CAN': {
      const kind = group === 'I2C' ? 'i2c' : 'can';
      const id = freeId(kind, board.buses);
      const labels = kind === 'i2c' ? ['SDA', 'SCL'] : ['CAN-H', 'CAN-L'];
      const pads = labels.map((label) => ({ id: padId(board, `${id}-${label.toLowerCase()}`), label }));
      return {
        ...addPads(board, edge, face, pads),
        buses: [...board.buses, { id, label: group, kind, pads: pads.map((p) => p.id), onBoard: [] }],
      };
    }
    case 'analogue video': {
      // A board that has a video out already gets one more camera input.
      const [cam, out] = [padId(board, 'cam1'), padId(board, 'vtx')];
      const { video } = board;
      const padded = addPads(board, edge, face, [
        { id: cam, label: 'CAM' },
        ...(video?.out ? [] : [{ id: out, label: 'VTX' }]),
      ]);
      return {
        ...padded,
        video: {
          overlayChip: unknown,
          ...video,
          cameraIns: [...(video?.cameraIns ?? []), cam],
          out: video?.out ?? out,
        },
      };
    }
    case 'light output':
    case 'motor outputs':
    case 'servo output': {
      let use: 'motor' | 'servo' | 'light';
      if (group === 'light output') use = 'light';
      else if (group === 'motor outputs') use = 'motor';
      else use = 'servo';
      const letter = { light: 'led', motor: 'm', servo: 's' }[use];
      return Array.from({ length: use === 'motor' ? 4 : 1 }).reduce<Board>((b) => {
        const id = freeId(letter, b.outputs);
        const pad = padId(b, id);
        const padded = addPads(b, edge, face, [{ id: pad, label: id.toUpperCase() }]);
        return {
          ...padded,
          outputs: [...padded.outputs, { id, label: id.toUpperCase(), pad, timer: `timer for ${use}s`, can: [use] }],
        };
      }, board);
    }
    case 'buzzer':
      // There is one buzzer pad; asked again, it stays as it is.
      return board.buzzerPad
        ? board
        : { ...addPads(board, edge, face, [{ id: padId(board, 'bz'), label: 'BZ-' }]), buzzerPad: padId(board, 'bz') };
    case 'ground': {
      const pad = padId(board, 'gnd');
      const padded = addPads(board, edge, face, [{ id: pad, label: 'GND' }]);
      return { ...padded, grounds: [...padded.grounds, pad] };
    }
    case 'battery and current inputs': {
      const [vbat, curr] = [padId(board, 'vbat'), padId(board, 'curr')];
      const padded = addPads(board, edge, face, [
        { id: vbat, label: 'VBAT' },
        { id: curr, label: 'CURR' },
      ]);
      const inputs: Board['analogueInputs'] = [
        { id: vbat, label: 'VBAT', kind: 'battery', pad: vbat, maxVolts: 40 },
        { id: curr, label: 'CURR', kind: 'current', pad: curr, maxVolts: 3.3 },
      ];
      return {
        ...padded,
        analogueInputs: [
          ...padded.analogueInputs,
          ...inputs.filter((i) => !padded.analogueInputs.some((x) => x.id === i.id)),
        ],
      };
    }
  }
}

/** The rails with this one among them. */
function together(rails: Board['rails'], rail: Board['rails'][number]): Board['rails'] {
  return rails.includes(rail) ? rails : [...rails, rail];
}

/** A regulator that is known to give 5 V. */
function isFive({ source }: Board['rails'][number]): boolean {
  return source.kind === 'regulator' && 'value' in source.outVolts && source.outVolts.value === 5;
}

/** One more pad of a rail, for a part to take its power from. */
export function addSupplyPad(
  board: Board,
  rail: string,
  label: string,
  edge: Pad['edge'] = 'left',
  face: Pad['face'] = 'top',
): Board {
  const pad = padId(board, idFrom(label, 'pad'));
  return {
    ...addPads(board, edge, face, [{ id: pad, label }]),
    rails: board.rails.map((r) => (r.id === rail ? { ...r, pads: [...r.pads, pad] } : r)),
  };
}

/** Takes a pad away with everything that leaned on it alone. */
export function removePad(board: Board, pad: string): Board {
  return {
    ...board,
    pads: board.pads.filter((p) => p.id !== pad),
    ports: board.ports
      .map((p) => ({ ...p, rx: p.rx.filter((e) => e.pad !== pad), tx: p.tx.filter((e) => e.pad !== pad) }))
      .filter((p) => p.rx.length + p.tx.length > 0),
    rails: board.rails.map((r) => ({ ...r, pads: r.pads.filter((x) => x !== pad) })),
    grounds: board.grounds.filter((x) => x !== pad),
    ...(board.receiver?.updatePads
      ? { receiver: { ...board.receiver, updatePads: board.receiver.updatePads.filter((x) => x !== pad) } }
      : {}),
    outputs: board.outputs.filter((o) => o.pad !== pad),
    analogueInputs: board.analogueInputs.filter((i) => i.pad !== pad),
    buses: board.buses.filter((b) => !b.pads.includes(pad)),
    plugs: board.plugs.map((p) => ({
      ...p,
      pins: p.pins.map(({ pad: at, ...pin }) => (at === undefined || at === pad ? pin : { ...pin, pad: at })),
    })),
    ...(board.video
      ? {
          video: {
            ...board.video,
            cameraIns: board.video.cameraIns.filter((p) => p !== pad),
            ...(board.video.out === pad ? { out: undefined } : {}),
            ...(board.video.cameraControl === pad ? { cameraControl: undefined } : {}),
          },
        }
      : {}),
    ...(board.buzzerPad === pad ? { buzzerPad: undefined } : {}),
  };
}
