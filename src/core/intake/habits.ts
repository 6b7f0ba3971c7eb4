import type { Board } from '../records/board';
import { readingText } from './correct-reading';
import type { Reading } from './reading';

/** What was put right before on pages of one maker: a field, and how it was read and meant. */
export interface Habit {
  field: Reading['field'];
  /** The boards on which it was put right, with what was read and what was meant. */
  cases: { board: string; read: string; meant: string }[];
}

const mostCorrections = 40;

/** The board with a note that a reading was put right before it was taken. */
export function withCorrection(board: Board, reading: Reading, meant: Reading, seen: string): Board {
  const [read, right] = [readingText(reading), readingText(meant)];
  if (read === right) return board;
  const corrections = [
    ...(board.corrections ?? []),
    { field: reading.field, read: read.slice(0, 60), meant: right.slice(0, 60), seen },
  ];
  return { ...board, corrections: corrections.slice(-mostCorrections) };
}

/** What of a maker's pages had to be put right on the boards of the shelf, field by field; what was revoked is none. */
export function habitsOf(maker: string, boards: readonly Board[]): Habit[] {
  const habits = new Map<string, Habit>();
  for (const board of boards.filter((b) => b.maker.toLowerCase() === maker.toLowerCase()))
    for (const { field, read, meant, revoked } of board.corrections ?? []) {
      if (revoked) continue;
      const habit = habits.get(field) ?? { field: field as Reading['field'], cases: [] };
      habits.set(field, { ...habit, cases: [...habit.cases, { board: board.name, read, meant }] });
    }
  return [...habits.values()];
}

/** Readings of fields that this maker's pages got wrong before are doubted, with what happened then. */
export function doubtedByHabit(readings: readonly Reading[], habits: readonly Habit[]): Reading[] {
  return readings.map((r) => {
    const last = habits.find((h) => h.field === r.field)?.cases.at(-1);
    if (!last || r.doubt !== 'sure') return r;
    return {
      ...r,
      doubt: 'likely',
      why: `on ${last.board} this maker's ${last.read} had to be put right to ${last.meant}`,
    };
  });
}

/** The boards of a maker on which a habit is revoked, with it revoked: for the shelf to save. */
export function withoutHabit(maker: string, field: string, boards: readonly Board[]): Board[] {
  return boards
    .filter(
      (b) =>
        b.maker.toLowerCase() === maker.toLowerCase() && b.corrections?.some((c) => c.field === field && !c.revoked),
    )
    .map((b) => ({
      ...b,
      corrections: b.corrections!.map((c) => (c.field === field ? { ...c, revoked: true as const } : c)),
    }));
}
