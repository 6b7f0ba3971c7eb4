import { expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { makeBoard, makeBuild, makePart, ownEsc, says, supply, unknown } from '../tests/make';
import { fedByEsc, railsFedByEsc } from './esc-supply';
import { suppliesOf } from './rail-tree';

/** A board without a regulator of its own: 5 V come over the harness. */
const board = makeBoard({
  kind: 'flight controller',
  esc: undefined,
  pads: ['vbat', 'five', 'm1', 'm2', 'm3', 'm4'].map((id) => ({ id, label: id })),
  outputs: [1, 2, 3, 4].map((n) => ({
    id: `m${n}`,
    label: `M${n}`,
    pad: `m${n}`,
    timer: 't',
    can: ['motor' as const],
  })),
  rails: [
    { id: 'pack', label: 'Pack', pads: ['vbat'], source: { kind: 'pack' } },
    { id: '5v', label: '5 V', pads: ['five'], source: { kind: 'esc' } },
  ],
});
const flown = (gives?: object | null) =>
  makeBuild(
    {
      motors: {
        count: 4,
        cruiseAmps: 6,
        peakAmps: 30,
        peakSeconds: 5,
        esc: 'separate',
        ownEsc: ownEsc(gives === undefined ? {} : { gives }),
      },
    },
    [makePart('cam', { supply: supply(4.5, 5.5, 1) })],
  );

test("a rail that the ESC's own regulator feeds has its volts and its amps", () => {
  const at = (amps: number) => evaluate(flown({ volts: says(5), amps: says(amps) }), board);
  expect([at(2).stopsAt, at(0.6).stopsAt]).toEqual([null, 7]);
  expect(at(2).hookup.rails.map((r) => [r.rail, r.printedMa])).toEqual([['5v', 2000]]);
  expect(suppliesOf(board, flown({ volts: says(5), amps: says(2) })).map((s) => s.rail.id)).toEqual(['pack', '5v']);
});
test('of an ESC of which nobody says what it gives, it is open; one that gives nothing, or ESCs on the board, leave it dead', () => {
  expect(evaluate(flown(), board).rungs[5]!.state).toBe('unknown');
  expect(evaluate(flown({ volts: says(5), amps: unknown }), board).rungs[6]!.state).toBe('unknown');
  expect(evaluate(flown(null), board).stopsAt).toBe(6);
  expect(suppliesOf(board, makeBuild()).map((s) => s.rail.id)).toEqual(['pack']);
});

test('rails that nothing of an ESC feeds are left as they are: one known to give nothing, one on the board, a board without the pack', () => {
  const fed = (build: ReturnType<typeof flown>, of = board) => railsFedByEsc(of, build)[1]!.source;
  expect(fed(flown({ volts: says(5), amps: says(2) }))).toMatchObject({
    kind: 'regulator',
    type: 'buck',
    input: 'pack',
    outVolts: says(5),
    ratedAmps: says(2),
    dropOutVolts: unknown,
  });
  expect(fed(flown())).toMatchObject({ kind: 'regulator', outVolts: unknown, ratedAmps: unknown });
  expect(fed(flown(null))).toEqual({ kind: 'esc' });
  expect(fed(makeBuild())).toEqual({ kind: 'esc' });
  const packless = makeBoard({ ...board, rails: [{ id: 'x', label: 'X', source: { kind: 'esc' } }, board.rails[1]!] });
  expect(fed(flown(), packless)).toEqual({ kind: 'esc' });
  // Nothing to feed: the very same rails, and the very same board.
  const own = makeBoard();
  expect(railsFedByEsc(own, flown())).toBe(own.rails);
  expect(fedByEsc(own, flown())).toBe(own);
});
