import Papa from 'papaparse';
import { describe, expect, test } from 'vitest';
import { evaluate, rankClimbs } from '@/core';
import { makeBoard, makeBuild, makePart, says, serial, unknown } from '@/core/tests/make';
import { tellingRung } from '@/core';
import { asCsv, massWords, toldOf } from './stop';

const build = makeBuild({}, [makePart('gps', { links: [serial('positioning')] })]);
const climbs = [
  evaluate(build, makeBoard({ id: 'none', name: 'No, "ports"' })),
  evaluate(makeBuild(), makeBoard({ id: 'plain', name: '=Plain', massG: unknown })),
];

describe('the reason beside the strip', () => {
  test('a break outranks an unknown, an unknown a strain', () => {
    expect(tellingRung(climbs[0]!)!.name).toBe('Ports');
    expect(tellingRung(climbs[1]!)!.state).toBe('unknown');
    const strained = evaluate(makeBuild(), makeBoard({ usb: { plug: 'C', side: 'rear' } }));
    expect(tellingRung(strained)!.name).toBe('Frame');
  });
  test('of an unknown mass only the least is said', () => {
    expect(massWords(climbs[1]!, (g) => g.toFixed(0))).toMatch(/^> \d+$/);
    expect(massWords(climbs[0]!, (g) => g.toFixed(0))).toMatch(/^\d+$/);
  });
});

test('no sentence stands there twice: what a row above says is named, the next thing is told; why a board stops is said at each', () => {
  const turned = (id: string) => makeBoard({ id, name: id, usb: { plug: 'C', side: 'rear' } });
  const rows = rankClimbs([
    ...['a', 'b'].map((id) => evaluate(makeBuild(), turned(id))),
    ...['c', 'd'].map((id) => evaluate(build, makeBoard({ id, name: id }))),
  ]);
  expect(rows.map((r) => r.climb.boardName)).toEqual(['a', 'b', 'c', 'd']);
  const told = toldOf(rows);
  expect(told.map((t) => t.tells?.name ?? null)).toEqual(['Frame', null, 'Ports', 'Ports']);
  expect(told.map((t) => t.above)).toEqual([[], ['Frame'], [], []]);
});

describe('the ladder as a file', () => {
  const ranked = rankClimbs(climbs);
  test('RFC 4180: commas and quotes in a name survive the round trip', () => {
    const { data } = Papa.parse<string[]>(asCsv(ranked, ',', 'EUR').trim());
    expect(data[0]).toEqual(['place', 'board', 'maker', 'verdict', 'rung', 'reason', 'to pay EUR', 'g']);
    expect(data.every((row) => row.length === 8)).toBe(true);
    expect(data.map((row) => row[1])).toContain('No, "ports"');
  });
  test('a name that a spreadsheet would run is made harmless', () => {
    expect(asCsv(ranked, ',', 'EUR')).not.toMatch(/(^|,)"?=/m);
  });
  test('tabs part the plain text, one line a board', () => {
    expect(
      asCsv(ranked, '\t', 'EUR')
        .trim()
        .split('\n')
        .map((line) => line.split('\t').length),
    ).toEqual([8, 8, 8]);
  });
  test('a board without an offer has an empty price, never nought', () => {
    const free = rankClimbs([evaluate(makeBuild(), makeBoard({ offers: [], massG: says(20) }))]);
    expect(Papa.parse<string[]>(asCsv(free, ',', 'EUR').trim()).data[1]![6]).toBe('');
  });
});
