import type { Board } from '../records/board';
import type { BoardFigure } from './board-figures';
import { plausibleEnds } from './plausible-ends';

const onTheBench = { how: 'Load the rail with a resistor and read the volts at the pad.', ease: 3 as const };

/** The figures of a board's regulators, rail by rail. */
export function railFigures(board: Board): BoardFigure[] {
  return board.rails.flatMap(({ source, label }, i): BoardFigure[] => {
    if (source.kind !== 'regulator') return [];
    const of = (
      key: 'outVolts' | 'ratedAmps' | 'dropOutVolts',
    ): Pick<BoardFigure, 'field' | 'get' | 'set' | 'measure'> => ({
      field: `rails[${i}].source.${key}`,
      measure: onTheBench,
      get: (b) => (b.rails[i]!.source as typeof source)[key],
      set: (b, f) => ({
        ...b,
        rails: b.rails.map((r, n) => (n === i ? { ...r, source: { ...(r.source as typeof source), [key]: f } } : r)),
      }),
    });
    return [
      {
        ...of('outVolts'),
        says: `${label}, volts`,
        unit: 'V',
        ask: `What does ${label} give in volts?`,
        plausible: [3, 12],
        logged: true,
      },
      {
        ...of('ratedAmps'),
        says: `${label}, amps`,
        unit: 'A',
        ask: `How many amps does ${label} give without end?`,
        plausible: [0.1, 8],
        logged: true,
      },
      {
        ...of('dropOutVolts'),
        says: `${label}, drop-out`,
        unit: 'V',
        ask: `How far above its output must the input of ${label} stay?`,
        plausible: plausibleEnds.dropOutVolts.ends,
      },
    ];
  });
}
