import { readdirSync, readFileSync } from 'node:fs';
import type { Reading } from '../intake/reading';
import { readSpec } from '../intake/read-spec';

type Value = number | string | boolean;
interface Item {
  field: string;
  value: Value;
}

/** Pages, each with what a careful reader takes from it for the board it is about. */
export interface Corpus {
  what: string;
  texts: {
    name: string;
    text: string;
    /** `doubt`: he would take it and doubt it. `or`: other ways of giving the same. */
    expect: (Item & { doubt?: string; or?: Value[] })[];
    /** Traps: to read this is wrong. */
    mustNot?: (Item & { why?: string })[];
    /** Harmless where it is marked with doubt, wrong where it is called sure. */
    onlyInDoubt?: Item[];
    /** Neither asked for nor counted. */
    fine?: Item[];
  }[];
}

export interface Tally {
  rightSure: number;
  rightInDoubt: number;
  wrongSure: number;
  wrongInDoubt: number;
  missed: number;
}

export interface Measured {
  all: Tally;
  fields: Record<string, Tally>;
  precision: number;
  /** Of the readings called sure. */
  precisionOfSure: number;
  recall: number;
  /** Of each page, all that was read of it. */
  readings: Reading[][];
  errors: { kind: 'wrong, sure' | 'wrong, in doubt' | 'missed'; page: string; field: string; value: Value }[];
}

const folder = 'src/core/intake/corpus';

/** The corpora of the project by name. */
export function corpora(): Record<string, Corpus> {
  return Object.fromEntries(
    readdirSync(folder).map((file) => [
      file.replace('.json', ''),
      JSON.parse(readFileSync(`${folder}/${file}`, 'utf8')) as Corpus,
    ]),
  );
}

/** Holds what the reader takes from each page against what is expected of it, once for each field and value. */
export function measure({ texts }: Corpus): Measured {
  const fields: Record<string, Tally> = {};
  const errors: Measured['errors'] = [];
  const readings: Reading[][] = [];
  const tally = (field: string) =>
    (fields[field] ??= { rightSure: 0, rightInDoubt: 0, wrongSure: 0, wrongInDoubt: 0, missed: 0 });
  for (const { name, text, expect, onlyInDoubt = [], fine = [] } of texts) {
    const read = readSpec(text);
    readings.push(read);
    const open = expect.map((e) => ({ ...e, found: false }));
    const fits = (e: Item & { or?: Value[] }, { field, value }: Item) =>
      e.field === field && [e.value, ...(e.or ?? [])].some((v) => same(field, v, value));
    for (const r of surest(read)) {
      const hit = open.find((e) => !e.found && fits(e, r));
      if (hit) {
        hit.found = true;
        tally(r.field)[r.sure ? 'rightSure' : 'rightInDoubt'] += 1;
      } else if (
        !open.some((e) => e.found && fits(e, r)) &&
        !fine.some((f) => fits(f, r)) &&
        !(!r.sure && onlyInDoubt.some((f) => fits(f, r)))
      ) {
        tally(r.field)[r.sure ? 'wrongSure' : 'wrongInDoubt'] += 1;
        errors.push({ kind: r.sure ? 'wrong, sure' : 'wrong, in doubt', page: name, field: r.field, value: r.value });
      }
    }
    for (const e of open.filter((o) => !o.found)) {
      tally(e.field).missed += 1;
      errors.push({ kind: 'missed', page: name, field: e.field, value: e.value });
    }
  }
  const sum = (key: keyof Tally) => Object.values(fields).reduce((n, f) => n + f[key], 0);
  const all: Tally = {
    rightSure: sum('rightSure'),
    rightInDoubt: sum('rightInDoubt'),
    wrongSure: sum('wrongSure'),
    wrongInDoubt: sum('wrongInDoubt'),
    missed: sum('missed'),
  };
  const right = all.rightSure + all.rightInDoubt;
  return {
    all,
    fields,
    precision: right / (right + all.wrongSure + all.wrongInDoubt),
    precisionOfSure: all.rightSure / (all.rightSure + all.wrongSure),
    recall: right / (right + all.missed),
    readings,
    errors,
  };
}

/** What is read of a page; what is said twice counts once, as the surer of both. */
function surest(read: Reading[]): (Item & { sure: boolean })[] {
  const once = new Map<string, Item & { sure: boolean }>();
  for (const { field, value, doubt } of read) {
    const key = `${field} ${String(value).toLowerCase()}`;
    if (!once.get(key)?.sure) once.set(key, { field, value, sure: doubt === 'sure' });
  }
  return [...once.values()];
}

function same(field: string, a: Value, b: Value): boolean {
  if (typeof a === 'number' && typeof b === 'number') return Math.abs(a - b) <= 0.011;
  if (field === 'regulators') {
    const [x, y] = [a, b].map((s) => String(s).split('@').map(Number));
    return Math.abs(x![0]! - y![0]!) <= 0.011 && Math.abs(x![1]! - y![1]!) <= 0.011;
  }
  if (field === 'massIncludes') {
    // Which words of it are quoted is free, as long as they overlap.
    const [x, y] = [a, b].map((s) =>
      String(s)
        .toLowerCase()
        .replace(/[^\p{L}\p{N}]+/gu, ' ')
        .trim(),
    );
    return x === y || x!.includes(y!) || y!.includes(x!);
  }
  return String(a).toLowerCase() === String(b).toLowerCase();
}
