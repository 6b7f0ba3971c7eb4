import { describe, expect, test } from 'vitest';
import { draggedIn } from '../bill/dragged-in';
import { evaluate } from '../evaluate/climb';
import { alternativesOf, priceOfLocks } from '../wiring/alternatives';
import { priceWords } from '../words/price-words';
import { holes, makeBoard, makeBuild, makePart, portsAndPads, regulator, says, serial, supply } from '../tests/make';
import { findFixes } from './find-fixes';

const rails = (amps: number) => [
  { id: 'pack', label: 'Pack', pads: ['vbat'], source: { kind: 'pack' as const } },
  { id: '5v', label: '5 V', pads: ['p5'], source: regulator(5, amps) },
];
const pads = (sides: string[]) => {
  const { ports, pads } = portsAndPads(sides);
  return { ports: ports!, pads: [...pads!, { id: 'p5', label: '5V' }] };
};

describe('fixes, each checked by climbing again with it in place', () => {
  const kinds = (build: ReturnType<typeof makeBuild>, board: ReturnType<typeof makeBoard>) =>
    findFixes(build, board).map((s) => s.fixes.map((f) => f.kind).join(' + '));

  test('an overloaded regulator: feed one part from another, or leave it out', () => {
    const board = makeBoard({ ...pads([]), rails: rails(1) });
    const build = makeBuild({}, [
      makePart('big', { supply: supply(4.5, 5.5, 0.9) }),
      makePart('small', { supply: supply(4.5, 5.5, 0.3) }),
    ]);
    expect(evaluate(build, board).stopsAt).toBe(7);
    const [best] = findFixes(build, board);
    expect(best).toMatchObject({ cents: 650, grams: 4, effort: 3, leftOut: [] });
    const mended = evaluate({ ...build, fixes: { plank: best!.fixes } }, board);
    expect(mended.stopsAt).toBeNull();
    expect(mended.hookup.cost).toMatchObject({ cents: 650, deciGrams: 40 });
    const small = (climb: ReturnType<typeof evaluate>) =>
      draggedIn(build, board, climb.hookup).reduce((sum, s) => sum + s.cents, 0);
    const before = evaluate(build, board);
    expect(mended.totalCents! - small(mended)).toBe(before.totalCents! - small(before) + 650);
  });
  test('no inverter for a one-way inverted line: put one into it', () => {
    const board = makeBoard({ ...pads(['rt']), processor: { value: 'F4', origin: 'manual' } });
    const build = makeBuild({}, [makePart('rx', { links: [serial('inverted-rc')] })]);
    expect(evaluate(build, board).stopsAt).toBe(5);
    expect(kinds(build, board)).toEqual(['signal inverter', 'leave out']);
    // The only receiver stays: nothing flies without. Of two, one may go.
    const receiver = (id: string) => makePart(id, { links: [serial('inverted-rc')] }, { kind: 'receiver' });
    expect(kinds(makeBuild({}, [receiver('rx')]), board)).toEqual(['signal inverter']);
    expect(kinds(makeBuild({}, [receiver('rx'), receiver('second')]), board).some((k) => k.includes('leave out'))).toBe(
      true,
    );
  });
  test('holes that do not meet: an adapter plate, which also weighs and stands higher', () => {
    const board = makeBoard({
      mounting: holes(says(20), 'M2'),
    });
    expect(kinds(makeBuild(), board)).toEqual(['adapter plate']);
    const mended = evaluate({ ...makeBuild(), fixes: { plank: [{ kind: 'adapter plate' }] } }, board);
    expect(mended.massG.low).toBe(evaluate(makeBuild(), board).massG.low + 3.5);
    expect(kinds(makeBuild(), { ...board, heightMm: says(18) })).toEqual([]); // 18 + 3 mm do not go into 20 mm
  });
  test('a board without ESC but with outputs: a separate one', () => {
    const outputs = [1, 2, 3, 4].map((n) => ({
      id: `m${n}`,
      label: `M${n}`,
      pad: `m${n}`,
      timer: 't',
      can: ['motor' as const],
    }));
    expect(
      kinds(
        makeBuild(),
        makeBoard({
          esc: undefined,
          outputs,
          pads: [{ id: 'vbat', label: 'VBAT' }, ...outputs.map((o) => ({ id: o.pad, label: o.label }))],
        }),
      ),
    ).toEqual(['separate ESC']);
  });
  test('where one is not enough, pairs; a sound board needs none', () => {
    const board = makeBoard({
      ...pads(['rt']),
      processor: { value: 'F4', origin: 'manual' },
      mounting: holes(says(20), 'M2'),
    });
    const build = makeBuild({}, [makePart('rx', { links: [serial('inverted-rc')] })]);
    expect(kinds(build, board)).toContain('adapter plate + signal inverter');
    expect(findFixes(makeBuild(), makeBoard())).toEqual([]);
  });
  test('where no pair is enough: what leads furthest, and where the board stops then', () => {
    // Overloaded, and over the budget whatever is left out: the board alone costs 50 of 40 euros.
    const board = makeBoard({ ...pads([]), rails: rails(1) });
    const build = makeBuild({ limits: { takeOffMassG: 700, budgetCents: 4000 } }, [
      makePart('big', { supply: supply(4.5, 5.5, 0.9) }),
      makePart('small', { supply: supply(4.5, 5.5, 0.3) }),
    ]);
    expect(evaluate(build, board).stopsAt).toBe(7);
    const starts = findFixes(build, board);
    expect(starts.map((s) => s.fixes.map((f) => f.kind))).toEqual([
      ['external regulator'],
      ['external regulator'],
      ['leave out'],
    ]);
    for (const s of starts) {
      expect(s.stopsAt).toBe(9);
      expect(evaluate({ ...build, fixes: { plank: s.fixes } }, board).stopsAt).toBe(9);
    }
  });
  test('an external regulator has the least usual volts that the part takes, a volt below the empty pack; where none does, there is none', () => {
    const of = (min: number, max: number, cells = 4) =>
      findFixes(
        makeBuild({ pack: { cells, chemistry: 'lipo', massG: says(180), cellMilliohm: says(1) } }, [
          makePart('cam', { supply: supply(min, max, 0.3) }),
        ]),
        makeBoard({ ...pads([]), rails: [] }),
      ).flatMap((s) => s.fixes.flatMap((f) => (f.kind === 'external regulator' ? [f.volts] : [])));
    // Four cells are empty at 13.2 V, three at 9.9, two at 6.6 (3.3 V a cell).
    expect([of(4.5, 5.5), of(4.5, 13), of(8, 13), of(5, 5), of(11, 13)]).toEqual([[5], [5], [9], [5], [12]]);
    expect([of(6, 8), of(10, 11), of(8, 13, 2), of(8.5, 9.5, 3), of(11, 13, 3)]).toEqual([[], [], [], [], []]);
    expect(of(4.5, 13, 2)).toEqual([5]);
  });

  test('parts of one name are told apart, a nice part has no fix but to stay behind, and money is that of the build', () => {
    const board = makeBoard({ ...pads([]), rails: rails(1) });
    const cam = (id: string, more = {}) => {
      const part = makePart(id, { supply: supply(4.5, 5.5, 0.7) }, more);
      return { ...part, peripheral: { ...part.peripheral, name: 'Cam' } };
    };
    const build = makeBuild({}, [cam('one'), cam('two')]);
    const euros = findFixes(build, board);
    expect(euros.map((s) => s.words.join())).toEqual([
      'Feed Cam #1 from an external 5 V regulator on the pack',
      'Feed Cam #2 from an external 5 V regulator on the pack',
      'Leave out Cam #1',
      'Leave out Cam #2',
    ]);
    expect(euros.map((s) => s.leftOut)).toEqual([[], [], ['Cam #1'], ['Cam #2']]);
    const francs = findFixes({ ...build, currency: 'CHF', rates: { EUR: 2 } }, board);
    expect(francs.map((s) => s.cents)).toEqual(euros.map((s) => 2 * s.cents));
    // Of a part that is nice nothing is mended: what it cannot have it does without.
    const withNice = findFixes(makeBuild({}, [cam('one'), cam('two'), cam('three', { priority: 'nice' })]), board);
    expect(withNice.flatMap((s) => s.fixes).every((f) => !('part' in f) || f.part !== 'three')).toBe(true);
  });

  test('over the budget: a part that is only nice may stay behind, before a must does', () => {
    const board = makeBoard({ ...pads(['rt', 'rt']) });
    const parts = [
      makePart('link', { links: [serial('ground-link')] }),
      makePart('extra', { links: [serial('positioning')] }, { priority: 'nice' }),
    ];
    const dear = evaluate(makeBuild({}, parts), board).totalCents!;
    const build = makeBuild({ limits: { takeOffMassG: 700, budgetCents: dear - 100 } }, parts);
    expect(evaluate(build, board).stopsAt).toBe(9);
    expect(findFixes(build, board).map((s) => s.leftOut)).toEqual([['extra'], ['link']]);
  });
});

describe('locks and alternatives', () => {
  const board = makeBoard({ ...pads(['rt', 'rt', 'r']), rails: rails(2) });
  const build = makeBuild({}, [
    makePart('gps', { links: [serial('positioning')], supply: supply(4.5, 5.5, 0.1) }),
    makePart('link', { links: [serial('ground-link')] }),
  ]);

  test('each port with its price: equal, a compromise, or not to be had', () => {
    const [serialNeed, supplyNeed] = alternativesOf(build, board, 'gps');
    expect(serialNeed!.alternatives.map((a) => [a.to, a.price && priceWords(a.price, build)])).toEqual([
      ['port1', 'costs nothing'],
      ['port2', 'costs nothing'],
      ['port3', '1 compromise'],
    ]);
    // Of two alike the nearer one.
    expect(serialNeed!.alternatives.filter((a) => a.chosen).map((a) => a.to)).toEqual(['port2']);
    expect(supplyNeed!.alternatives.map((a) => [a.to, a.price !== null])).toEqual(
      [
        ['vbat', false],
        ['5v', true],
      ].map(([id, ok]) => [id === 'vbat' ? 'pack' : id, ok]),
    );
  });
  test('a lock is obeyed and its price is the locked optimum minus the free one', () => {
    const locked = {
      ...build,
      locks: { plank: [{ kind: 'link' as const, part: 'gps', link: 'serial', to: 'port3' }] },
    };
    expect(evaluate(locked, board).hookup.parts[0]!.links[0]!.to).toEqual(['port3']);
    expect(priceWords(priceOfLocks(locked, board)!, locked)).toBe('1 compromise');
  });
  test('locking what is the best anyway costs nothing', () => {
    const locked = {
      ...build,
      locks: {
        plank: [
          { kind: 'link' as const, part: 'link', link: 'serial', to: 'port2' },
          { kind: 'supply' as const, part: 'gps', supply: 'supply', to: '5v' },
        ],
      },
    };
    expect(priceWords(priceOfLocks(locked, board)!, locked)).toBe('costs nothing');
    expect(evaluate(locked, board).verdict).toBe('fits');
  });
});
