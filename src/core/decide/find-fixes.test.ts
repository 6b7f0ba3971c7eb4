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
