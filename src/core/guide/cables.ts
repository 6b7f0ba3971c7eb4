import type { Wire } from '../bill/wire-list';
import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { plugFamily } from '../trade/plug';

export interface CableEnd {
  plug: string;
  family: string;
  pins: { number: number; name: string; colour?: string }[];
}

/** A cable from a plug of the board to the plug of a part, wire by wire. */
export interface Cable {
  partName: string;
  board: CableEnd;
  part: CableEnd | null;
  /** Pin numbers at both ends; null: this line has no pin of that name at the part's plug. */
  lines: { board: number; part: number | null }[];
  /** Does a straight cable of one family do? */
  straight: boolean;
}

/** The cables that parts want which are wired to pins of a plug: with both pin orders, since plugs of one family are not always wired alike. */
export function cablesOf(build: Build, board: Board, wires: readonly Wire[]): Cable[] {
  return board.plugs.flatMap((plug) => {
    const number = (pad: string | null) => plug.pins.findIndex((p) => pad !== null && p.pad === pad) + 1;
    const here = wires.filter((w) => number(w.padId) > 0 && board.pads.find((p) => p.id === w.padId)?.form === 'pin');
    return [...new Set(here.map((w) => w.part))].map((id): Cable => {
      const mine = here.filter((w) => w.part === id);
      const theirs = build.parts.find((p) => p.id === id)?.peripheral.plugs[0];
      const lines = mine
        .map((w) => {
          const at = theirs?.pins.findIndex((p) => p.name === w.pin.name) ?? -1;
          return { board: number(w.padId), part: at < 0 ? null : at + 1 };
        })
        .sort((a, b) => a.board - b.board);
      const alike = theirs !== undefined && familyOf(theirs.family) === familyOf(plug.family);
      return {
        partName: mine[0]!.partName,
        board: {
          plug: plug.label,
          family: plug.family,
          pins: plug.pins.map((p, i) => ({ number: i + 1, name: p.name })),
        },
        part: theirs
          ? {
              plug: 'its own plug',
              family: theirs.family,
              pins: theirs.pins.map(({ name, colour }, i) => ({
                number: i + 1,
                name,
                ...(colour === undefined ? {} : { colour }),
              })),
            }
          : null,
        lines,
        straight: alike && lines.every((l) => l.board === l.part),
      };
    });
  });
}

function familyOf(written: string): string {
  return plugFamily(written)?.family ?? written.trim().toUpperCase();
}

/** One line of a cable in words. */
export function cableWords({ board, part, lines }: Cable): string {
  return lines
    .map((l) => {
      const from = board.pins[l.board - 1]!;
      const to = l.part === null ? undefined : part?.pins[l.part - 1];
      const end = to
        ? ` to pin ${to.number} ${to.name}${to.colour ? ` (${to.colour})` : ''}`
        : ', soldered to the part';
      return `pin ${from.number} ${from.name}${end}`;
    })
    .join('; ');
}
