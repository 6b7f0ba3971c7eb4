import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { isCandidate } from '../sets/roles';
import { demoBuilds, demoShelf } from '../tests/demo';
import { failedLines } from './brief';
import { commonBreak } from './common-break';
import { whatMoved } from './moved';
import { rankClimbs } from './rank-shelf';
import { likelyFirst, slimmed } from './slim';
import { tellingRung } from './telling-rung';
import { undecidedBoards, type Undecided } from './undecided';
import { firstSentence, sentenceOf } from '../words/finding/sentence-of';

const boards = demoShelf().boards.filter(isCandidate);

/** What the list of the undecided says of each. */
const told = (undecided: Undecided[]) =>
  undecided.map((u) => [u.boardId, u.rank, ...u.hangsOn.map((h) => `${h.rung}: ${sentenceOf(h.finding)}`)]);

describe('a slim climb', () => {
  test.each(demoBuilds().map((b) => [b.id, b] as const))(
    'orders, and says what moved and what is in the way, as the whole one: %s',
    (_, build) => {
      const whole = boards.map((b) => evaluate(build, b));
      const slim = whole.map(slimmed);
      const order = (climbs: typeof whole) => rankClimbs(climbs).map((r) => [r.rank, r.climb.boardId, r.score]);
      expect(order(slim)).toEqual(order(whole));
      const richer = { ...build, limits: { ...build.limits, budgetCents: build.limits.budgetCents * 2 } };
      const after = rankClimbs(boards.map((b) => evaluate(richer, b)));
      expect(whatMoved(rankClimbs(slim), after)).toEqual(whatMoved(rankClimbs(whole), after));
      const said = commonBreak(rankClimbs(slim));
      expect(said && { ...said, finding: sentenceOf(said.finding) }).toEqual(
        (() => {
          const all = commonBreak(rankClimbs(whole));
          return all && { ...all, finding: sentenceOf(all.finding) };
        })(),
      );
      const first = (climbs: typeof whole) => climbs.map((c) => firstSentence(tellingRung(c)));
      expect(first(slim)).toEqual(first(whole));
      expect(told(undecidedBoards(rankClimbs(slim)))).toEqual(told(undecidedBoards(rankClimbs(whole))));
      const size = (climbs: typeof whole) => JSON.stringify(climbs).length;
      expect(size(slim)).toBeLessThan(size(whole) / 3);
    },
  );
});

test('the boards that keep every line of the brief climb first, and all that carry the build are among them', () => {
  for (const build of demoBuilds()) {
    const order = likelyFirst(build, boards);
    expect(order.map((b) => b.id).sort()).toEqual(boards.map((b) => b.id).sort());
    const keeping = boards.filter((b) => failedLines(build, b).length === 0);
    expect(order.slice(0, keeping.length)).toEqual(keeping);
    const carrying = boards.filter((b) => evaluate(build, b).stopsAt === null);
    expect(keeping).toEqual(expect.arrayContaining(carrying));
  }
});
