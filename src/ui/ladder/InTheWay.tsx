'use client';

import Box from '@mui/material/Box';
import { Link } from '../frame/Link';
import { adviceWords, commonBreak, money, overBudget, sentenceOf, type Build, type Ranked } from '@/core';
import { useWords } from '../frame/ways';
import { useRoom } from '../room/store';

/** What keeps every board from passing: said once, above the ladder, with the way to change it. */
export function InTheWay() {
  const { build, ranking } = useRoom('build', 'ranking');
  const words = useWords();
  const notes = [unweighed(build), ...sharedBreak(build, ranking.ranked ?? [])].filter((n) => n !== null);
  if (notes.length === 0) return null;
  return (
    <Box role="note" sx={{ px: 2, py: 0.25, fontSize: 12, borderBottom: '1px solid var(--hair)' }}>
      {words(notes.join(' '))} <Link href={`/b/${build.id}`}>Build, Change</Link>.
    </Box>
  );
}

function unweighed({ bareMassG, pack }: Build): string | null {
  const open = [
    ...('unknown' in bareMassG ? ['the bare craft'] : []),
    ...('unknown' in pack.massG ? ['the pack'] : []),
  ];
  return open.length === 0
    ? null
    : `No board can pass Weight before you say what ${open.join(' and ')} ${open.length === 1 ? 'weighs' : 'weigh'}.`;
}

function sharedBreak(build: Build, ranked: readonly Ranked[]): string[] {
  const over = overBudget(ranked);
  if (over !== null)
    return [
      `Every board is over the budget of ${money(build.limits.budgetCents, build.currency)}: with all else still to buy the cheapest comes to ${money(over, build.currency)}.`,
    ];
  const common = commonBreak(ranked);
  if (!common) return [];
  const { rung, about, board, finding } = common;
  return [
    `No board passes ${rung}${about.length === 0 ? '' : ` (${about.join(', ')})`}. The first, ${board}: ${sentenceOf(finding)}${finding.fix ? ` ${adviceWords(finding.fix)}` : ''}`,
  ];
}
