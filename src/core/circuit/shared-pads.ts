import type { Board } from '../records/board';

const found = new WeakMap<Board, Set<string>>();
const powered = new WeakMap<Board, Set<string>>();

/** Pads that serve more than one function of the board, of which one at a time: an output that is also a port's talking pad, say. */
export function sharedPads(board: Board): Set<string> {
  let shared = found.get(board);
  if (!shared) {
    const pads = functionsOf(board).flatMap((uses) => [...new Set(uses)]);
    shared = new Set(pads.filter((p, i) => pads.indexOf(p) !== i));
    found.set(board, shared);
  }
  return shared;
}

/** The signal pads of each function of the board, a port's two sides counted apart: two links may use them. */
function functionsOf({ ports, outputs, analogueInputs, buses, video, buzzerPad }: Board): string[][] {
  const single = [...(video?.cameraIns ?? []), video?.out, video?.cameraControl, buzzerPad];
  return [
    ...ports.flatMap((p) => [p.rx.map((e) => e.pad), p.tx.map((e) => e.pad)]),
    ...outputs.map((o) => [o.pad]),
    ...analogueInputs.map((a) => [a.pad]),
    ...buses.map((b) => busPads(b, ports)),
    ...single.flatMap((pad) => (pad === undefined ? [] : [[pad]])),
  ];
}

/** Pads of a supply or of ground: whatever else a file calls them, no signal goes over them. What measures the pack may sit on its pad. */
export function supplyPads(board: Board): Set<string> {
  let pads = powered.get(board);
  if (!pads) powered.set(board, (pads = new Set([...board.rails.flatMap((r) => r.pads), ...board.grounds])));
  return pads;
}

/** The pads of a bus; where it shares a port, those of the port too. */
export function busPads(bus: Board['buses'][number], ports: Board['ports']): string[] {
  const port = ports.find((p) => p.id === bus.sharesPort);
  return [...bus.pads, ...(port ? [...port.rx, ...port.tx].map((e) => e.pad) : [])];
}
