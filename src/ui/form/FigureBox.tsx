'use client';

import type { NumberFigure } from '@/core';
import { NumberBox } from './NumberBox';

interface Props {
  label: string;
  unit: string;
  figure: NumberFigure;
  onChange: (figure: NumberFigure) => void;
  max?: number;
}

/** A figure that the buyer may correct; empty means unknown. What the buyer types counts as a manual's word. */
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
      onChange={(v) =>
        onChange(
          v === null
            ? { unknown: true }
            : {
                value: v,
                origin: 'origin' in figure ? figure.origin : 'manual',
                ...('source' in figure && figure.source ? { source: figure.source } : {}),
              },
        )
      }
    />
  );
}
