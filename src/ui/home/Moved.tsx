'use client';

import Box from '@mui/material/Box';
import { Link } from '../frame/Link';
import type { ReactNode } from 'react';
import { boardChanges, buildChanges, counted } from '@/core';
import { useWords } from '../frame/ways';
import { Choice } from '../form/Choice';
import type { MovedOf } from './use-home';

export const spans = { 1: 'yesterday', 7: 'a week ago', 30: 'a month ago' } as const;
export type Span = keyof typeof spans;

/** So many things are told of one by one; of more that came at once the number says enough. */
const mostTold = 12;

/** What moved: what became of picks, then prices and figures of boards, then builds and parts. */
export function Moved({
  moved,
  unanswered,
  picks,
  nameOf,
  span,
  onSpan,
}: {
  moved: MovedOf | null | undefined;
  unanswered: ReactNode;
  /** By build: what became of its pick. */
  picks: Record<string, string>;
  nameOf: (build: string) => string;
  span: Span;
  onSpan: (span: Span) => void;
}) {
  return (
    <Box component="section" aria-label="What moved" sx={{ mt: 3 }}>
      <Box sx={{ display: 'flex', alignItems: 'flex-end', gap: 1.5 }}>
        <Box component="h2" sx={{ m: 0, fontSize: 15, fontWeight: 620, fontStretch: '90%' }}>
          What moved
        </Box>
        <Choice
          label="since"
          value={String(span)}
          words={Object.keys(spans)}
          says={(d) => spans[Number(d) as Span]}
          onChange={(d) => onSpan(Number(d) as Span)}
        />
      </Box>
      {moved === undefined && <Box role="status">Looking ...</Box>}
      {unanswered}
      {moved && <Lines moved={moved} picks={picks} nameOf={nameOf} />}
    </Box>
  );
}

function Lines({
  moved,
  picks,
  nameOf,
}: {
  moved: MovedOf;
  picks: Record<string, string>;
  nameOf: (build: string) => string;
}) {
  const words = useWords();
  const came = Object.entries(moved).flatMap(([kind, steps]) =>
    steps.length > 0 ? [counted(steps.length, kind)] : [],
  );
  // On a first visit there is nothing that could have moved.
  const allNew = Object.values(moved).every((steps) => steps.every((s: { before: unknown }) => s.before === null));
  if (allNew && moved.board.length + moved.build.length + moved.part.length > mostTold)
    return (
      <Box sx={{ fontSize: 12.5 }}>
        All of it has come since then: {came.join(', ')}. What changes from now on is told here.
      </Box>
    );
  const lines: { key: string; head: ReactNode; says: string }[] = [
    ...Object.entries(picks).map(([id, says]) => ({
      key: `pick ${id}`,
      head: <Link href={`/b/${id}/ladder`}>Pick of {nameOf(id)}</Link>,
      says,
    })),
    ...told(moved.board, boardChanges, 'board', 'the shelf'),
    ...told(moved.build, buildChanges, 'build', 'the builds', (id) => `/b/${id}`),
    ...told(
      moved.part,
      (was, now) => (JSON.stringify(was) === JSON.stringify(now) ? [] : ['other figures or prices']),
      'part',
      'the library',
    ),
  ];
  if (lines.length === 0)
    return <Box sx={{ fontSize: 12.5 }}>Nothing: no price, no figure, no build, no verdict of a pick.</Box>;
  return (
    <Box component="ul" sx={{ m: 0, mt: 0.5, p: 0, listStyle: 'none', fontSize: 12.5 }}>
      {lines.slice(0, mostTold).map(({ key, head, says }) => (
        <Box component="li" key={key} sx={{ borderBottom: '1px solid var(--hair)', py: 0.25 }}>
          <strong>{head}</strong>: {words(says)}
        </Box>
      ))}
      {lines.length > mostTold && <li>and {lines.length - mostTold} more</li>}
    </Box>
  );
}

/** Lines of what changed or went; what came new is counted in one line. */
function told<T extends { id: string; name: string }>(
  steps: { before: T | null; now: T | null }[],
  changes: (was: T, now: T) => string[],
  kind: string,
  where: string,
  href?: (id: string) => string,
): { key: string; head: ReactNode; says: string }[] {
  const fresh = steps.filter((s) => s.before === null && s.now !== null);
  const named = (t: T) => (href ? <Link href={href(t.id)}>{t.name}</Link> : t.name);
  return [
    ...steps.flatMap(({ before, now }) => {
      if (!before) return [];
      if (!now) return [{ key: `${kind} ${before.id}`, head: before.name, says: `taken out of ${where}` }];
      const says = changes(before, now);
      return says.length === 0 ? [] : [{ key: `${kind} ${now.id}`, head: named(now), says: `${says.join('; ')}.` }];
    }),
    ...(fresh.length === 0
      ? []
      : [
          {
            key: `new ${kind}`,
            head: `${counted(fresh.length, kind)} new`,
            says: `${fresh
              .slice(0, 4)
              .map((s) => s.now!.name)
              .join(', ')}${fresh.length > 4 ? ' and others' : ''}.`,
          },
        ]),
  ];
}
