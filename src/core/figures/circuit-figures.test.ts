import { expect, test } from 'vitest';
import { withTyped } from '../intake/typed-figure';
import type { Board } from '../records/board';
import { makeBoard, portsAndPads, regulator, says, unknown } from '../tests/make';
import { circuitFigures } from './circuit-figures';

const { ports, pads } = portsAndPads(['rt']);
const board = makeBoard({
  ports: ports!.map((p) => ({ ...p, rx: p.rx!.map((e) => ({ ...e, sense: 'unknown' as const })) })),
  pads: [...pads!, { id: 'v5', label: '5V' }],
  rails: [
    { id: 'pack', label: 'Pack', pads: ['vbat'], source: { kind: 'pack' } },
    { id: 'five', label: '5 V', ownAmps: unknown, source: regulator(5, 3, { efficiency: unknown }) },
    { id: 'usb', label: 'USB', source: { kind: 'usb' } },
    {
      id: 'any',
      label: '5 V or USB',
      pads: ['v5'],
      source: { kind: 'either', of: ['five', 'usb'], isolated: unknown },
    },
  ],
  currentSensor: { fullScaleAmps: says(100) },
});

const sense = (b: Board) => b.ports[0]!.rx[0]!.sense;
const stands = (b: Board) => b.pads.filter((p) => p.toleratesVolts).map((p) => p.label);

test.each([
  ['ports[0].rx[0].sense', 'inverted', sense, 'inverted'],
  ['pads.toleratesVolts', '5 V', stands, ['R1', 'T1']],
  ['rails[1].ownAmps', '150 mA', (b: Board) => b.rails[1]!.ownAmps, { value: 0.15 }],
  ['rails[1].source.efficiency', '0.9', (b: Board) => b.rails[1]!.source, { efficiency: { value: 0.9 } }],
  ['rails[3].source.isolated', 'yes', (b: Board) => b.rails[3]!.source, { isolated: { value: true } }],
  ['digitalCurrent.there', 'no', (b: Board) => b.digitalCurrent, { there: { value: false } }],
  ['currentSensor.throughAmps', '60', (b: Board) => b.currentSensor, { throughAmps: { value: 60 } }],
])('%s is asked, answered with "%s", and stands in the history', (field, typed, of, expected) => {
  expect(circuitFigures(board).map((f) => f.field)).toContain(field);
  const made = withTyped(board, field, typed, { origin: 'manual', seen: '2026-12-01', who: 'manual, answered' })!;
  if (typeof expected === 'string') expect(of(made)).toBe(expected);
  else expect(of(made)).toMatchObject(expected);
  expect(made.history.at(-1)).toMatchObject({ field, before: 'unknown' });
});

test('a pad of which it is known is not asked about, nor an answer that is none taken', () => {
  const known = { ...board, pads: board.pads.map((p) => ({ ...p, toleratesVolts: says(3.6) })) };
  expect(circuitFigures(known).map((f) => f.field)).not.toContain('pads.toleratesVolts');
  const said = { origin: 'manual' as const, seen: '2026-12-01', who: 'x' };
  expect(withTyped(board, 'ports[0].rx[0].sense', 'upside down', said)).toBeNull();
});
