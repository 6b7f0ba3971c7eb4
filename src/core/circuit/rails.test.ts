import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import type { Board } from '../records/board';
import { makeBoard, makeBuild, makePart, regulator, supply, unknown } from '../tests/make';

/**
 * One part on one rail, over packs, rails, ranges and loads, against a table worked out here in volts and amps from the definitions: drop-out (a regulator holds while its
 * input stays above output plus drop-out, else the output follows), I = P / (V x efficiency) for a buck, the same amps for a linear one, (Vin - Vout) x I of heat
 * (any electronics handbook). Volts of a cell and derating: common practice of the trade, no source.
 */
const full = { lipo: 4.2, 'high-voltage lipo': 4.35, 'li-ion': 4.2 } as const;
const floor = { lipo: 3.3, 'high-voltage lipo': 3.3, 'li-ion': 2.8 } as const;
type Chemistry = keyof typeof full;
const dropOut = 0.8;

type Rails = NonNullable<Parameters<typeof makeBoard>[0]>['rails'];
const pads = ['vbat', 'a', 'b'].map((id) => ({ id, label: id }));
const boardOn = (...rails: NonNullable<Rails>): Board =>
  makeBoard({ pads, rails: [{ id: 'pack', label: 'Pack', pads: [], source: { kind: 'pack' } }, ...rails] });
const railState = (
  rung: number,
  cells: number,
  chemistry: Chemistry,
  need: ReturnType<typeof supply>,
  board: Board,
  policies = {},
) =>
  evaluate(
    makeBuild({ pack: { cells, chemistry, massG: { value: 150, origin: 'manual' } }, policies }, [
      makePart('part', { supply: need }),
    ]),
    board,
  ).rungs[rung - 1]!.state;

describe('volts: every pack on every rail for every range', () => {
  const ranges = [
    [4.5, 5.5],
    [3, 3.6],
    [4.5, 26],
    [7, 26],
    [9, 13],
    [9, 17.5],
    [2.7, 4.4],
  ] as const;
  const chemistries = Object.keys(full) as Chemistry[];
  /** Least and most volts that reach the pad. */
  const swing = (out: number | 'pack', cells: number, chemistry: Chemistry): [number, number] => {
    const [low, high] = [cells * floor[chemistry], cells * full[chemistry]];
    return out === 'pack' ? [low, high] : [Math.min(out, low - dropOut), Math.min(out, high - dropOut)];
  };

  test.each(['pack', 3.3, 5, 9, 10, 12] as const)('%s', (out) => {
    const board = boardOn({
      id: 'rail',
      label: 'Rail',
      pads: ['a'],
      source: out === 'pack' ? { kind: 'bridge', bridge: 'link', byPosition: { on: 'pack' } } : regulator(out, 3),
    });
    if (out === 'pack')
      board.bridges = makeBoard({
        bridges: [
          {
            id: 'link',
            label: 'Link',
            form: 'solder bridge',
            positions: [
              { id: 'on', label: 'on' },
              { id: 'off', label: 'off' },
            ],
            factory: 'on',
            effort: 1,
          },
        ],
      }).bridges;
    for (const chemistry of chemistries) {
      for (let cells = 1; cells <= 8; cells++) {
        const [low, high] = swing(out, cells, chemistry);
        for (const [min, max] of ranges) {
          const fits = low >= min - 1e-9 && high <= max + 1e-9;
          expect
            .soft(
              railState(6, cells, chemistry, supply(min, max, 0.1), board) === 'breaks',
              `${min} to ${max} V on ${out}, ${cells} cells ${chemistry}: ${low} to ${high} V`,
            )
            .toBe(!fits);
        }
      }
    }
  });
});

describe('amps: what a regulator carries', () => {
  const loads = [0.05, 0.1, 0.2, 0.3, 0.4, 0.44, 0.46, 0.5, 0.52, 0.6, 0.79, 0.81, 0.9, 1, 1.01, 1.2, 1.5, 1.9, 2.1];
  const shares = { cautious: 0.7, usual: 0.8, 'as printed': 1 } as const;
  /** Peaks within the printed amps, steady draw (half the peak) within the derated ones. */
  const carries = (peak: number, printed: number, derated: number) =>
    peak <= printed + 1e-9 && peak / 2 <= derated + 1e-9;

  test.each(Object.entries(shares))('%s: a buck from the pack', (ratedAmps, share) => {
    for (const rated of [0.5, 1, 1.5]) {
      const board = boardOn({ id: 'five', label: '5 V', pads: ['a'], source: regulator(5, rated) });
      for (const peak of loads)
        expect
          .soft(
            railState(7, 4, 'lipo', supply(4.5, 5.5, peak), board, { ratedAmps }) === 'breaks',
            `${peak} A on ${rated} A`,
          )
          .toBe(!carries(peak, rated, rated * share));
    }
  });

  test('a linear regulator carries what it can burn: 1.5 W over what the full pack has above its output', () => {
    for (const cells of [2, 3, 4, 6]) {
      const board = boardOn({ id: 'five', label: '5 V', pads: ['a'], source: regulator(5, 1, { type: 'linear' }) });
      const burns = 1.5 / (cells * 4.2 - 5);
      for (const peak of loads)
        expect
          .soft(railState(7, cells, 'lipo', supply(4.5, 5.5, peak), board) === 'breaks', `${peak} A, ${cells} cells`)
          .toBe(!carries(peak, 1, Math.min(0.8, burns)));
    }
  });

  test('a linear child puts the same amps on its parent, a buck child the power over the efficiency', () => {
    for (const type of ['linear', 'buck'] as const) {
      // The child could carry 5 A; the parent, 9 V, carries 0.5 A.
      const board = boardOn(
        { id: 'nine', label: '9 V', pads: [], source: regulator(9, 0.5) },
        {
          id: 'five',
          label: '5 V',
          pads: ['a'],
          source: regulator(5, 5, { type, input: 'nine', burnsWatts: { value: 50, origin: 'manual' } }),
        },
      );
      const onParent = type === 'linear' ? 1 : 5 / (0.85 * 9);
      for (const peak of loads)
        expect
          .soft(
            railState(7, 4, 'lipo', supply(4.5, 5.5, peak), board) === 'breaks',
            `${peak} A through a ${type} child`,
          )
          .toBe(!carries(Math.ceil(peak * onParent * 1000) / 1000, 0.5, 0.4));
    }
  });

  test('a part with a switching regulator of its own draws its power: more amps at fewer volts', () => {
    // Stated at 5 V; on a 10 V rail half as many amps, and a hair more for what the wire takes.
    const board = boardOn({ id: 'ten', label: '10 V', pads: ['a'], source: regulator(10, 0.502) });
    for (const peak of loads)
      expect
        .soft(
          railState(7, 4, 'lipo', supply(4.5, 17, peak, 5, 'constant power'), board) === 'breaks',
          `${peak} A at 5 V`,
        )
        .toBe(!carries(peak / 2, 0.502, 0.4016));
  });

  test('of two regulators a part goes where it can be carried, and two parts share one only as far as it goes', () => {
    const board = boardOn(
      { id: 'weak', label: 'Weak', pads: ['a'], source: regulator(5, 0.3) },
      { id: 'strong', label: 'Strong', pads: ['b'], source: regulator(5, 1) },
    );
    const state = (...peaks: number[]) =>
      evaluate(
        makeBuild(
          {},
          peaks.map((p, i) => makePart(`part${i}`, { supply: supply(4.5, 5.5, p) })),
        ),
        board,
      ).rungs[6]!.state === 'breaks';
    // By hand: 0.9 needs the strong one. 0.9 and 0.3 stand one each. 0.6 and 0.6 are 1.2 on the strong one: too much, and neither goes on the weak one.
    expect([
      state(0.9),
      state(0.9, 0.3),
      state(0.6, 0.6),
      state(0.6, 0.4),
      state(0.6, 0.4, 0.3),
      state(0.6, 0.4, 0.31),
    ]).toEqual([false, false, true, false, false, true]);
  });
});

test('what the board itself draws is asked and unknown: it decides only where 0.05 to 0.3 A (common practice, no source) would', () => {
  const five = { id: 'five', label: '5 V', pads: ['a'], source: regulator(5, 2) };
  const three = (ownAmps?: object) => ({
    id: 'three',
    label: '3.3 V',
    pads: [],
    source: regulator(3.3, 0.5, { input: 'five' }),
    ...(ownAmps ? { ownAmps: ownAmps as never } : {}),
  });
  const load = (amps: number, ...rails: NonNullable<Rails>) =>
    railState(7, 4, 'lipo', supply(4.5, 5.5, amps), boardOn(...rails));
  expect(load(0.1, five, three(unknown))).toBe('holds');
  // 2 A as printed, 1.9 A at peak: 0.1 A are left, enough for a frugal board only, on that rail or on one that it feeds.
  expect(load(1.9, five, three())).not.toBe('unknown');
  expect(load(1.9, five, three(unknown))).toBe('unknown');
  expect(load(1.9, { ...five, ownAmps: unknown }, three())).toBe('unknown');
  expect(load(1.9, five, { ...three(unknown), source: regulator(3.3, 0.5) })).not.toBe('unknown');
  expect(load(1.99, five, three(unknown))).toBe('breaks');
});
