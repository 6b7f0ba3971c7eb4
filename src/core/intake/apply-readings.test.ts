import { describe, expect, test } from 'vitest';
import { readData } from '../records/file';
import { applyReadings } from './apply-readings';
import { differencesOf } from './differences';
import { newBoard } from '../records/new-board';
import { readSpec } from './read-spec';
import type { Reading } from './reading';

const said = { origin: 'claim' as const, seen: '2026-11-01' };
const blank = newBoard('blank', 'Blank', 'Testwright');
const reading = (field: Reading['field'], value: Reading['value'], quote = String(value)): Reading => ({
  field,
  value,
  start: 0,
  end: quote.length,
  quote,
  doubt: 'sure',
});
const apply = (...readings: Reading[]) => applyReadings(blank, readings, said);

describe('confirmed readings go into the board', () => {
  test('a figure keeps its words, whose they are and when, and what stood there before', () => {
    const board = apply(reading('massG', 8.5, 'Weight: 8.5 g'));
    expect(board.massG).toEqual({ value: 8.5, origin: 'claim', source: 'Weight: 8.5 g', seen: '2026-11-01' });
    expect(board.history.at(-1)).toEqual({
      when: '2026-11-01',
      field: 'massG',
      before: 'unknown',
      after: '8.5 g',
      who: 'claim: "Weight: 8.5 g"',
    });
  });
  test('a count of ports draws them once, and never over ports that are there', () => {
    const four = apply(reading('claimedPorts', 4));
    expect(four.ports).toHaveLength(4);
    expect(applyReadings(four, [reading('claimedPorts', 6)], said).ports).toHaveLength(4);
    expect(apply(reading('claimedPorts', 90)).ports).toHaveLength(12);
  });
  test('a regulator that is not there yet is added with its pads; one that is gets the amps', () => {
    const once = apply(reading('regulators', '5@2', '5 V 2 A'));
    const rail = once.rails.find((r) => r.label === '5 V')!;
    expect(rail.source).toMatchObject({
      kind: 'regulator',
      outVolts: { value: 5 },
      ratedAmps: { value: 2, origin: 'claim' },
    });
    expect(rail.pads.length).toBeGreaterThan(0);
    const twice = applyReadings(once, [reading('regulators', '5@3', '5 V 3 A')], said);
    expect(twice.rails.filter((r) => r.label === '5 V')).toHaveLength(1);
    expect(twice.history.at(-1)).toMatchObject({ before: '2 A', after: '3 A' });
  });
  test('a taken port is marked only where it is known', () => {
    const board = applyReadings(
      apply(reading('claimedPorts', 2)),
      [reading('takenPort', 2, 'UART 2 is used by the receiver'), reading('takenPort', 9)],
      said,
    );
    expect(board.ports.map((p) => p.taken?.by ?? null)).toEqual([null, 'the page: "UART 2 is used by the receiver"']);
  });
  test("whatever is applied can be stored, and nothing is lost of the text's word", () => {
    const text =
      'F7 controller, 6 UARTs, 30.5 x 30.5 mm M3, 3-6S, BEC 5V 2A and 9V 3A, ESC 45 A continuous, 55 A burst for 10 s, weight 18.5 g with cable, 36 x 36 x 12 mm, barometer, 16 MB';
    const board = applyReadings(blank, readSpec(text), said);
    expect(readData(JSON.parse(JSON.stringify(board)), 'rung-board').ok).toBe(true);
    expect(board.massG).toMatchObject({ value: 18.5 });
    expect(board.packCells).toMatchObject({ min: { value: 3 }, max: { value: 6 } });
  });
  test('the history keeps the newest 500 and quotes no more than 200 letters', () => {
    const many = applyReadings(
      blank,
      Array.from({ length: 600 }, (_, i) => reading('massG', i + 1, 'x'.repeat(900))),
      said,
    );
    expect(many.history).toHaveLength(500);
    expect(many.history.at(-1)!.after).toBe('600 g');
    expect(many.history.at(-1)!.who.length).toBeLessThan(220);
  });
});

describe('what two boards say differently', () => {
  test('nothing of a board and itself', () => expect(differencesOf(blank, blank)).toEqual([]));
  test('by hand: mass, ports and a regulator, each with both sides', () => {
    const other = apply(reading('massG', 8.5), reading('claimedPorts', 1), reading('regulators', '5@2'));
    const found = Object.fromEntries(differencesOf(blank, other).map((d) => [d.field, [d.before, d.after]]));
    expect(found.massG).toEqual(['unknown', '8.5 g']);
    expect(found.ports![0]).toBe('none');
    expect(found.rails).toEqual(['none', '5 V 2 A']);
    expect(Object.keys(found).sort()).toEqual(['claimedPorts', 'massG', 'pads', 'ports', 'rails']);
  });
  test('it reads the same from the other side, turned round', () => {
    const other = apply(reading('massG', 8.5), reading('barometer', true));
    expect(differencesOf(other, blank).map((d) => [d.field, d.after, d.before])).toEqual(
      differencesOf(blank, other).map((d) => [d.field, d.before, d.after]),
    );
  });
});
