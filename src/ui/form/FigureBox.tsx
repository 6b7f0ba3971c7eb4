'use client';

import { typedOver, type NumberFigure } from '@/core';
import { NumberBox } from './NumberBox';

interface Props {
  label: string;
  unit: string;
  figure: NumberFigure;
  onChange: (figure: NumberFigure) => void;
  max?: number;
}

/** A figure that the buyer may correct; empty means unknown. */
export function FigureBox({ label, unit, figure, onChange, max }: Props) {
  let value: number | null;
  if ('value' in figure) value = figure.value;
  else if ('high' in figure) value = figure.high;
  else value = null;
  return (
    <NumberBox
      label={label}
      unit={unit}
      value={value}
      mayBeUnknown
      {...(max === undefined ? {} : { max })}
      onChange={(v) => onChange(typedOver(figure, v))}
    />
  );
}
