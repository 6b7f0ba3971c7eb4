import {
  csvLines,
  firstSentence,
  plainMoney,
  tellingRung,
  type Board,
  type Climb,
  type Ranked,
  type RungName,
} from '@/core';

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

/** What is written beside a strip. */
export interface Told {
  /** Rungs whose reason a row above gives, word for word. */
  above: RungName[];
  /** The rung that is told; null: all of it stands above, or all holds. */
  tells: Climb['rungs'][number] | null;
}

/** For each row what is to be told of it: what the rows above have said is only named, so that no sentence stands there twice. Why a board stops is said at each. */
export function toldOf(rows: readonly Ranked[]): Told[] {
  const met = new Set<string>();
  return rows.map(({ climb }) => {
    if (climb.stopsAt !== null) return { above: [], tells: tellingRung(climb) };
    const first = tellingRung(climb);
    const open = climb.rungs.filter((r) => r.state !== 'holds' && r !== first);
    const above: RungName[] = [];
    for (const rung of first ? [first, ...open] : []) {
      const sentence = firstSentence(rung);
      if (!met.has(sentence)) {
        met.add(sentence);
        return { above, tells: rung };
      }
      above.push(rung.name);
    }
    return { above, tells: null };
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
    firstSentence(tellingRung(climb)),
    climb.totalCents === null ? '' : plainMoney(climb.totalCents),
    massWords(climb, (g) => String(Math.round(g))),
  ]);
  const heading = ['place', 'board', 'maker', 'verdict', 'rung', 'reason', `to pay ${currency}`, 'g'];
  return csvLines(heading, rows, separator);
}
