import type { Climb } from '../evaluate/climb';
import { plainMoney } from '../quantity/money';
import { csvLines } from '../records/csv-lines';

export interface Standing {
  boardId: string;
  name: string;
  cents: number;
  grams: number;
  /** Smallest margin of any rung, as a share. */
  margin: number;
  /** A board that is at least as good on all three and better on one; null: on the frontier. */
  beatenBy: string | null;
}

/** Boards held against each other on price, grams and margin. What has no known price or mass takes no part. */
export function frontierOf(climbs: readonly Climb[]): Standing[] {
  const all = climbs.flatMap((c): Standing[] => {
    if (c.totalCents === null || c.massG.high === null) return [];
    return [
      {
        boardId: c.boardId,
        name: c.boardName,
        cents: c.totalCents,
        grams: c.massG.high,
        margin: smallestMargin(c),
        beatenBy: null,
      },
    ];
  });
  return all.map((a) => ({ ...a, beatenBy: all.find((b) => b !== a && beats(b, a))?.name ?? null }));
}

export function smallestMargin(climb: Climb): number {
  return Math.min(1, ...climb.rungs.flatMap((r) => (r.margin === null ? [] : [r.margin])));
}

function beats(a: Standing, b: Standing): boolean {
  return (
    a.cents <= b.cents &&
    a.grams <= b.grams &&
    a.margin >= b.margin &&
    (a.cents < b.cents || a.grams < b.grams || a.margin > b.margin)
  );
}

/** The same as a table (RFC 4180). */
export function standingsCsv(standings: readonly Standing[], currency: string): string {
  return csvLines(
    ['board', `to pay ${currency}`, 'g', 'smallest margin', 'beaten by'],
    standings.map((s) => [s.name, plainMoney(s.cents), s.grams, s.margin.toFixed(2), s.beatenBy ?? '']),
  );
}
