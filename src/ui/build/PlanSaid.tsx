import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { list, planFigures, planNumbers, type Build, type PlanNumber } from '@/core';
import { Said } from '../shelf/Said';
import { speakers } from '../board/SaysWho';
import { today } from '../room/today';
import { Choice } from '../form/Choice';

const origins = ['plan', 'claim', 'manual', 'print', 'report', 'tested', 'measured'] as const;
type Word = NonNullable<Build['said'][PlanNumber]>;

/** Whose word the plain numbers of frame, pack and motors are, so that "Says who?" of a verdict can tell. */
export function PlanSaid({ build, onChange }: { build: Build; onChange: (said: Build['said']) => void }) {
  const [open, setOpen] = useState(false);
  const put = (number: PlanNumber, word: Word | undefined) => {
    const { [number]: _, ...others } = build.said;
    onChange(word ? { ...others, [number]: word } : others);
  };
  return (
    <Box sx={{ width: '100%' }}>
      <Button aria-expanded={open} onClick={() => setOpen(!open)}>
        Whose word are these numbers?
      </Button>
      {!open && (
        <Box component="span" sx={{ fontSize: 12, color: 'text.secondary' }}>
          {whose(build.said)}
        </Box>
      )}
      {open &&
        planNumbers.flatMap((number) => {
          const { says, unit, get } = planFigures[number];
          const value = get(build);
          if (value === undefined) return [];
          const word = build.said[number];
          return (
            <Box
              key={number}
              role="group"
              aria-label={says}
              sx={{ display: 'flex', gap: 1.5, alignItems: 'flex-end', flexWrap: 'wrap', fontSize: 12.5 }}
            >
              <Box sx={{ width: 180, pb: 0.5 }}>{says}</Box>
              <Box sx={{ width: 80, pb: 0.5, textAlign: 'right' }}>
                {value} {unit}
              </Box>
              <Choice
                label="Whose word"
                value={word?.origin ?? 'plan'}
                words={word?.origin === 'assumed' ? ['assumed', ...origins] : origins}
                says={(o) => speakers[o]}
                onChange={(origin) =>
                  put(
                    number,
                    origin === 'plan'
                      ? undefined
                      : { ...(word?.origin === 'assumed' ? {} : word), origin, seen: word?.seen ?? today() },
                  )
                }
              />
              {word && (
                <Said
                  label="Where it was read"
                  value={word.source ?? ''}
                  most={400}
                  width={260}
                  empty
                  onSay={(source) => put(number, { ...word, source: source === '' ? undefined : source })}
                />
              )}
            </Box>
          );
        })}
    </Box>
  );
}

function whose(said: Build['said']): string {
  const words = Object.values(said);
  const usual = words.filter((w) => w?.origin === 'assumed').length;
  const lent = words.length - usual;
  if (words.length === 0) return 'All yours.';
  return `${list([
    ...(usual > 0 ? [`${usual} of them only what is usual`] : []),
    ...(lent > 0 ? [`${lent} somebody else's`] : []),
    'the rest yours',
  ])}.`;
}
