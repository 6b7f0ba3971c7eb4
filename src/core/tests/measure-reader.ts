import { readSpec } from '../intake/read-spec';

type Value = number | string | boolean;

export interface Corpus {
  texts: { text: string; expect: Record<string, Value | Value[]> }[];
}

export interface Measured {
  precision: number;
  recall: number;
  fields: { field: string; right: number; wrong: number; missed: number }[];
  wrong: { text: string; field: string; value: Value }[];
  missed: { text: string; field: string; value: Value }[];
}

/** Holds what the reader takes from each text against what is expected of it, value by value. */
export function measure({ texts }: Corpus): Measured {
  const fields = new Map<string, { field: string; right: number; wrong: number; missed: number }>();
  const tally = (field: string) =>
    fields.get(field) ?? fields.set(field, { field, right: 0, wrong: 0, missed: 0 }).get(field)!;
  const wrong: Measured['wrong'] = [];
  const missed: Measured['missed'] = [];
  for (const { text, expect } of texts) {
    const open = Object.entries(expect).flatMap(([field, v]) =>
      (Array.isArray(v) ? v : [v]).map((value) => ({ field, value })),
    );
    const seen = new Set<string>();
    for (const r of readSpec(text)) {
      const once = `${r.field} ${r.value}`;
      if (seen.has(once)) continue;
      seen.add(once);
      const at = open.findIndex((o) => o.field === r.field && same(o.value, r.value));
      if (at >= 0) {
        open.splice(at, 1);
        tally(r.field).right += 1;
      } else {
        tally(r.field).wrong += 1;
        wrong.push({ text, field: r.field, value: r.value });
      }
    }
    for (const o of open) {
      tally(o.field).missed += 1;
      missed.push({ text, ...o });
    }
  }
  const sum = (key: 'right' | 'wrong' | 'missed') => [...fields.values()].reduce((n, f) => n + f[key], 0);
  return {
    precision: sum('right') / (sum('right') + sum('wrong')),
    recall: sum('right') / (sum('right') + sum('missed')),
    fields: [...fields.values()].sort((a, b) => a.field.localeCompare(b.field)),
    wrong,
    missed,
  };
}

function same(a: Value, b: Value): boolean {
  if (typeof a === 'number' && typeof b === 'number') return Math.abs(a - b) < 0.006;
  if (typeof a === 'string' && typeof b === 'string') return a.toLowerCase() === b.toLowerCase();
  return a === b;
}
