import { boardSchema, type Board } from '../records/board';
import { figureWords, type AnyFigure } from '../quantity/figure';
import { applyReadings } from './apply-readings';
import { figureOfSpec } from '../figures/board-figures';
import { valueFromText, type ValueText } from './figure-text';
import { typedNumber } from './typed-number';
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
      return single(valueFromText(typed, ['C', 'micro']), 'string');
    case 'regulators': {
      const [, volts, amps] = /^([\d.,]+\s*v?)\s*[@/:, ]\s*([\d.,]+\s*m?a?)$/i.exec(typed) ?? [];
      const [v, a] = [typedNumber(volts ?? '', 'V'), typedNumber(amps ?? '', 'A')];
      return v && a ? `${v}@${a}` : null;
    }
    case 'takenPort':
      return /^(?:uart|port|serial)? ?\d{1,2}$/i.test(typed) ? Number(typed.replace(/\D/g, '')) : null;
    default: {
      const { words, unit } = figureOfSpec(field);
      return single(valueFromText(typed, words ?? [], unit));
    }
  }
}

function single(found: ValueText | null, only?: 'string'): Reading['value'] | null {
  return found && 'value' in found && (!only || typeof found.value === only) ? found.value : null;
}
