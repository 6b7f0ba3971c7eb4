import type { Board } from '../records/board';
import type { Build, Part } from '../records/build';
import type { Mode } from '../records/peripheral';
import { speakTogether } from '../trade/radio';

/** The way of a part whose job the board does itself: nothing is wired, bought or carried. */
export const onBoardMode = 'on-board';

/** Receivers may be left at the shop where the board has one that speaks what the buyer's radio speaks: one more way for them. */
export function servedOnBoard(build: Build, board: Board): Build {
  return speakTogether(build.radio, board.receiver) === 'yes' ? withReceiverLeft(build) : build;
}

/** The same for a board of which nothing is known yet. There is one receiver on it at most, so it serves the first of them. */
export function withReceiverLeft(build: Build): Build {
  const first = build.parts.find((p) => p.peripheral.kind === 'receiver');
  if (!first) return build;
  return { ...build, parts: build.parts.map((p) => (p === first ? withWay(p) : p)) };
}

function withWay(part: Part): Part {
  const mode: Mode = {
    id: onBoardMode,
    label: "the board's own receiver",
    links: [],
    supplies: [],
    cents: 0,
    grams: 0,
    effort: 0,
    lost: ['its aerial sits where the board is'],
  };
  return { ...part, peripheral: { ...part.peripheral, modes: [...part.peripheral.modes, mode] } };
}

/** Does the board do this part's job, so that the part itself stays at the shop? */
export function isOnBoard(part: { mode: { id: string } | null }): boolean {
  return part.mode?.id === onBoardMode;
}
