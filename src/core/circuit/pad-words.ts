import type { Board } from '../records/board';
import { memberView } from './member-view';
import { faceOf, type DrawnPad } from './face';

/** The words for each pad of a board, worked out once. */
const known = new WeakMap<Board, Map<string, string>>();

/**
 * Which pad is meant, as printed, and where it is printed more than once also where: "GND at the left", "2nd 5V from the left at the front"; on the underside as it is seen
 * from below. `board` as it lies in the frame.
 */
export function padWords(board: Board, padId: string): string {
  let words = known.get(board);
  if (!words) known.set(board, (words = wordsOf(board)));
  return words.get(padId) ?? '?';
}

function wordsOf(board: Board): Map<string, string> {
  if (!board.members) return wordsOfOne(board);
  // The controller's pads need no name of a board: most wires end there.
  const on = (role: string, name: string) => (role === 'controller' ? '' : `, ${name}`);
  return new Map(
    board.members.flatMap((m) =>
      [...wordsOfOne(memberView(m))].map(([pad, words]) => [pad, `${words}${on(m.role, m.board.name)}`] as const),
    ),
  );
}

function wordsOfOne(board: Board): Map<string, string> {
  const labels = new Map<string, number>();
  for (const p of board.pads) labels.set(p.label, (labels.get(p.label) ?? 0) + 1);
  const words = new Map<string, string>();
  for (const face of ['top', 'bottom'] as const) {
    const { pads } = faceOf(board, face);
    const side = face === 'bottom' ? ' (underside)' : '';
    for (const pad of pads) {
      const at = labels.get(pad.label) === 1 ? pad.label : placed(pad, pads);
      words.set(pad.id, `${at}${side}`);
    }
  }
  return words;
}

function placed(pad: DrawnPad, pads: readonly DrawnPad[]): string {
  const alike = pads.filter((p) => p.edge === pad.edge && p.label === pad.label).sort((a, b) => a.share - b.share);
  const where = pad.edge === 'inner' ? 'in the middle' : `at the ${pad.edge}`;
  if (alike.length === 1) return `${pad.label} ${where}`;
  const from = pad.edge === 'left' || pad.edge === 'right' ? 'nose' : 'left';
  return `${ordinal(alike.indexOf(pad) + 1)} ${pad.label} from the ${from} ${where}`;
}

function ordinal(n: number): string {
  const end = n % 100 >= 11 && n % 100 <= 13 ? 0 : n % 10;
  return `${n}${['th', 'st', 'nd', 'rd'][end] ?? 'th'}`;
}
