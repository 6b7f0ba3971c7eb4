import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { readPartPage } from './part-page';

interface Says {
  volts: [number, number] | null;
  amps: number | null;
  peak: number | null;
  grams: number | null;
  address: number | null;
  /** Volts at which the amps are said; only where the page was asked for it. */
  at?: number;
  protocol?: string;
}
const { rounds } = JSON.parse(readFileSync('src/core/intake/part-corpus.json', 'utf8')) as {
  rounds: { what: string; pages: { text: string; says: Says }[] }[];
};

function readOf(text: string): Required<Says> {
  const p = readPartPage(text);
  return {
    volts: p.minVolts === null || p.maxVolts === null ? null : [p.minVolts, p.maxVolts],
    amps: p.typicalAmps,
    peak: p.peakAmps,
    grams: p.massG,
    address: p.address,
    at: p.atVolts ?? Number.NaN,
    protocol: p.protocol ?? '',
  };
}

const near = (a: number, b: number) => Math.abs(a - b) <= 0.01 * Math.max(0.1, Math.abs(a));
const same = (a: unknown, b: unknown) =>
  typeof a === 'number' && typeof b === 'number' ? near(a, b) : JSON.stringify(a) === JSON.stringify(b);

describe('pages of parts', () => {
  test.each(rounds.map((r) => [r.what, r.pages] as const))('%s', (_, pages) => {
    let [right, wrong, missed] = [0, 0, 0];
    const faults: string[] = [];
    for (const { text, says } of pages) {
      const read = readOf(text);
      for (const field of Object.keys(says) as (keyof Says)[]) {
        const [want, got] = [says[field], read[field]];
        if (want === null && got === null) continue;
        if (same(want, got)) right += 1;
        else if (got === null || got === '' || Number.isNaN(got)) missed += 1;
        else wrong += 1;
        if (!same(want, got)) faults.push(`${field} ${JSON.stringify(got)} for ${JSON.stringify(want)}: ${text}`);
      }
    }
    expect(right / (right + wrong), faults.join('\n')).toBeGreaterThanOrEqual(0.97);
    expect(right / (right + missed), faults.join('\n')).toBeGreaterThanOrEqual(0.97);
  });

  test('a page says the same in bold type, with its values below their labels, with wide gaps and in other units', () => {
    const ways: ((t: string) => string)[] = [
      (t) => t.replace(/(?<![\d.,])(\d[\d.,]* ?(?:mm|g|A|V)\b)/g, '**$1**'),
      (t) => t.replace(/^([^:\n]{2,24}): (?=\S)/gmu, '$1:\n'),
      (t) => t.replace(/^([^:\n]{2,30}): (?=\S)/gmu, '$1 ........ '),
      (t) => t.replace(/(\d) (?=\p{L})/gu, '$1\u00a0'),
      (t) => t.replace(/(\d) ?V\b/g, '$1 volts'),
      (t) => t.replace(/(\d) ?V\b(?! ?DC|[-–~.])/g, '$1VDC'),
      (t) => t.replace(/\n/g, '\r\n'),
      (t) => t.replace(/^/gm, '- '),
    ];
    // A data file has no such ways.
    const pages = rounds.flatMap((r) => r.pages).filter(({ text }) => !/[{}]/.test(text));
    const other = ways.flatMap((way) =>
      pages.flatMap(({ text }) => {
        const [was, is] = [readOf(text), readOf(way(text))];
        return (Object.keys(was) as (keyof Says)[]).filter((f) => !same(was[f], is[f]) && !Number.isNaN(was[f]));
      }),
    );
    // Of some 16,000 readings, those that say nothing among them.
    expect(other.length).toBeLessThanOrEqual(7);
  });
});
