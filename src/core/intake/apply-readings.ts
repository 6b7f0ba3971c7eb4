import type { Board } from '../records/board';
import { figureWords, type AnyFigure, type Origin } from '../quantity/figure';
import { figureOfSpec } from '../figures/board-figures';
import { addGroup } from '../records/new-board';
import { addRegulator, railOf } from './regulator';
import { heard } from '../quantity/word';
import type { Place } from '../quantity/place';
import type { Reading } from './reading';

/** Whose word it is and when it was read. */
export interface Said {
  origin: Origin;
  seen: string;
  /** Where a reading stands in a source that the board keeps. */
  placeOf?: (reading: Reading) => Place;
}

/** The board with the confirmed readings in place, each with its quote, and what stood there before in the history. */
export function applyReadings(board: Board, readings: readonly Reading[], said: Said): Board {
  return readings.reduce((b, r) => applyOne(b, r, said), board);
}

function applyOne(board: Board, r: Reading, said: Said): Board {
  const { origin, seen, placeOf } = said;
  const words = { origin, seen, source: r.quote.slice(0, 400), ...(placeOf ? { place: placeOf(r) } : {}) };
  switch (r.field) {
    case 'massIncludes':
      return noted(board, 'massIncludes', board.massIncludes ?? 'nothing', String(r.value), r, said, {
        massIncludes: String(r.value),
      });
    case 'usbPlug':
      return noted(board, 'usb.plug', board.usb.plug, String(r.value), r, said, {
        usb: { ...board.usb, plug: r.value === 'micro' ? 'micro' : 'C' },
      });
    case 'takenPort': {
      const id = `port${r.value}`;
      if (!board.ports.some((p) => p.id === id)) return board;
      return noted(board, `${id}.taken`, 'free', 'taken', r, said, {
        ports: board.ports.map((p) => (p.id === id ? { ...p, taken: { by: `the page: "${r.quote}"` } } : p)),
      });
    }
    case 'regulators': {
      const [volts, amps] = String(r.value).split('@').map(Number) as [number, number];
      const known = railOf(board, volts);
      const base = known ? board : addRegulator(board, volts);
      const rail = known ?? base.rails.at(-1)!;
      const rated = { value: amps, ...words };
      const rails = base.rails.map((x) =>
        x.id === rail.id && x.source.kind === 'regulator'
          ? {
              ...x,
              source: {
                ...x.source,
                ratedAmps: heard(known ? x.source.ratedAmps : undefined, rated) as typeof rated,
                ...(known ? {} : { outVolts: { value: volts, ...words } }),
              },
            }
          : x,
      );
      const before = known?.source.kind === 'regulator' ? figureWords(known.source.ratedAmps, 'A') : 'no such rail';
      return noted(base, `${rail.label}, amps`, before, `${amps} A`, r, said, { rails });
    }
    default: {
      const figure = figureOfSpec(r.field);
      const made = heard(figure.get(board), { value: r.value, ...words } as AnyFigure);
      const placed = figure.set(board, made as never);
      const done = noted(
        placed,
        figure.field,
        figureWords(figure.get(board), figure.unit),
        figureWords(made as never, figure.unit),
        r,
        said,
        {},
      );
      // A count of ports without any ports drawn yet: they are laid along the left edge, to be corrected.
      if (r.field !== 'claimedPorts' || done.ports.length > 0) return done;
      return Array.from({ length: Math.min(12, Number(r.value)) }).reduce<Board>(
        (b) => addGroup(b, 'port', 'left'),
        done,
      );
    }
  }
}

function noted(
  board: Board,
  field: string,
  before: string,
  after: string,
  r: Reading,
  said: Said,
  change: Partial<Board>,
): Board {
  return {
    ...board,
    ...change,
    history: [
      ...board.history,
      { when: said.seen, field: field.slice(0, 40), before, after, who: `${said.origin}: "${r.quote.slice(0, 200)}"` },
    ].slice(-500),
  };
}
