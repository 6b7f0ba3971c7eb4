import { describe, expect, test } from 'vitest';
import { boardKey } from '../bill/basket';
import { evaluate } from '../evaluate/climb';
import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { joined } from '../sets/join';
import { holes, makeBoard, makeBuild, makePart, regulator, says, supply, unknown } from '../tests/make';
import { ampsPerLight, mostLightsInChain } from '../trade/comfort';
import { doubtsAbout } from './sanity';

/** Figures that stand just at a limit, and just beyond it: a limit that is kept is no trouble. Worked by hand from the limits that are named. */
const found = (build: Build, board: Board, code: string) =>
  evaluate(build, board)
    .rungs.flatMap((r) => r.findings)
    .filter((f) => f.code === code)
    .map((f) => [f.state, f.says.code]);

describe('lights', () => {
  const strip = (lights: number, peakAmps: number) => {
    const part = makePart('strip', { supply: supply(4.5, 5.5, peakAmps) });
    part.peripheral.lights = lights;
    return found(makeBuild({}, [part]), makeBoard(), 'light draw');
  };
  test('nine tenths of full white is a draw that may be meant, less is doubted', () => {
    const white = 20 * ampsPerLight;
    expect(strip(20, 0.9 * white)).toEqual([]);
    expect(strip(20, 0.89 * white)).toEqual([['strained', 'lights at full white']]);
  });
  test('a chain as long as one output drives is none too long', () => {
    const chain = (lights: number) => {
      const part = makePart('strip', { supply: supply(4.5, 5.5, 0.2) });
      part.peripheral.lights = lights;
      return found(makeBuild({}, [part]), makeBoard(), 'long chain').length;
    };
    expect([mostLightsInChain, mostLightsInChain + 1].map(chain)).toEqual([0, 1]);
  });
});

describe('cost', () => {
  const unsold = makeBoard({ offers: [] });
  const home = (count: number) => found(makeBuild({ atHome: { [boardKey(unsold)]: count } }), unsold, 'price');
  test('a board that nobody offers has no price, unless it is at home', () => {
    expect(home(0)).toEqual([['unknown', 'no price']]);
    expect(home(1)).toEqual([['holds', 'price']]);
  });
  test('shipping that nobody says leaves it open between none and the most that it plausibly is', () => {
    const sold = (shop: string, cents: number, shippingCents: number | null) => ({
      shop,
      cents,
      shippingCents,
      seen: '2026-11-01',
    });
    const unsaid = makeBoard({ offers: [sold('A', 5000, null)] });
    const on = (board: Board, budgetCents: number) =>
      found(makeBuild({ limits: { takeOffMassG: 700, budgetCents } }), board, 'price')[0]![0];
    const least = evaluate(makeBuild(), unsaid).totalCents!;
    expect([least - 1, least, least + 3999, least + 4000].map((b) => on(unsaid, b))).toEqual([
      'breaks',
      'unknown',
      'unknown',
      'holds',
    ]);
    // A dearer offer with all costs said is no way round a budget between the two, and is one above.
    const two = makeBoard({ offers: [sold('A', 5000, null), sold('B', 5500, 500)] });
    expect([least - 1, least + 999, least + 1000].map((b) => on(two, b))).toEqual(['breaks', 'unknown', 'holds']);
  });
});

describe('figures that cannot be true', () => {
  const doubted = (change: Parameters<typeof makeBoard>[0]) => doubtsAbout(makeBoard(change)).map((d) => d.says.code);
  const five = (source: ReturnType<typeof regulator>, pads: string[] = []) => [
    { id: 'pack', label: 'Pack', pads: ['vbat'], source: { kind: 'pack' as const } },
    { id: 'five', label: '5 V', pads, source },
  ];
  test('an efficiency of 99 in a hundred is the most that is believed', () => {
    expect(doubted({ rails: five(regulator(5, 2, { efficiency: says(0.99) })) })).toEqual([]);
    expect(doubted({ rails: five(regulator(5, 2, { efficiency: says(0.992) })) })).toEqual(['efficiency']);
  });
  test('six amps of a regulator are believed, more are doubted', () => {
    expect(doubted({ rails: five(regulator(5, 6)) })).toEqual([]);
    expect(doubted({ rails: five(regulator(5, 6.1)) })).toEqual(['strong regulator']);
  });
  // A pin of that family carries 3 A (its maker's data sheet, from memory).
  test('two pins of 3 A carry a rail of 6 A, and one of 3 A does not carry 4', () => {
    const plugged = (count: number, amps: number) =>
      doubted({
        pads: [
          { id: 'vbat', label: 'VBAT' },
          { id: 'a', label: 'A' },
          { id: 'b', label: 'B' },
        ],
        rails: five(regulator(5, amps), ['a', 'b'].slice(0, count)),
        plugs: [
          {
            id: 'p',
            label: 'P',
            family: 'XH',
            pins: [
              { name: '1', pad: 'a' },
              { name: '2', pad: 'b' },
            ].slice(0, count),
          },
        ] as never,
      });
    expect([plugged(2, 6), plugged(1, 4)]).toEqual([[], ['rail beyond its pins']]);
  });
});

describe('how a board lies', () => {
  test('one that has to turn for its holes is a compromise though it fits either way; a square one is none', () => {
    const bay = makeBuild({
      frame: {
        name: 'F',
        mounts: [{ alongMm: 20, acrossMm: 30, screw: 'M3' }],
        bayLengthMm: 60,
        bayWidthMm: 60,
        bayHeightMm: 20,
        openSides: ['left'],
      },
    });
    const pattern = {
      alongMm: says(30),
      acrossMm: says(20),
      screw: { value: 'M3' as const, origin: 'manual' as const },
    };
    const mounting = { ...holes(says(30)), patterns: [pattern] };
    const lying = (lengthMm: number, widthMm: number) =>
      found(bay, makeBoard({ mounting, lengthMm: says(lengthMm), widthMm: says(widthMm) }), 'outline');
    expect(lying(40, 30)).toEqual([['strained', 'in the bay']]);
    expect(lying(36, 36)).toEqual([['holds', 'in the bay']]);
  });
});

describe('a set on one another', () => {
  const controller = (mm: number) =>
    makeBoard({ id: 'top', name: 'Top', kind: 'flight controller', esc: undefined, mounting: holes(says(mm)) });
  const esc = (mm: Parameters<typeof holes>[0]) =>
    makeBoard({ id: 'low', name: 'Low', kind: 'esc', mounting: holes(mm) });
  const stands = (top: number, low: Parameters<typeof holes>[0], mounts = [30.5]) => {
    const build = makeBuild({
      frame: {
        name: 'F',
        mounts: mounts.map((alongMm) => ({ alongMm, screw: 'M3' })),
        bayLengthMm: 60,
        bayWidthMm: 60,
        bayHeightMm: 40,
        openSides: ['left'],
      },
    });
    const set = joined({ controller: controller(top), esc: esc(low) }, build);
    return evaluate(build, set)
      .rungs.flatMap((r) => r.findings)
      .flatMap((f) => (f.says.code === 'stands on' ? [[f.state, f.says.by]] : []));
  };
  test('on the same holes, on the frame’s own, on tape, or nobody says', () => {
    expect(stands(30.5, says(30.5))).toEqual([['holds', 'same holes']]);
    expect(stands(30.5, says(20), [30.5, 20])).toEqual([['strained', "the frame's holes"]]);
    expect(stands(20, says(30.5))).toEqual([['strained', 'tape']]);
    expect(stands(30.5, unknown)).toEqual([['unknown', 'unsaid']]);
  });
});
