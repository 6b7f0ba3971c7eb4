import { type AnyFigure } from '../quantity/figure';
import { gyroNoises, motorLines, screws } from '../records/board-lists';
import type { Board } from '../records/board';
import { unknownEsc, unknownPattern } from '../records/unknown-figures';
import { processorFamilies } from '../trade/processor';
import type { SpecField } from './spec-field';

/** All that is known of one figure of a board, in one place: how to find and set it, what to call and ask, what it may be, how to find it out. */
export interface BoardFigure {
  /** Its key everywhere: its path in the file, but for the hole pattern, which keeps the name it had in version 1. */
  field: string;
  says: string;
  /** Follows the number; empty for words, counts, and yes or no. */
  unit: string;
  /** What to ask a seller who does not state it. */
  ask: string;
  /** The words it may have, where it is no number and no yes or no. */
  words?: readonly string[];
  /**
   * What is worth trying while nobody says it. Numbers: both ends of what is sold, since the rules are monotone in them; usual values in between where a rule against
   * figures that cannot be true reads it. Words and yes or no: all of them. Left out where it is never asked.
   */
  plausible?: readonly (number | string | boolean)[];
  /** Comes in whole numbers, or (pattern) in the steps of what is made. */
  steps?: 'whole' | 'made';
  /** How to find it out at home: 1 read or weigh, 3 wants a bench. */
  measure?: { how: string; ease: 1 | 3 };
  /** A reading of the logbook may be of it. */
  logged?: boolean;
  /** Only a board with a processor has it: an ESC or a power board is not asked. */
  ofControllers?: true;
  /** What the reader of spec sheets calls it. */
  spec?: SpecField;
  get: (b: Board) => AnyFigure | undefined;
  set: (b: Board, f: never) => Board;
}

const yesOrNo = [true, false];
const calliper = { how: 'Measure it with a calliper.', ease: 1 as const };

const top = <K extends keyof Board>(key: K): Pick<BoardFigure, 'field' | 'get' | 'set'> => ({
  field: key,
  get: (b) => b[key] as AnyFigure,
  set: (b, f) => ({ ...b, [key]: f }),
});
const inEsc = (
  key: 'channels' | 'continuousAmps' | 'burstAmps' | 'burstSeconds',
): Pick<BoardFigure, 'field' | 'get' | 'set'> => ({
  field: `esc.${key}`,
  get: (b) => b.esc?.[key],
  set: (b, f) => ({ ...b, esc: { ...(b.esc ?? unknownEsc), [key]: f } }),
});
/** Of the first hole pattern: most boards have one, and a board that is taped down none. */
const inPattern = (
  field: string,
  key: 'alongMm' | 'acrossMm' | 'screw',
): Pick<BoardFigure, 'field' | 'get' | 'set'> => ({
  field: `mounting.${field}`,
  get: (b) => b.mounting.patterns[0]?.[key],
  set: (b, f) => {
    const [first = unknownPattern, ...others] = b.mounting.patterns;
    return { ...b, mounting: { ...b.mounting, patterns: [{ ...first, [key]: f }, ...others] } };
  },
});
const inCells = (key: 'min' | 'max'): Pick<BoardFigure, 'field' | 'get' | 'set'> => ({
  field: `packCells.${key}`,
  get: (b) => b.packCells[key],
  set: (b, f) => ({ ...b, packCells: { ...b.packCells, [key]: f } }),
});

/** Every single figure of a board, in the order in which a buyer meets them. Ports, pads and rails have places of their own. */
export const boardFigures: readonly BoardFigure[] = [
  {
    ...top('allPads'),
    says: 'All pads are drawn',
    unit: '',
    ask: 'Which pads are there besides those drawn (a picture of both sides says it)?',
  },
  {
    ...top('processor'),
    ofControllers: true,
    says: 'Processor family',
    unit: '',
    ask: 'Which processor is on the board?',
    words: processorFamilies,
    plausible: processorFamilies,
    measure: { how: 'Read the print on the largest chip.', ease: 1 },
    spec: 'processor',
  },
  {
    ...top('claimedPorts'),
    ofControllers: true,
    says: 'Serial ports, as the shop counts them',
    unit: '',
    ask: 'How many serial ports are brought out, and which of them are taken?',
    plausible: [1, 3, 5, 8],
    steps: 'whole',
    spec: 'claimedPorts',
  },
  {
    ...inCells('min'),
    says: 'Fewest cells',
    unit: 'cells',
    ask: 'From how many cells does it start?',
    plausible: [1, 14],
    steps: 'whole',
    logged: true,
    spec: 'cellsMin',
  },
  {
    ...inCells('max'),
    says: 'Most cells',
    unit: 'cells',
    ask: 'How many cells does it survive?',
    plausible: [1, 14],
    steps: 'whole',
    logged: true,
    spec: 'cellsMax',
  },
  {
    ...top('packMaxVolts'),
    says: 'Most volts at the pack pads',
    unit: 'V',
    ask: 'What is the absolute limit at the pack pads in volts?',
    plausible: [5, 70],
    logged: true,
    spec: 'packMaxVolts',
  },
  {
    ...inEsc('channels'),
    says: 'ESC channels',
    unit: '',
    ask: 'How many motors does the ESC drive?',
    plausible: [1, 8],
    steps: 'whole',
  },
  {
    ...inEsc('continuousAmps'),
    says: 'Continuous amps a channel',
    unit: 'A',
    ask: 'How many amps does a channel carry without end?',
    plausible: [3, 150],
    logged: true,
    spec: 'continuousAmps',
  },
  {
    ...inEsc('burstAmps'),
    says: 'Burst amps a channel',
    unit: 'A',
    ask: 'How many amps for a burst?',
    plausible: [3, 25, 60, 200],
    logged: true,
    spec: 'burstAmps',
  },
  {
    ...inEsc('burstSeconds'),
    says: 'Burst seconds',
    unit: 's',
    ask: 'For how many seconds is the burst rating meant?',
    plausible: [0, 60],
    logged: true,
    spec: 'burstSeconds',
  },
  {
    field: 'esc.drivenByOutputs',
    ofControllers: true,
    says: 'Motor pads drive the ESC',
    unit: '',
    ask: 'Do the motor outputs on pads drive the ESC on the board, or has it lines of its own?',
    plausible: yesOrNo,
    // A stack's harness carries them; without motor pads there is nothing to ask.
    get: (b) =>
      b.esc && b.kind !== 'stack' && b.outputs.some((o) => o.can.includes('motor'))
        ? (b.esc.drivenByOutputs ?? { unknown: true })
        : b.esc?.drivenByOutputs,
    set: (b, f) => ({ ...b, esc: { ...(b.esc ?? unknownEsc), drivenByOutputs: f } }),
  },
  {
    field: 'motorLine',
    says: 'What runs on the motor wires',
    unit: '',
    ask: 'Which signal do the ESCs take on the motor wires, and does it report back?',
    words: motorLines,
    plausible: motorLines,
    get: (b) => (b.esc ? (b.motorLine ?? { unknown: true }) : b.motorLine),
    set: (b, f) => ({ ...b, motorLine: f }),
  },
  {
    field: 'currentSensor.fullScaleAmps',
    says: 'Sensor full scale',
    unit: 'A',
    ask: 'Up to how many amps does the current sensor read?',
    plausible: [5, 1000],
    logged: true,
    spec: 'sensorAmps',
    get: (b) => b.currentSensor?.fullScaleAmps,
    set: (b, f) => ({ ...b, currentSensor: { ...b.currentSensor, fullScaleAmps: f } }),
  },
  {
    ...inPattern('patternMm', 'alongMm'),
    says: 'Hole pattern',
    unit: 'mm',
    ask: 'What is the distance between the holes?',
    plausible: [16, 20, 25.5, 30.5],
    steps: 'made',
    measure: { how: 'Measure from hole centre to hole centre.', ease: 1 },
    logged: true,
    spec: 'patternMm',
  },
  {
    ...inPattern('acrossMm', 'acrossMm'),
    says: 'Hole pattern across, where it is not square',
    unit: 'mm',
    ask: 'What is the distance between the holes across the board?',
    plausible: [16, 20, 24, 25.5, 30.5],
    steps: 'made',
    measure: { how: 'Measure from hole centre to hole centre.', ease: 1 },
    logged: true,
  },
  {
    ...inPattern('screw', 'screw'),
    says: 'Screw',
    unit: '',
    ask: 'Which screws do the holes take?',
    words: screws,
    plausible: screws,
    measure: { how: 'Try an M3 screw: if it does not pass, it is M2.', ease: 1 },
    spec: 'screw',
  },
  {
    field: 'mounting.softIsolators',
    get: (b) => b.mounting.softIsolators,
    set: (b, f) => ({ ...b, mounting: { ...b.mounting, softIsolators: f } }),
    says: 'Soft isolators',
    unit: '',
    ask: 'Are soft isolators delivered?',
    plausible: yesOrNo,
  },
  {
    ...top('compass'),
    ofControllers: true,
    says: 'Compass',
    unit: '',
    ask: 'Is there a compass on the board?',
    plausible: yesOrNo,
  },
  {
    field: 'esc.telemetry',
    says: 'ESC telemetry',
    unit: '',
    ask: 'Does the ESC send its telemetry on a wire?',
    plausible: yesOrNo,
    get: (b) => (b.kind === 'esc' ? (b.esc?.telemetry ?? { unknown: true as const }) : b.esc?.telemetry),
    set: (b, f) => ({ ...b, esc: { ...(b.esc ?? unknownEsc), telemetry: f } }),
  },
  {
    field: 'esc.wantsMicrofarads',
    says: 'Capacitor that the ESC asks for',
    unit: 'uF',
    ask: 'What capacitor does the maker ask for at the pack leads?',
    get: (b) => b.esc?.wantsMicrofarads,
    set: (b, f) => ({ ...b, esc: { ...(b.esc ?? unknownEsc), wantsMicrofarads: f } }),
  },
  {
    ...top('lengthMm'),
    says: 'Length',
    unit: 'mm',
    ask: 'How long is it?',
    plausible: [10, 80],
    measure: calliper,
    logged: true,
    spec: 'lengthMm',
  },
  {
    ...top('widthMm'),
    says: 'Width',
    unit: 'mm',
    ask: 'How wide is it?',
    plausible: [10, 80],
    measure: calliper,
    logged: true,
    spec: 'widthMm',
  },
  {
    ...top('heightMm'),
    says: 'Height',
    unit: 'mm',
    ask: 'How high does it build, plugs included?',
    plausible: [2, 60],
    measure: { how: 'Measure from the lowest to the highest part, plugs in.', ease: 1 },
    logged: true,
    spec: 'heightMm',
  },
  {
    ...top('massG'),
    says: 'Mass',
    unit: 'g',
    ask: 'What does it weigh, and with what?',
    plausible: [3, 9, 20, 40, 300],
    measure: { how: 'Put it on a kitchen scale, with what you will mount.', ease: 1 },
    logged: true,
    spec: 'massG',
  },
  {
    field: 'video.overlayChip',
    says: 'Overlay chip',
    unit: '',
    ask: 'Is there an overlay chip on board?',
    plausible: yesOrNo,
    spec: 'overlayChip',
    get: (b) => b.video?.overlayChip,
    set: (b, f) => ({ ...b, video: { ...(b.video ?? { cameraIns: [] }), overlayChip: f } }),
  },
  {
    ...top('barometer'),
    ofControllers: true,
    says: 'Barometer',
    unit: '',
    ask: 'Is there a barometer?',
    plausible: yesOrNo,
    spec: 'barometer',
  },
  {
    ...top('storageMb'),
    ofControllers: true,
    says: 'Storage',
    unit: 'MB',
    ask: 'How much can it log?',
    plausible: [0, 100_000],
    logged: true,
    spec: 'storageMb',
  },
  {
    ...top('gyroNoise'),
    ofControllers: true,
    says: 'Gyro noise',
    unit: '',
    ask: 'Which gyro is on board?',
    words: gyroNoises,
    plausible: gyroNoises,
  },
];

/** The figure that the reader of spec sheets calls so. Throws where a sheet's field is no single figure (regulators, say). */
export function figureOfSpec(field: SpecField): BoardFigure {
  const found = boardFigures.find((f) => f.spec === field);
  if (!found) throw new Error(`no single figure of a board is called "${field}" on a spec sheet`);
  return found;
}

/** The figures that a board of this kind can have. */
export function figuresOf({ kind }: Pick<Board, 'kind'>): readonly BoardFigure[] {
  return kind === 'esc' || kind === 'power board' ? boardFigures.filter((f) => !f.ofControllers) : boardFigures;
}
