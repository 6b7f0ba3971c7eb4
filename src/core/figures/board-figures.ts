import { gyroNoises, motorLines, screwSchema, type Board } from '../records/board';
import { processorFamilies } from '../trade/processor';
import { unknownEsc } from '../records/new-board';
import { isUnknown, originOf, type AnyFigure, type NumberFigure, type Origin } from '../quantity/figure';

/** A figure of a board by name: how to find it, how to put another in its place, and what to ask a seller who does not state it. */
export interface BoardFigure {
  field: string;
  says: string;
  unit: string;
  ask: string;
  /** The words it may have, where it is no number and no yes or no. */
  words?: readonly string[];
  get: (b: Board) => AnyFigure | undefined;
  set: (b: Board, f: never) => Board;
}

function figure(
  field: string,
  says: string,
  unit: string,
  ask: string,
  get: BoardFigure['get'],
  set: (b: Board, f: never) => Board,
): BoardFigure {
  return { field, says, unit, ask, get, set };
}

const oneOf = (words: readonly string[], f: BoardFigure): BoardFigure => ({ ...f, words });
const top = <K extends keyof Board>(key: K, says: string, unit: string, ask: string): BoardFigure =>
  figure(
    key,
    says,
    unit,
    ask,
    (b) => b[key] as AnyFigure,
    (b, f) => ({ ...b, [key]: f }),
  );
const inEsc = (
  key: 'channels' | 'continuousAmps' | 'burstAmps' | 'burstSeconds',
  says: string,
  unit: string,
  ask: string,
): BoardFigure =>
  figure(
    `esc.${key}`,
    says,
    unit,
    ask,
    (b) => b.esc?.[key],
    (b, f) => ({ ...b, esc: { ...(b.esc ?? unknownEsc), [key]: f } }),
  );

/** Every single figure of a board, in the order in which a buyer meets them. Ports, pads and rails have places of their own. */
export const boardFigures: readonly BoardFigure[] = [
  top(
    'allPads',
    'All pads are drawn',
    '',
    'Which pads are there besides those drawn (a picture of both sides says it)?',
  ),
  oneOf(processorFamilies, top('processor', 'Processor family', '', 'Which processor is on the board?')),
  top(
    'claimedPorts',
    'Serial ports, as the shop counts them',
    '',
    'How many serial ports are brought out, and which of them are taken?',
  ),
  figure(
    'packCells.min',
    'Fewest cells',
    'cells',
    'From how many cells does it start?',
    (b) => b.packCells.min,
    (b, f) => ({ ...b, packCells: { ...b.packCells, min: f } }),
  ),
  figure(
    'packCells.max',
    'Most cells',
    'cells',
    'How many cells does it survive?',
    (b) => b.packCells.max,
    (b, f) => ({ ...b, packCells: { ...b.packCells, max: f } }),
  ),
  top('packMaxVolts', 'Most volts at the pack pads', 'V', 'What is the absolute limit at the pack pads in volts?'),
  inEsc('channels', 'ESC channels', '', 'How many motors does the ESC drive?'),
  inEsc('continuousAmps', 'Continuous amps a channel', 'A', 'How many amps does a channel carry without end?'),
  inEsc('burstAmps', 'Burst amps a channel', 'A', 'How many amps for a burst?'),
  inEsc('burstSeconds', 'Burst seconds', 's', 'For how many seconds is the burst rating meant?'),
  figure(
    'esc.drivenByOutputs',
    'Motor pads drive the ESC',
    '',
    'Do the motor outputs on pads drive the ESC on the board, or has it lines of its own?',
    // A stack's harness carries them; without motor pads there is nothing to ask.
    (b) =>
      b.esc && b.kind !== 'stack' && b.outputs.some((o) => o.can.includes('motor'))
        ? (b.esc.drivenByOutputs ?? { unknown: true })
        : b.esc?.drivenByOutputs,
    (b, f) => ({ ...b, esc: { ...(b.esc ?? unknownEsc), drivenByOutputs: f } }),
  ),
  oneOf(
    motorLines,
    figure(
      'motorLine',
      'What runs on the motor wires',
      '',
      'Which signal do the ESCs take on the motor wires, and does it report back?',
      (b) => (b.esc ? (b.motorLine ?? { unknown: true }) : b.motorLine),
      (b, f) => ({ ...b, motorLine: f }),
    ),
  ),
  figure(
    'currentSensor.fullScaleAmps',
    'Sensor full scale',
    'A',
    'Up to how many amps does the current sensor read?',
    (b) => b.currentSensor?.fullScaleAmps,
    (b, f) => ({ ...b, currentSensor: { ...b.currentSensor, fullScaleAmps: f } }),
  ),
  figure(
    'mounting.patternMm',
    'Hole pattern',
    'mm',
    'What is the distance between the holes?',
    (b) => b.mounting.patternMm,
    (b, f) => ({ ...b, mounting: { ...b.mounting, patternMm: f } }),
  ),
  oneOf(
    screwSchema.options,
    figure(
      'mounting.screw',
      'Screw',
      '',
      'Which screws do the holes take?',
      (b) => b.mounting.screw,
      (b, f) => ({ ...b, mounting: { ...b.mounting, screw: f } }),
    ),
  ),
  figure(
    'mounting.softIsolators',
    'Soft isolators',
    '',
    'Are soft isolators delivered?',
    (b) => b.mounting.softIsolators,
    (b, f) => ({ ...b, mounting: { ...b.mounting, softIsolators: f } }),
  ),
  top('lengthMm', 'Length', 'mm', 'How long is it?'),
  top('widthMm', 'Width', 'mm', 'How wide is it?'),
  top('heightMm', 'Height', 'mm', 'How high does it build, plugs included?'),
  top('massG', 'Mass', 'g', 'What does it weigh, and with what?'),
  figure(
    'video.overlayChip',
    'Overlay chip',
    '',
    'Is there an overlay chip on board?',
    (b) => b.video?.overlayChip,
    (b, f) => ({ ...b, video: { ...(b.video ?? { cameraIns: [] }), overlayChip: f } }),
  ),
  top('barometer', 'Barometer', '', 'Is there a barometer?'),
  top('storageMb', 'Storage', 'MB', 'How much can it log?'),
  oneOf(gyroNoises, top('gyroNoise', 'Gyro noise', '', 'Which gyro is on board?')),
];

/** The figures of a board's regulators, rail by rail. */
export function railFigures(board: Board): BoardFigure[] {
  return board.rails.flatMap(({ source, label }, i) => {
    if (source.kind !== 'regulator') return [];
    const of = (key: 'outVolts' | 'ratedAmps' | 'dropOutVolts', says: string, unit: string, ask: string) =>
      figure(
        `rails[${i}].source.${key}`,
        `${label}, ${says}`,
        unit,
        ask,
        (b) => (b.rails[i]!.source as typeof source)[key],
        (b, f) => ({
          ...b,
          rails: b.rails.map((r, n) => (n === i ? { ...r, source: { ...(r.source as typeof source), [key]: f } } : r)),
        }),
      );
    return [
      of('outVolts', 'volts', 'V', `What does ${label} give in volts?`),
      of('ratedAmps', 'amps', 'A', `How many amps does ${label} give without end?`),
      of('dropOutVolts', 'drop-out', 'V', `How far above its output must the input of ${label} stay?`),
    ];
  });
}

export interface Completeness {
  known: number;
  total: number;
  missing: { field: string; says: string; ask: string }[];
  origins: Partial<Record<Origin | 'unknown', number>>;
}

/** How many of a board's figures are known, whose word they are, and what is still to find out. What a board does not have (an ESC) is not missed. */
export function completenessOf(board: Board): Completeness {
  const found: Completeness = { known: 0, total: 0, missing: [], origins: {} };
  const count = (f: AnyFigure, field: string, says: string, ask: string) => {
    found.total += 1;
    const origin = originOf(f as NumberFigure);
    found.origins[origin] = (found.origins[origin] ?? 0) + 1;
    if (isUnknown(f)) found.missing.push({ field, says, ask });
    else found.known += 1;
  };
  for (const { field, says, ask, get } of boardFigures) {
    const f = get(board);
    if (f) count(f, field, says, ask);
  }
  for (const { field, says, ask, get } of railFigures(board)) count(get(board)!, field, says, ask);
  return found;
}
