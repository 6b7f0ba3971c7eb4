import { createHash } from 'node:crypto';
import { describe, expect, test } from 'vitest';
import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { isCandidate, roleOf } from '../sets/roles';
import { demoBuilds, demoShelf } from '../tests/demo';
import { unknown } from '../tests/make';
import { bestSets } from './best-sets';
import { bestWith } from './best-with';
import { briefOf } from './brief';
import { buildQuestionsFor } from './build-questions';
import { findFixes } from './find-fixes';
import { padsInPlenty } from './pads-in-plenty';
import { questionsFor } from './questions';
import { rankShelf } from './rank-shelf';
import { tippingPoints } from './sensitivity';

const shelf = demoShelf().boards;
const alone = shelf.filter(isCandidate);
const printOf = (all: unknown) => createHash('sha256').update(JSON.stringify(all)).digest('hex').slice(0, 8);
const builds = demoBuilds();
const nth = (id: string) => builds.findIndex((b) => b.id === id);
/** Boards of the demo that carry each build, or nearly. */
const likely: Record<string, string[]> = {
  'attic-mouse': ['dunmarrow-teal', 'quillon-coracle', 'marlpit-dory'],
  'belfry-six': ['tarnfield-keel-f7', 'quillon-gable', 'dunmarrow-lintel'],
  gutterling: ['pellmere-yawl', 'copperwren-wicket-20', 'marlpit-skiff'],
  saltgrass: ['oxbow-heron-wing', 'tarnfield-plover', 'quillon-turnpike'],
  thimble: ['dunmarrow-grebe', 'quillon-coracle', 'dunmarrow-teal'],
};
/** Of the first the mass and the pads are unknown, of the second what sending it costs. */
const few = (id: string): Board[] =>
  likely[id]!.map((name, i) => {
    const board = shelf.find((b) => b.id === name)!;
    if (i === 1) return { ...board, offers: board.offers.map((o) => ({ ...o, shippingCents: null })) };
    return i === 0 ? { ...board, massG: unknown, allPads: unknown } : board;
  });
const open = (build: Build): Build => ({
  ...build,
  bareMassG: unknown,
  parts: build.parts.map((p, i) =>
    i === 0 ? { ...p, peripheral: { ...p.peripheral, massG: unknown, cents: null, offers: [] } } : p,
  ),
});

type Of = 'questions' | 'ofBuyer' | 'tips' | 'fixes' | 'brief' | 'pads' | 'members';
const recorded: Record<string, Partial<Record<Of, string>>> = {
  'attic-mouse': {
    questions: 'e2fe8b6c',
    ofBuyer: '05963594',
    fixes: '4f53cda1',
    brief: '06936b86',
    pads: 'e320b3a2',
    members: '1a2efc2f',
  },
  'belfry-six': { ofBuyer: 'd932b9b1', fixes: '9408f630', brief: 'e524e7f8', pads: '6c11e48a', members: 'e7ffb8e1' },
  gutterling: { ofBuyer: '8e275f49', fixes: '4f53cda1', brief: 'c172cfef', pads: '03badd63', members: '99b92117' },
  saltgrass: { ofBuyer: 'daa0fb48', fixes: '4f53cda1', brief: '01feb6a3', pads: '297f97e3', members: 'e0aa803b' },
  thimble: {
    questions: 'a4748b94',
    ofBuyer: '4f53cda1',
    tips: '108a7bd8',
    fixes: '4f53cda1',
    brief: 'da960bdf',
    pads: '88e73a97',
    members: 'cdc9193c',
  },
};

/** A changed decision is noticed in a moment; what it changed is seen in `recorded-words.txt`, or by looking. */
describe.each(builds.map((b) => [b.id, b] as const))('%s, on a shelf of few', (id, build) => {
  const boards = few(id);
  const prints = recorded[id]!;
  // Questions and tips of many parts take seconds: each figure is tried at a dozen values.
  if (prints.questions)
    test('what is asked of sellers', () =>
      expect(printOf(questionsFor(build, boards, rankShelf(build, boards)))).toBe(prints.questions));
  test('what is asked of the buyer', () =>
    expect(printOf(buildQuestionsFor(open(build), boards, rankShelf(open(build), boards)))).toBe(prints.ofBuyer));
  if (prints.tips)
    test('what tips the pick', () => {
      const ranked = rankShelf(build, boards);
      const first = boards.find((b) => b.id === ranked[0]!.climb.boardId)!;
      expect(printOf(tippingPoints(build, first, ranked).slice(0, 12))).toBe(prints.tips);
    });
  test('what would mend the first that stops', () => {
    const stopped = alone.slice(5 * nth(id)).find((b) => rankShelf(build, [b])[0]!.climb.stopsAt !== null)!;
    expect(printOf(findFixes(build, stopped, null, shelf.slice(0, 20)))).toBe(prints.fixes);
  });
  test('the least that any board needs, and which boards fail it', () => {
    const lines = briefOf(build).map(({ fails, ...line }) => ({ ...line, fails: alone.map((b) => fails(b)) }));
    expect(printOf(lines)).toBe(prints.brief);
  });
  test('a board with whatever pads it may have', () =>
    expect(printOf([...boards, ...alone.slice(0, 6)].map((b) => padsInPlenty(b)))).toBe(prints.pads));
  test('members, alone and in sets', () => {
    const of = (role: ReturnType<typeof roleOf>) => shelf.filter((b) => roleOf(b) === role).slice(0, 2);
    const members = [...of('controller'), ...of('esc'), ...of('power board')];
    const with_ = [...of('esc'), ...of('power board')].map((m) => bestWith(build, m, members)?.boardId);
    const { climbs, ...search } = bestSets(build, members);
    expect(printOf([with_, climbs.map((c) => [c.boardId, c.verdict]), search])).toBe(prints.members);
  });
});
