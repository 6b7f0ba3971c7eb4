import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { figuresOf } from '../figures/board-figures';
import { circuitFigures } from '../figures/circuit-figures';
import { railFigures } from '../figures/rail-figures';
import { withTyped } from '../intake/typed-figure';
import type { Board } from '../records/board';
import type { Build, Part } from '../records/build';
import { isCandidate } from '../sets/roles';
import { demoBuilds, demoShelf } from '../tests/demo';
import { holes, makeBoard, makeBuild, makePart, portsAndPads, says, unknown } from '../tests/make';
import { bestSets } from './best-sets';
import { questionsFor } from './questions';
import { rankClimbs, rankShelf } from './rank-shelf';
import { setsInQuestion } from './sets-in-question';
import { candidateAt } from '../sets/candidate';

const shelf = demoShelf();
const asked = (build: Build, boards: Board[]) => questionsFor(build, boards, rankShelf(build, boards));
const fields = (build: Build, board: Board) => asked(build, [board]).map((q) => [q.field, q.wouldPick]);
const ports = portsAndPads(['rt']);
const libraryPart = (id: string): Part => ({
  id,
  priority: 'must',
  onUsb: false,
  owned: true,
  peripheral: shelf.peripherals.find((p) => p.id === id)!,
});

/** A board of which somebody says nothing of one figure: an answer must be able to settle what that leaves open. */
describe('what is open is asked, and an answer settles it', () => {
  test.each(demoBuilds().map((b, i) => [b.id, b, i] as const))('%s', (_, build, turn) => {
    const boards = shelf.boards.filter(isCandidate);
    const board = boards.find((b) => ['fits', 'fits with work'].includes(evaluate(build, b).verdict))!;
    const all = [...figuresOf(board), ...railFigures(board), ...circuitFigures(board)];
    const dead: string[] = [];
    // Every build takes its turn of the figures, so that together they meet each and no run takes minutes.
    for (const figure of all.filter((f, i) => i % 5 === turn && f.get(board))) {
      const open = figure.set(board, unknown as never);
      if (evaluate(build, open).verdict !== 'cannot say yet') continue;
      if (!asked(build, [open]).some((q) => q.field === figure.field)) dead.push(figure.field);
    }
    expect(dead).toEqual([]);
  });
});

describe('questions', () => {
  test('whether pads stand a 5 V signal is asked once for all of them, and answered once', () => {
    const build = makeBuild({}, [
      makePart('it', { links: [{ kind: 'serial', id: 's', protocol: 'range-finder', sendsVolts: 5 }] }),
    ]);
    const board = makeBoard(ports);
    expect(evaluate(build, board).verdict).toBe('cannot say yet');
    expect(fields(build, board)).toEqual([['pads.toleratesVolts', 'nothing if it is 3.3 V; Plank if it is 5.5 V']]);
    const say = (typed: string) =>
      withTyped(board, 'pads.toleratesVolts', typed, { origin: 'manual', seen: '2026-12-01', who: 'answered' })!;
    expect(evaluate(build, say('5')).verdict).toBe('fits');
    expect(evaluate(build, say('3.3')).verdict).toBe('does not fit');
  });

  test('of an ESC that says its burst alone, what it stands without end is asked: no more than the burst', () => {
    const esc = { channels: says(4), continuousAmps: unknown, burstAmps: says(50), burstSeconds: says(10) };
    expect(fields(makeBuild(), makeBoard({ esc }))).toEqual([
      ['esc.continuousAmps', 'nothing if it is 3 A; Plank if it is 50 A'],
    ]);
  });

  test('two figures that stand in each other’s way are both asked', () => {
    const board = makeBoard({ mounting: holes(unknown, null) });
    expect(
      asked(makeBuild(), [board])
        .map((q) => q.field)
        .sort(),
    ).toEqual(['mounting.patternMm', 'mounting.screw']);
  });

  test('the volts of a regulator are tried at those that regulators have', () => {
    const five = makeBoard({
      ...ports,
      pads: [{ id: 'v5', label: '5V' }, ...ports.pads!],
      rails: [
        { id: 'pack', label: 'Pack', pads: ['vbat'], source: { kind: 'pack' } },
        {
          id: 'five',
          label: '5 V',
          pads: ['v5'],
          source: {
            kind: 'regulator',
            type: 'buck',
            outVolts: unknown,
            ratedAmps: says(3),
            dropOutVolts: says(0.5),
            input: 'pack',
          },
        },
      ],
    });
    const build = makeBuild({}, [
      makePart('cam', {
        supply: { minVolts: says(4.5), maxVolts: says(5.5), typicalAmps: says(0.1), peakAmps: says(0.2), atVolts: 5 },
      }),
    ]);
    expect(fields(build, five)).toEqual([
      ['rails[1].source.outVolts', 'nothing if it is 3.3 V or 9 V or 12 V; Plank if it is 5 V'],
    ]);
  });

  test('whether an inverter stands before a pad is asked where the signal needs one', () => {
    const inverted = makePart('rx', { links: [{ kind: 'serial', id: 's', protocol: 'inverted-rc' }] });
    const board = makeBoard({
      ...ports,
      processor: { value: 'F4', origin: 'manual' },
      ports: ports.ports!.map((p) => ({ ...p, rx: p.rx!.map((e) => ({ ...e, sense: 'unknown' as const })) })),
    });
    expect(fields(makeBuild({}, [inverted]), board)).toEqual([
      ['ports[0].rx[0].sense', 'nothing if it is plain; Plank if it is inverted'],
    ]);
  });

  test('whether an ESC reports the current of each motor is asked where a part of the build is just that', () => {
    const digital = { value: 'digital both ways' as const, origin: 'manual' as const };
    const build = makeBuild({}, [libraryPart('amp-digital')]);
    const board = makeBoard({ motorLine: digital });
    expect(fields(build, board)).toEqual([['digitalCurrent.there', 'Plank if it is yes; nothing if it is no']]);
  });

  const roomy = makeBuild(
    {
      frame: { ...makeBuild().frame, bayHeightMm: 60, bayLengthMm: 80, bayWidthMm: 80 },
      motors: { count: 4, cruiseAmps: 6, peakAmps: 25, peakSeconds: 5, esc: 'any' },
      limits: { takeOffMassG: 1500, budgetCents: 90_000 },
    },
    [libraryPart('sounder-five')],
  );

  test('a member of several sets is asked once', () => {
    const { climbs } = bestSets(roomy, shelf.boards, { keep: 4 });
    const sets = climbs.map((c) => candidateAt(roomy, shelf.boards, c.boardId)!);
    const found = questionsFor(roomy, sets, rankClimbs(climbs));
    const keys = found.map((q) => `${q.boardId} ${q.field}`);
    expect(keys.length).toBeGreaterThan(0);
    expect(new Set(keys).size).toBe(keys.length);
  });

  test('a set that whole ones push out of the order is still in question', () => {
    // Of one controller it is said that its pads stand 5 V, of the dozen others not.
    const said = shelf.boards.map((b) =>
      b.id === 'marlpit-stile' ? { ...b, pads: b.pads.map((p) => ({ ...p, toleratesVolts: says(5) })) } : b,
    );
    const ranked = rankClimbs(bestSets(roomy, said, { keep: 3 }).climbs);
    expect(ranked.map((r) => r.climb.members![0]!.id)).toEqual(Array(3).fill('marlpit-stile'));
    const hidden = setsInQuestion(roomy, said, ranked);
    expect(hidden.map((c) => c.members![0]!.id)).toContain('tarnfield-thwart');
    expect(hidden.every((c) => c.verdict === 'cannot say yet')).toBe(true);
    // Where all of a kind is shown, or nothing is open, there is none.
    expect(setsInQuestion(makeBuild(), said, rankClimbs(bestSets(makeBuild(), said).climbs))).toEqual([]);
  });
});
