import { boardSchema, type Board } from '../records/board';
import { figureWords, type AnyFigure } from '../quantity/figure';
import { applyReadings } from './apply-readings';
import { figureOfSpec } from '../figures/board-figures';
import { valueFromText } from './figure-text';
import type { Reading } from './reading';

/** What a reading's value looks like in a box. */
export function readingText({ value }: Reading): string {
  return figureWords({ value, origin: 'claim' } as AnyFigure);
}

/** The reading with what somebody typed in place of its value; null where that is no value of its field, so that nothing of it lands on the board. */
export function correctReading(board: Board, reading: Reading, typed: string): Reading | null {
  const value = typedValue(reading, typed.trim());
  if (value === null) return null;
  const corrected = { ...reading, value };
  return boardSchema.safeParse(applyReadings(board, [corrected], { origin: 'claim', seen: '2000-01-01' })).success
    ? corrected
    : null;
}

function typedValue({ field }: Reading, typed: string): Reading['value'] | null {
  switch (field) {
    case 'massIncludes':
      return typed === '' ? null : typed;
    case 'usbPlug':
      return ['C', 'micro'].find((plug) => plug.toLowerCase() === typed.toLowerCase()) ?? null;
    case 'regulators': {
      const [, volts, amps] = /^(\d+(?:[.,]\d+)?)\s*@\s*(\d+(?:[.,]\d+)?)$/.exec(typed) ?? [];
      return volts && amps ? `${volts}@${amps}`.replaceAll(',', '.') : null;
    }
    case 'takenPort':
      return /^\d{1,2}$/.test(typed) ? Number(typed) : null;
    default: {
      const found = valueFromText(typed, figureOfSpec(field).words ?? []);
      return found && 'value' in found ? found.value : null;
    }
  }
}
