import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { startingCraft, startingKinds } from '../intake/starting-craft';
import { startingParts, startingPartsOf } from '../intake/starting-parts';
import { isCandidate } from '../sets/roles';
import { demoShelf } from '../tests/demo';
import { makeBoard, makeBuild, makePart, regulator, says, supply } from '../tests/make';
import { damaged, lawfulPair } from '../tests/lawful-pair';
import { randomPair } from '../tests/random-build';
import { auditHookup } from './audit';
import { sentenceOf } from '../words/finding/sentence-of';

const rail = (source: object, more: object = {}) => [
  { id: 'pack', label: 'Pack', pads: [], source: { kind: 'pack' as const } },
  { id: 'five', label: '5 V', pads: ['vbat'], source: source as never, ...more },
];
const build = (minVolts: number, maxVolts: number, amps: number) =>
  makeBuild({}, [makePart('tx', { supply: supply(minVolts, maxVolts, amps, 5) })]);
const sound = makeBoard({ rails: rail(regulator(5, 2)) });

describe('planted faults: a hookup that was lawful, on a board that is not as the rungs were told', () => {
  const { hookup } = evaluate(build(4.5, 5.5, 0.5), sound);
  const codes = (board: Parameters<typeof auditHookup>[1], b = build(4.5, 5.5, 0.5)) => [
    ...new Set(auditHookup(b, board, hookup).map((c) => c.code)),
  ];
  test('nothing is said of the lawful one', () => expect(codes(sound)).toEqual([]));
  test('a regulator of 9 V: too many volts', () =>
    expect(codes(makeBoard({ rails: rail(regulator(9, 2)) }))).toEqual(['too many volts']));
  test('a regulator of 3.3 V: too few', () =>
    expect(codes(makeBoard({ rails: rail(regulator(3.3, 2)) }))).toEqual(['too few volts']));
  test('a regulator of 0.3 A: overloaded, and its volts give way', () =>
    expect(codes(makeBoard({ rails: rail(regulator(5, 0.3)) }))).toEqual(
      expect.arrayContaining(['regulator overloaded', 'too few volts']),
    ));
  test('a regulator of 5.6 V and USB on one rail that nothing keeps apart: the one drives the other; behind diodes it does not', () => {
    const kept = (isolated: boolean) => [
      rail({})[0]!,
      { id: 'a', label: 'A', pads: [], source: regulator(5.6, 2) },
      { id: 'b', label: 'B', pads: [], source: { kind: 'usb' as const, dropVolts: 0 } },
      {
        id: 'five',
        label: '5 V',
        pads: ['vbat'],
        source: { kind: 'either' as const, of: ['a', 'b'], isolated: { value: isolated, origin: 'manual' as const } },
      },
    ];
    const wide = build(4.5, 6, 0.5);
    expect(codes(makeBoard({ rails: kept(false) }), wide)).toEqual(['back-feeds']);
    expect(codes(makeBoard({ rails: kept(true) }), wide)).toEqual([]);
  });
});

test('a board whose regulator cannot even feed the board itself breaks at Load, with nothing on its rails', () => {
  const own = makeBoard({ rails: rail(regulator(5, 0.02), { ownAmps: says(0.4) }) });
  const climb = evaluate(makeBuild({}, []), own);
  expect(climb.stopsAt).toBe(7);
  expect(sentenceOf(climb.rungs[6]!.findings[0]!)).toContain(
    'The board itself draws 0.4 A through the 5 V rail, which carries 0.02 A',
  );
  const unsaid = makeBoard({ rails: rail(regulator(5, 0.2), { ownAmps: { unknown: true } }) });
  expect(evaluate(makeBuild({}, []), unsaid).verdict).toBe('cannot say yet');
  const enough = makeBoard({ rails: rail(regulator(5, 0.5), { ownAmps: says(0.4) }) });
  expect(evaluate(makeBuild({}, []), enough).stopsAt).toBe(null);
});

test('fifty random boards and builds: the solved circuit never contradicts the rungs', () => {
  for (let seed = 1; seed <= 17; seed++) {
    const { build: b, board } = lawfulPair(seed);
    const random = randomPair(seed, { parts: 3, ports: 6, rails: 6, bridges: 2 });
    for (const [x, y] of [
      [b, board],
      [b, damaged(board, seed)],
      [random.build, random.board],
    ] as const) {
      const said = evaluate(x, y).rungs.flatMap((r) => r.findings.filter((f) => f.code === 'circuit disagrees'));
      expect(said).toEqual([]);
    }
  }
});

test.each(startingKinds)(
  '%s as a newcomer begins it: on no board of the demo does the circuit contradict the rungs',
  (kind) => {
    for (const asked of [
      ['analogue video', 'digital video'],
      ['receiver', 'analogue video', 'lights'],
      startingParts,
    ] as const) {
      const parts = startingPartsOf(
        kind,
        asked.map((part) => ({ part, owned: true })),
      );
      const begun = makeBuild({ ...startingCraft(kind) }, parts);
      for (const board of demoShelf().boards.filter(isCandidate)) {
        const said = evaluate(begun, board).rungs.flatMap((r) =>
          r.findings.filter((f) => f.code === 'circuit disagrees'),
        );
        expect(said, `${asked.join(', ')} on ${board.name}`).toEqual([]);
      }
    }
  },
);
