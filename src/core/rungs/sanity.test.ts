import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { makeBoard, makeBuild, regulator, says, unknown } from '../tests/make';
import { doubtsAbout, sanityFindings } from './sanity';

/** Figures that cannot be true, worked by hand. */
const doubt = (change: Parameters<typeof makeBoard>[0]) =>
  doubtsAbout(makeBoard(change)).map((d) => [d.field, d.impossible, d.rung]);
const rails = (source: object) => [
  { id: 'pack', label: 'Pack', pads: ['vbat'], source: { kind: 'pack' as const } },
  { id: 'five', label: '5 V', pads: [], source: source as never },
];

describe('figures that cannot be true', () => {
  test('a sound board raises no doubt', () => expect(doubt({})).toEqual([]));

  // Data sheets of the processor families, values from memory.
  test('more ports than the processor has: the usual F4 has 6, larger ones 8, one 10', () => {
    const claimed = (n: number) =>
      doubt({ processor: { value: 'F4', origin: 'claim' }, claimedPorts: says(n) }).map(([, impossible]) => impossible);
    expect([6, 7, 10, 11].map(claimed)).toEqual([[], [false], [false], [true]]);
  });

  test('mass: a stack of 36 x 36 mm is two bare boards of 12.96 cm2 x 0.6 x 0.2 g = 3.1 g (FR-4 1.85 g/cm3, handbook; 1 mm assumed)', () => {
    expect(doubt({ massG: says(3) })).toEqual([['massG', true, 8]]);
    expect(doubt({ massG: says(3.2) })).toEqual([]);
    expect(doubt({ massG: unknown })).toEqual([]);
  });

  test('a linear regulator of 1 A at 5 V from 25.2 V would burn 20 W; a buck does not', () => {
    // What is really drawn is held to the heat by the load rung: the claim alone stops nothing.
    expect(doubt({ rails: rails(regulator(5, 1, { type: 'linear' })) })).toEqual([
      ['rails[1].source.ratedAmps', false, 7],
    ]);
    expect(doubt({ rails: rails(regulator(5, 1)) })).toEqual([]);
    const hot = doubtsAbout(
      makeBoard({ rails: rails(regulator(5, 1.05, { type: 'linear' })), packCells: { min: says(2), max: says(3) } }),
    )[0]!;
    expect(hot.says).toMatchObject({ code: 'linear too hot', watts: expect.closeTo(7.98) as unknown }); // (12.6 - 5) x 1.05
    // 5 W is where it starts: 20.2 V x 0.2476 A.
    expect(doubt({ rails: rails(regulator(5, 0.24, { type: 'linear' })) })).toEqual([]);
  });

  test('no regulator lifts its input', () => {
    const twelve = [
      ...rails(regulator(5, 1)),
      { id: 'twelve', label: '12 V', pads: [], source: regulator(12, 1, { input: 'five' }) },
    ];
    expect(doubt({ rails: twelve })).toEqual([['rails[2].source.outVolts', true, 6]]);
    // A step-up does; and one may give what it gets.
    const fed = (out: number, change: object) => [
      ...rails(regulator(5, 1)),
      { id: 'fed', label: 'Fed', pads: [], source: regulator(out, 1, { input: 'five', ...change }) },
    ];
    expect(doubt({ rails: fed(12, { type: 'step-up' }) })).toEqual([]);
    expect(doubt({ rails: fed(5, {}) })).toEqual([]);
  });

  test('more than 6 A is unlikely, an efficiency of 100 % impossible', () => {
    expect(doubt({ rails: rails(regulator(5, 7)) })).toEqual([['rails[1].source.ratedAmps', false, 7]]);
    expect(doubt({ rails: rails(regulator(5, 2, { efficiency: says(1) })) })).toEqual([
      ['rails[1].source.efficiency', true, 7],
    ]);
  });

  test('a burst below the continuous rating, and a pack limit below its own cells (6 x 4.2 V = 25.2 V)', () => {
    expect(
      doubt({ esc: { channels: says(4), continuousAmps: says(50), burstAmps: says(40), burstSeconds: says(5) } }),
    ).toEqual([['esc.burstAmps', true, 3]]);
    expect(doubt({ packMaxVolts: says(25) })).toEqual([['packMaxVolts', true, 2]]);
    expect(doubt({ packMaxVolts: says(25.2) })).toEqual([]);
  });

  test('a rail of 3 A that leaves only by one pin of 1 A (plug family, data sheet, from memory); a pad beside the plug lifts the doubt', () => {
    const plug = [{ id: 'p', label: 'video', family: 'SH 1.0', pins: [{ name: '5V', pad: 'v5' }] }];
    const pads = [
      { id: 'vbat', label: 'VBAT' },
      { id: 'v5', label: '5V' },
      { id: 'v5b', label: '5V' },
    ];
    const board = (out: string[]) => ({
      pads,
      plugs: plug,
      rails: [
        { id: 'pack', label: 'Pack', pads: ['vbat'], source: { kind: 'pack' as const } },
        { id: 'five', label: '5 V', pads: out, source: regulator(5, 3) },
      ],
    });
    expect(doubt(board(['v5']))).toEqual([['plugs[0]', false, 7]]);
    expect(doubt(board(['v5', 'v5b']))).toEqual([]);
  });

  test('what cannot be true is not believed: its rung is unknown; what is unlikely strains', () => {
    expect(evaluate(makeBuild(), makeBoard({ massG: says(1) })).verdict).toBe('cannot say yet');
    expect(sanityFindings(makeBoard({ massG: says(1) })).map((f) => [f.rung, f.state])).toEqual([[8, 'unknown']]);
    expect(sanityFindings(makeBoard({ rails: rails(regulator(5, 7)) })).map((f) => [f.rung, f.state])).toEqual([
      [7, 'strained'],
    ]);
  });
});
