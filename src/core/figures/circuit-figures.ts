import { isKnown, type AnyFigure } from '../quantity/figure';
import type { Board } from '../records/board';
import type { BoardFigure } from './board-figures';
import { plausibleEnds } from './plausible-ends';

type Rail = Board['rails'][number];

const yesOrNo = [true, false];
const senses = ['plain', 'inverted'];
const open = { unknown: true as const };

/** What the pads, ports and rails of a board may leave open besides the figures that its page tells: asked where it decides, and answered like any other figure. */
export function circuitFigures(board: Board): BoardFigure[] {
  return [
    ...padsStand(board),
    ...sensesOf(board),
    ...board.rails.flatMap((rail, i) => [...ownDraw(rail, i), ...keptApart(rail, i), ...efficiency(rail, i)]),
    ...currentOfMotors(board),
    ...throughShunt(board),
  ];
}

/** One answer for all pads that take signals and of which nobody says it: a seller is not asked pad by pad. */
function padsStand({ pads, ports, buses }: Board): BoardFigure[] {
  const signals = new Set([
    ...ports.flatMap((p) => [...p.rx, ...p.tx].map((e) => e.pad)),
    ...buses.flatMap((b) => b.pads),
  ]);
  const unsaid = new Set(pads.filter((p) => signals.has(p.id) && !isKnown(p.toleratesVolts)).map((p) => p.id));
  if (unsaid.size === 0) return [];
  return [
    {
      field: 'pads.toleratesVolts',
      says: 'Highest signal that its serial and bus pads stand',
      unit: 'V',
      ask: 'Do its serial and bus pads stand signals of 5 V, or only of 3.3 V?',
      plausible: [3.3, 5.5],
      get: () => open,
      set: (b, f) => ({ ...b, pads: b.pads.map((p) => (unsaid.has(p.id) ? { ...p, toleratesVolts: f } : p)) }),
    },
  ];
}

/** Whether an inverter stands before a pad, where nobody says. */
function sensesOf(board: Board): BoardFigure[] {
  const labelOf = (pad: string) => board.pads.find((p) => p.id === pad)?.label ?? pad;
  return board.ports.flatMap((port, i) =>
    (['rx', 'tx'] as const).flatMap((side) =>
      port[side].flatMap((end, n): BoardFigure[] => {
        if (end.sense !== 'unknown') return [];
        const sensed = (b: Board, sense: typeof end.sense): Board => ({
          ...b,
          ports: b.ports.map((p, at) =>
            at === i ? { ...p, [side]: p[side].map((e, k) => (k === n ? { ...e, sense } : e)) } : p,
          ),
        });
        return [
          {
            field: `ports[${i}].${side}[${n}].sense`,
            says: `Signal at ${labelOf(end.pad)}`,
            unit: '',
            ask: `Is ${labelOf(end.pad)} a plain pad, or does the board invert its signal?`,
            words: senses,
            plausible: senses,
            get: () => open,
            set: (b, f: AnyFigure) => sensed(b, 'value' in f ? (f.value as typeof end.sense) : 'unknown'),
          },
        ];
      }),
    ),
  );
}

function ownDraw({ ownAmps, label }: Rail, i: number): BoardFigure[] {
  if (!ownAmps) return [];
  return [
    {
      field: `rails[${i}].ownAmps`,
      says: `What the board itself draws from ${label}`,
      unit: 'A',
      ask: `How many amps does the board itself draw from ${label}?`,
      plausible: plausibleEnds.ownAmps.ends,
      measure: { how: 'Power it with nothing connected, and read the amps.', ease: 3 },
      get: (b) => b.rails[i]?.ownAmps,
      set: (b, f) => onRail(b, i, { ownAmps: f }),
    },
  ];
}

function keptApart({ source, label }: Rail, i: number): BoardFigure[] {
  if (source.kind !== 'either' || !source.isolated) return [];
  return [
    {
      ...inSource(i, 'isolated', source),
      says: `The sources of ${label} are kept apart`,
      unit: '',
      ask: `Do diodes keep USB and regulator of ${label} apart, or do they feed each other?`,
      plausible: yesOrNo,
    },
  ];
}

function efficiency({ source, label }: Rail, i: number): BoardFigure[] {
  if (source.kind !== 'regulator' || !source.efficiency) return [];
  return [
    {
      ...inSource(i, 'efficiency', source),
      says: `${label}, efficiency from 0 to 1`,
      unit: '',
      ask: `How efficient is the regulator of ${label}?`,
      plausible: plausibleEnds.efficiency.ends,
    },
  ];
}

/** A figure of what feeds a rail, which is of that kind as long as the rail is there. */
function inSource<S extends Rail['source'], K extends keyof S & string>(
  i: number,
  key: K,
  _: S,
): Pick<BoardFigure, 'field' | 'get' | 'set'> {
  return {
    field: `rails[${i}].source.${key}`,
    get: (b) => (b.rails[i]!.source as S)[key] as AnyFigure,
    set: (b, f) => onRail(b, i, { source: { ...(b.rails[i]!.source as S), [key]: f } }),
  };
}

/** Only an ESC has it; of one that says nothing of it nobody knows. */
function currentOfMotors({ esc }: Board): BoardFigure[] {
  if (!esc) return [];
  return [
    {
      field: 'digitalCurrent.there',
      says: 'Current of each motor over its wire',
      unit: '',
      ask: 'Does the ESC report the current of each motor over the motor wires?',
      plausible: yesOrNo,
      get: (b) => b.digitalCurrent?.there ?? open,
      set: (b, f) => ({ ...b, digitalCurrent: { ...b.digitalCurrent, there: f } }),
    },
  ];
}

/** What an ESC draws that is fed through the board's shunt. */
function throughShunt({ currentSensor }: Board): BoardFigure[] {
  if (!currentSensor) return [];
  return [
    {
      field: 'currentSensor.throughAmps',
      says: 'Amps through its current shunt',
      unit: 'A',
      ask: 'How many amps do trace and pads of the current shunt carry, where a separate ESC is fed through it?',
      plausible: [5, 300],
      get: (b) => b.currentSensor?.throughAmps ?? open,
      set: (b, f) => ({ ...b, currentSensor: { ...currentSensor, ...b.currentSensor, throughAmps: f } }),
    },
  ];
}

function onRail(b: Board, i: number, change: Partial<Rail>): Board {
  return { ...b, rails: b.rails.map((r, n) => (n === i ? { ...r, ...change } : r)) };
}
