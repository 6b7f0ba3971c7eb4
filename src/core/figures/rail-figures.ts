import { isUnknown } from '../quantity/figure';
import type { Board } from '../records/board';
import type { BoardFigure } from './board-figures';
import { plausibleEnds } from './plausible-ends';
import { sharedLabel } from '../records/shared-limit';

const onTheBench = { how: 'Load the rail with a resistor and read the volts at the pad.', ease: 3 as const };

type Source = Extract<Board['rails'][number]['source'], { kind: 'regulator' }>;
type InputVolts = NonNullable<Source['inputVolts']>;

/** Where neither end is said any more, nothing is said of the input. */
function withInput(source: Source, next: Partial<InputVolts>): Source {
  const unsaid = { unknown: true as const };
  const inputVolts = { min: unsaid, max: unsaid, ...source.inputVolts, ...next };
  const { inputVolts: _, ...without } = source;
  return isUnknown(inputVolts.min) && isUnknown(inputVolts.max) ? without : { ...source, inputVolts };
}

/** The figures of a board's regulators, rail by rail, and of what several carry together. */
export function railFigures(board: Board): BoardFigure[] {
  return [...ofEachRail(board), ...sharedFigures(board)];
}

function sharedFigures(board: Board): BoardFigure[] {
  return (board.sharedLimits ?? []).map((limit, i) => {
    const label = sharedLabel(board, limit);
    return {
      field: `sharedLimits[${i}].amps`,
      says: `${label}, amps`,
      unit: 'A',
      ask: `How many amps do ${label} give without end?`,
      plausible: [0.1, 20],
      measure: onTheBench,
      get: (b) => b.sharedLimits?.[i]?.amps,
      set: (b, f) => ({
        ...b,
        sharedLimits: b.sharedLimits?.map((l, n) => (n === i ? { ...l, amps: f as typeof l.amps } : l)),
      }),
    };
  });
}

function ofEachRail(board: Board): BoardFigure[] {
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
        plausible: [3.3, 5, 9, 12],
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
      ...(['min', 'max'] as const).map((end): BoardFigure => ({
        field: `rails[${i}].source.inputVolts.${end}`,
        says: `${label}, ${end === 'min' ? 'least' : 'most'} volts at its input`,
        unit: 'V',
        ask: `${end === 'min' ? 'From' : 'Up to'} how many volts at its input does ${label} work?`,
        plausible: plausibleEnds[end === 'min' ? 'leastInputVolts' : 'mostInputVolts'].ends,
        get: (b) => (b.rails[i]!.source as typeof source).inputVolts?.[end],
        set: (b, f) => ({
          ...b,
          rails: b.rails.map((r, n) =>
            n === i ? { ...r, source: withInput(r.source as typeof source, { [end]: f } as Partial<InputVolts>) } : r,
          ),
        }),
      })),
    ];
  });
}
