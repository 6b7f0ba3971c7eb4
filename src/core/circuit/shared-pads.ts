import type { Board } from '../records/board';

const found = new WeakMap<Board, Set<string>>();

/** Pads that serve more than one function of the board, of which one at a time: an output that is also a port's talking pad, say. */
export function sharedPads(board: Board): Set<string> {
  let shared = found.get(board);
  if (!shared) {
    const uses = [
      ...board.ports.map((p) => [...p.rx, ...p.tx].map((e) => e.pad)),
      ...board.outputs.map((o) => [o.pad]),
      ...board.analogueInputs.map((a) => [a.pad]),
      // A bus that shares a port says so by `sharesPort`.
      ...board.buses.filter((b) => !b.sharesPort).map((b) => b.pads),
    ].flatMap((pads) => [...new Set(pads)]);
    shared = new Set(uses.filter((p, i) => uses.indexOf(p) !== i));
    found.set(board, shared);
  }
  return shared;
}
