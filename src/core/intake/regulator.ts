import { addGroup } from '../records/new-board';
import type { Board, Pad } from '../records/board';

/** The rail of the regulator that is known to give these volts. */
export function railOf(board: Board, volts: number): Board['rails'][number] | undefined {
  return board.rails.find(
    (r) => r.source.kind === 'regulator' && 'value' in r.source.outVolts && r.source.outVolts.value === volts,
  );
}

/** A regulator with a pad, of which the volts are known by its name. */
export function addRegulator(board: Board, volts: number, edge: Pad['edge'] = 'front'): Board {
  const made = addGroup(board, volts === 5 ? '5 V regulator' : '9 V regulator', edge);
  const rail = made.rails.at(-1)!;
  return {
    ...made,
    rails: made.rails.map((r) =>
      r.id === rail.id && r.source.kind === 'regulator'
        ? { ...r, label: `${volts} V`, source: { ...r.source, outVolts: { value: volts, origin: 'print' as const } } }
        : r,
    ),
    pads: made.pads.map((p) => (p.id === rail.pads[0] ? { ...p, label: `${volts}V` } : p)),
  };
}
