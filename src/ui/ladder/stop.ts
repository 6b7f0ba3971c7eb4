import type { Climb, Ranked, Rung } from '@/core';

/** The rung whose reason is written beside the strip: the break, else the first unknown, else the first strained one. */
export function tellingRung(climb: Climb): Rung | null {
  const of = (state: Rung['state']) => climb.rungs.find((r) => r.state === state);
  return of('breaks') ?? of('unknown') ?? of('strained') ?? null;
}

export type SortKey = 'rank' | 'price' | 'grams' | 'name';
export const sortKeys: SortKey[] = ['rank', 'price', 'grams', 'name'];

export const verdicts = ['fits', 'fits with work', 'cannot say yet', 'does not fit'] as const;

export function grams(climb: Climb): string {
  return climb.massG.high === null ? `> ${Math.round(climb.massG.low)}` : String(Math.round(climb.massG.high));
}

/** The ladder as lines: CSV (RFC 4180) with a comma, plain text with a tab. */
export function asCsv(ranked: readonly Ranked[], separator: ',' | '\t'): string {
  const cell = (text: string) => (separator === ',' && /[",\n]/.test(text) ? `"${text.replaceAll('"', '""')}"` : text);
  const rows = ranked.map(({ rank, climb }) => [String(rank), climb.boardName, climb.maker, climb.verdict, tellingRung(climb)?.name ?? '', tellingRung(climb)?.findings[0]?.sentence ?? '', climb.totalCents === null ? '' : (climb.totalCents / 100).toFixed(2), grams(climb)]);
  return [['place', 'board', 'maker', 'verdict', 'rung', 'reason', 'to pay EUR', 'g'], ...rows].map((r) => r.map(cell).join(separator)).join('\r\n');
}
