import type { Climb, Rung } from '@/core';

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
