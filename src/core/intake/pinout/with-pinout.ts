import { addGroup, addPads, addSupplyPad, freeId, padId } from '../../records/new-board';
import type { Board, Pad } from '../../records/board';
import type { Said } from '../apply-readings';
import { addRegulator, railOf } from '../regulator';
import type { PadUse } from './pad-print';
import type { PadRead } from './read-pinout';

/** The board with the pads of a page: ports, rails, buses and outputs are made of them. What the board has already of a port takes the print and the place of the page. */
export function withPinout(board: Board, pads: readonly PadRead[], said: Omit<Said, 'placeOf'>): Board {
  // Where motors have their outputs already, a signal is not taken for one more.
  const driven = board.outputs.some((o) => o.can.includes('motor'));
  const drawn = pads
    .map((p): PadRead => (driven && p.use.kind === 'signal' ? { ...p, use: { ...p.use, kind: 'servo' } } : p))
    .reduce((b, pad) => withPad(b, pad, said), withoutGuesses(board, pads));
  const what = `${pads.length} pads of a pinout`;
  return {
    ...drawn,
    history: [
      ...drawn.history,
      {
        when: said.seen,
        field: 'pads',
        before: `${board.pads.length} pads`,
        after: what,
        who: `${said.origin}: "${pads[0]?.quote ?? ''}"`,
      },
    ].slice(-500),
  };
}

/** Ports and pads of regulators that were only said in words until now, and lead nowhere, make room for those that the page names. */
function withoutGuesses(board: Board, pads: readonly PadRead[]): Board {
  const named = pads.some((p) => p.use.kind === 'talks' || p.use.kind === 'hears');
  const guessed = board.ports.filter(
    (p) => !p.taken && [...p.rx, ...p.tx].every((e) => e.pad === `r${p.id.slice(4)}` || e.pad === `t${p.id.slice(4)}`),
  );
  const inUse = new Set(board.plugs.flatMap((plug) => plug.pins.map((pin) => pin.pad)));
  const gone = guessed.filter((p) => named && ![...p.rx, ...p.tx].some((e) => inUse.has(e.pad)));
  const volts = new Set(pads.flatMap((p) => (p.use.kind === 'volts' ? [p.use.volts] : [])));
  const rails = [...volts].flatMap((v) => railOf(board, v) ?? []);
  // A regulator's first pad bears the name of its rail until somebody says where it is.
  const supplies = rails.flatMap((r) => r.pads.filter((p) => p === r.id && !inUse.has(p)));
  const ends = new Set([...supplies, ...gone.flatMap((p) => [...p.rx, ...p.tx].map((e) => e.pad))]);
  return {
    ...board,
    rails: board.rails.map((r) => ({ ...r, pads: r.pads.filter((p) => !ends.has(p)) })),
    ports: board.ports.filter((p) => !gone.includes(p)),
    pads: board.pads.filter((p) => !ends.has(p.id)),
  };
}

function withPad(board: Board, read: PadRead, said: Omit<Said, 'placeOf'>): Board {
  const edge = read.edge ?? 'left';
  const { use, face, label } = read;
  switch (use.kind) {
    case 'talks':
    case 'hears':
      return withPortPad(board, read, use, said);
    case 'volts': {
      const known = railOf(board, use.volts);
      const made = known ? board : addRegulator(board, use.volts, edge);
      const rail = railOf(made, use.volts)!;
      return known ? addSupplyPad(board, rail.id, label, edge, face) : renamed(made, made.pads.at(-1)!.id, read);
    }
    case 'pack':
      return renamed(addGroup(board, 'pack supply', edge, face), null, read);
    case 'ground':
      return renamed(addGroup(board, 'ground', edge, face), null, read);
    case 'data':
    case 'clock':
      return busPad(board, 'I2C', 'i2c', use.kind === 'data' ? 0 : 1, read);
    case 'can high':
    case 'can low':
      return busPad(board, 'CAN', 'can', use.kind === 'can high' ? 0 : 1, read);
    case 'camera':
    case 'video out': {
      const made =
        board.video?.cameraIns[0] === undefined && board.video?.out === undefined
          ? addGroup(board, 'analogue video', edge, face)
          : board;
      const pad = use.kind === 'camera' ? made.video?.cameraIns[0] : made.video?.out;
      return pad ? renamed(made, pad, read) : made;
    }
    case 'light':
      return renamed(addGroup(board, 'light output', edge, face), null, read);
    case 'buzzer':
      return board.buzzerPad ? board : renamed(addGroup(board, 'buzzer', edge, face), null, read);
    case 'motor':
    case 'servo':
    case 'signal': {
      const kind = use.kind;
      const can = kind === 'signal' ? (['motor', 'servo'] as const) : ([kind] as const);
      const known = board.outputs.find((o) => o.label.toUpperCase() === label.toUpperCase());
      if (known) return known.pad ? renamed(board, known.pad, read) : board;
      const id = freeId(kind === 'motor' ? 'm' : 's', board.outputs);
      const pad = padId(board, id);
      const padded = addPads(board, edge, face, [{ id: pad, label }]);
      return {
        ...padded,
        outputs: [
          ...padded.outputs,
          { id, label: label.slice(0, 40), pad, timer: `timer for ${kind}s`, can: [...can] },
        ],
      };
    }
    case 'camera control': {
      if (board.video?.cameraControl !== undefined) return board;
      const pad = padId(board, 'cc');
      const padded = addPads(board, edge, face, [{ id: pad, label }]);
      return {
        ...padded,
        video: { cameraIns: [], overlayChip: { unknown: true }, ...padded.video, cameraControl: pad },
      };
    }
    case 'current':
    case 'signal strength':
    case 'air speed': {
      const { kind } = use;
      if (board.analogueInputs.some((i) => i.kind === kind)) return board;
      const name = kind.replace(' ', '-');
      const pad = padId(board, name);
      const padded = addPads(board, edge, face, [{ id: pad, label }]);
      const input = { id: freeId(name, board.analogueInputs), label: label.slice(0, 40), kind, pad, maxVolts: 3.3 };
      return { ...padded, analogueInputs: [...padded.analogueInputs, input] };
    }
    // Which port the line of the ESCs ends at no print says, nor which volts a buzzer's plus has.
    case 'telemetry':
    case 'buzzer plus':
      return board;
  }
}

/** A pad at the place and with the print of the page; null: the one that was added last. */
function renamed(board: Board, pad: string | null, { label, edge, face }: PadRead): Board {
  const id = pad ?? board.pads.at(-1)!.id;
  return {
    ...board,
    pads: board.pads.map((p): Pad => (p.id === id ? { ...p, label, face, edge: edge ?? p.edge } : p)),
  };
}

function busPad(board: Board, group: 'I2C' | 'CAN', kind: 'i2c' | 'can', at: 0 | 1, read: PadRead): Board {
  const made = board.buses.some((b) => b.kind === kind)
    ? board
    : addGroup(board, group, read.edge ?? 'left', read.face);
  const pad = made.buses.find((b) => b.kind === kind)!.pads[at];
  return pad ? renamed(made, pad, read) : made;
}

function withPortPad(
  board: Board,
  read: PadRead,
  { port: n, kind: way, sense: turned }: Extract<PadUse, { port: number }>,
  said: Omit<Said, 'placeOf'>,
): Board {
  const sense = turned ?? ('plain' as const);
  const id = `port${n}`;
  const pad = padId(board, `${way === 'talks' ? 't' : 'r'}${n}`);
  const had = board.ports.find((p) => p.id === id);
  // The port has such a pad already: another print of it is another pad of the same line.
  if (had && (way === 'talks' ? had.tx : had.rx).length >= 4) return board;
  const padded = addPads(board, read.edge ?? 'left', read.face, [{ id: pad, label: read.label }]);
  const tolerates =
    read.toleratesVolts === null
      ? {}
      : { toleratesVolts: { value: read.toleratesVolts, origin: said.origin, seen: said.seen, source: read.quote } };
  const port = had ?? { id, label: `Port ${n}`, rx: [], tx: [] };
  const grown =
    way === 'talks'
      ? { ...port, tx: [...port.tx, { pad, sense, twoWayInverter: false }] }
      : { ...port, rx: [...port.rx, { pad, sense }] };
  return {
    ...padded,
    pads: padded.pads.map((p) => (p.id === pad ? { ...p, ...tolerates } : p)),
    ports: had ? board.ports.map((p) => (p === had ? grown : p)) : [...board.ports, grown],
  };
}
