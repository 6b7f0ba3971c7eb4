import { describe, expect, test } from 'vitest';
import type { Entry } from '../records/build';
import { makeBoard, regulator, says, unknown } from '../tests/make';
import { arrivesOn, currentScale, logCsv, logMarkdown, measurable, voltageScale, withReading } from './logbook';

const entry = (reading: object | null, more: object = {}): Entry =>
  ({
    id: 'e1',
    when: '2026-11-20',
    about: 'Plank',
    kind: 'measured',
    note: '',
    ...(reading ? { reading } : {}),
    ...more,
  }) as Entry;

const rails = Array.from({ length: 12 }, (_, i) => ({
  id: `r${i}`,
  label: `Rail ${i}`,
  pads: ['vbat'],
  source: i === 0 ? { kind: 'pack' as const } : regulator(5, i, { input: 'r0' }),
}));

describe('a reading of the logbook on the board', () => {
  test('stands as measured with its instrument, its note and its day, and what was there before is in the history', () => {
    const of = (more: object) =>
      withReading(makeBoard(), entry({ field: 'massG', value: 21.5, unit: 'g', ...more }, { note: 'with plug' }))!;
    expect(of({ instrument: 'scale' }).massG).toMatchObject({
      value: 21.5,
      origin: 'measured',
      source: 'logbook, scale: with plug',
      seen: '2026-11-20',
    });
    expect(of({}).massG).toMatchObject({ source: 'logbook: with plug' });
    expect(of({}).history).toEqual([
      { when: '2026-11-20', field: 'massG', before: '20 g', after: '21.5 g', who: 'measured, from the logbook' },
    ]);
  });

  test('a long note is cut where a source ends, and only the newest 500 changes are kept', () => {
    const long = entry({ field: 'massG', value: 1, unit: 'g' }, { note: 'x'.repeat(900) });
    const before = makeBoard({
      history: Array.from({ length: 500 }, (_, i) => ({
        when: '2026-01-01',
        field: `f${i}`,
        before: '',
        after: '',
        who: 'somebody',
      })),
    });
    const after = withReading(before, long)!;
    expect(after.massG).toMatchObject({ source: `logbook: ${'x'.repeat(391)}` });
    expect([after.history.length, after.history[0]!.field, after.history.at(-1)!.field]).toEqual([500, 'f1', 'massG']);
  });

  test('of a regulator by its place, also the tenth; of what is none, or is not there, of no figure', () => {
    const board = makeBoard({ rails });
    const at = (field: string) => withReading(board, entry({ field, value: 4.2, unit: 'A', instrument: 'load' }));
    const tenth = at('rails[11].source.ratedAmps')!;
    expect(tenth.rails[11]!.source).toMatchObject({ ratedAmps: { value: 4.2, origin: 'measured' } });
    expect(tenth.rails.slice(0, 11)).toEqual(board.rails.slice(0, 11));
    expect(tenth.history).toEqual([
      {
        when: '2026-11-20',
        field: 'rails[11].source.ratedAmps',
        before: '11',
        after: '4.2',
        who: 'measured, from the logbook',
      },
    ]);
    expect(at('rails[2].source.dropOutVolts')!.rails[2]!.source).toMatchObject({ dropOutVolts: { value: 4.2 } });
    expect(at('rails[0].source.outVolts')).toBeNull();
    expect(at('rails[12].source.outVolts')).toBeNull();
    expect(at('rails[1].source.input')).toBeNull();
    expect(at('name')).toBeNull();
    expect(withReading(board, entry(null))).toBeNull();
    expect(withReading(board, entry({ value: 3, unit: 'A' }))).toBeNull();
  });

  test('figures that can be measured are offered, also those that nobody says yet; none that the board cannot have', () => {
    const fields = (change: object) => measurable(makeBoard(change)).map((f) => f.field);
    expect(fields({ massG: unknown })).toContain('massG');
    expect(fields({ rails })).toContain('rails[11].source.ratedAmps');
    expect(fields({ rails })).not.toContain('rails[0].source.ratedAmps');
    expect(fields({})).not.toContain('claimedPorts');
    expect(measurable(makeBoard({ massG: says(9) })).find((f) => f.field === 'massG')).toMatchObject({ unit: 'g' });
  });
});

test('the log as a table and as a list, with and without a reading', () => {
  const log = [
    entry({ field: 'massG', value: 21.5, unit: 'g', instrument: 'scale' }, { note: 'with plug' }),
    entry({ value: 3, unit: 'V' }, { kind: 'passed' }),
    entry(null, { kind: 'failed', note: 'no smoke' }),
  ];
  expect(logCsv(log).trimEnd().split('\r\n')).toEqual([
    'date,about,kind,value,unit,instrument,note',
    '2026-11-20,Plank,measured,21.5,g,scale,with plug',
    '2026-11-20,Plank,passed,3,V,,',
    '2026-11-20,Plank,failed,,,,no smoke',
  ]);
  expect(logMarkdown(log)).toBe(
    [
      '- 2026-11-20, Plank: measured, 21.5 g (scale). with plug',
      '- 2026-11-20, Plank: passed, 3 V',
      '- 2026-11-20, Plank: failed. no smoke',
    ].join('\n'),
  );
});

test('scales and arrival: by hand', () => {
  // A scale of 110 shows 16.0 V for 16.8 V: 115.5. 25 mV/A shows 9 A for 10 A: 22.5.
  expect(voltageScale(110, 16.8, 16)).toBeCloseTo(115.5, 9);
  expect(currentScale(25, 10, 9)).toBeCloseTo(22.5, 9);
  expect(arrivesOn('2026-12-30', 3)).toBe('2027-01-02');
});
