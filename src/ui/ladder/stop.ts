import { csvLines, plainMoney, tellingRung, type Board, type Climb, type Ranked } from '@/core';

export type SortKey = 'rank' | 'price' | 'grams' | 'name';
export const sortKeys: SortKey[] = ['rank', 'price', 'grams', 'name'];

export const fixFilters = [
  'anything',
  'external regulator',
  'signal inverter',
  'level shifter',
  'adapter plate',
  'separate ESC',
  'another member',
  'leave out',
  'nothing found',
] as const;

/** What a candidate is bought as. */
export const madeOf = ['one board', 'stack', 'set'] as const;

export function isMadeOf({ members }: Climb, kind: Board['kind'] | undefined): (typeof madeOf)[number] {
  if (members) return 'set';
  return kind === 'stack' ? 'stack' : 'one board';
}

export const verdicts = ['fits', 'fits with work', 'cannot say yet', 'does not fit'] as const;

/** Take-off mass; of what is not known whole, the least. `show`: grams as they are read. */
export function massWords({ massG }: Climb, show: (grams: number) => string): string {
  return massG.high === null ? `> ${show(massG.low)}` : show(massG.high);
}

/** For each row: the name of the first row above that gives the same reason, word for word; null where none does. */
export function saidAbove(rows: readonly Ranked[]): (string | null)[] {
  const met = new Map<string, string>();
  return rows.map(({ climb }) => {
    const told = tellingRung(climb);
    const sentence = told?.findings[0]?.sentence;
    // Why a board stops is said at each.
    if (!told || sentence === undefined || climb.stopsAt !== null) return null;
    const above = met.get(sentence);
    if (above === undefined) met.set(sentence, climb.members?.[0]?.name ?? climb.boardName);
    return above ?? null;
  });
}

/** The ladder as lines: CSV (RFC 4180) with a comma, plain text with a tab. */
export function asCsv(ranked: readonly Ranked[], separator: ',' | '\t', currency: string): string {
  const rows = ranked.map(({ rank, climb }) => [
    String(rank),
    climb.boardName,
    climb.maker,
    climb.verdict,
    tellingRung(climb)?.name ?? '',
    tellingRung(climb)?.findings[0]?.sentence ?? '',
    climb.totalCents === null ? '' : plainMoney(climb.totalCents),
    massWords(climb, (g) => String(Math.round(g))),
  ]);
  const heading = ['place', 'board', 'maker', 'verdict', 'rung', 'reason', `to pay ${currency}`, 'g'];
  return csvLines(heading, rows, separator);
}
