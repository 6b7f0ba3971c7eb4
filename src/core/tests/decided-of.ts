import { alternativesOf, bridgeAlternativesOf, priceOfLocks, type Choices } from '../wiring/alternatives';
import { buildInCurrency, leastOffer, partInMoneyOf } from '../bill/exchange';
import { bestSets } from '../decide/best-sets';
import { briefOf } from '../decide/brief';
import { likelyFirst, slimmed } from '../decide/slim';
import { memberBound } from '../decide/set-bounds';
import { scoreOf } from '../decide/score';
import { reasonableWeightings } from '../decide/weightings';
import { evaluate } from '../evaluate/climb';
import { unknown } from './make';
import { assumedIn } from '../decide/assumed-in';
import { buildDoubts } from '../decide/build-doubts';
import { buildQuestionsFor } from '../decide/build-questions';
import { bestWith } from '../decide/best-with';
import { commonBreak } from '../decide/common-break';
import { findFixes } from '../decide/find-fixes';
import { frontierOf, standingsCsv } from '../decide/frontier';
import { whatMoved } from '../decide/moved';
import { overBudget } from '../decide/over-budget';
import { pickOf, stillStands } from '../decide/pick';
import { questionsFor } from '../decide/questions';
import { rankShelf, type Ranked } from '../decide/rank-shelf';
import { robustnessOf } from '../decide/robustness';
import { tally } from '../decide/tally';
import { rankedRow } from '../decide/telling-rung';
import { undecidedBoards } from '../decide/undecided';
import { carries } from '../evaluate/outcome';
import type { Board } from '../records/board';
import type { Build, Lock } from '../records/build';
import { candidateAt } from '../sets/candidate';
import { isCandidate, roleOf } from '../sets/roles';
import { setId } from '../sets/set-id';
import { variedBoard } from './varied-board';

/** What the core decides for a build among a few boards and sets, by what it is; each is worked out when it is asked. */
export function decidedOf(build: Build, shelf: readonly Board[]): Record<string, () => unknown[]> {
  const alone = shelf.filter(isCandidate);
  const of = (role: ReturnType<typeof roleOf>) => shelf.filter((b) => roleOf(b) === role);
  const [esc] = of('esc');
  const sets = of('controller')
    .slice(0, 2)
    .flatMap((c) => candidateAt(build, shelf, setId([c.id, esc!.id])) ?? []);
  const boards = [...alone.filter((_, i) => i % 4 === 1), ...[3, 4].map((i) => variedBoard(i, alone)), ...sets];
  const many = [...alone, ...Array.from({ length: 40 }, (_, i) => variedBoard(500 + i, alone))];
  const few = (['controller', 'esc', 'power board'] as const).flatMap((role) => of(role).slice(0, 4));
  let order: Ranked[] | null = null;
  const ranked = () => (order ??= rankShelf(build, boards));
  const whole = () => ranked().filter((r) => carries(r.climb));
  const boardOf = (r: Ranked) => boards.find((b) => b.id === r.climb.boardId)!;
  const dearer: Build = {
    ...build,
    currency: 'USD',
    rates: { EUR: 1.2 },
    limits: {
      takeOffMassG: build.limits.takeOffMassG * 0.97,
      budgetCents: Math.round(build.limits.budgetCents * 0.8),
    },
  };
  const firsts = () => [
    ranked()[0]!,
    ...ranked()
      .filter((r) => r.climb.stopsAt !== null)
      .slice(0, 2),
  ];
  return {
    order: () => ranked().map((r) => ({ ...rankedRow(r), score: r.score })),
    robustness: () =>
      whole().length > 0
        ? [
            robustnessOf(
              whole().map((r) => r.climb),
              build.weighing,
            ),
          ]
        : [],
    'what is asked': () => questionsFor(build, boards, ranked()),
    'what is asked of the buyer': () => buildQuestionsFor(build, boards, ranked()),
    frontier: () => standingsCsv(frontierOf(ranked().map((r) => r.climb)), build.currency).split('\n'),
    'all in all': () => [
      { common: commonBreak(ranked()), over: overBudget(ranked()), tally: tally(build), assumed: assumedIn(build) },
      ...buildDoubts(build),
      ...undecidedBoards(ranked()),
    ],
    money: () => [
      { ...buildInCurrency(build, 'CHF', 0.95), parts: [], picks: [] },
      ...buildInCurrency(build, 'CHF', 0.95).parts.map((p) => p.peripheral.cents),
      ...build.parts.map((p) => partInMoneyOf(dearer, p.peripheral).cents),
      ...boards.map(leastOffer),
    ],
    'what moves': () => whatMoved(ranked(), rankShelf(dearer, boards)),
    picks: () =>
      firsts().flatMap((r) => {
        const pick = pickOf(build, boardOf(r), r, 0.5, '2026-11-29');
        return [{ ...pick, board: pick.board.id, with: pick.with.map((b) => b.id) }, stillStands(pick, ranked())];
      }),
    fixes: () =>
      firsts()
        .slice(1, 2)
        .flatMap((r) => findFixes(build, boardOf(r))),
    'other ways': () => [
      ...build.parts.slice(0, 3).flatMap((part) => alternativesOf(build, boards[0]!, part.id)),
      ...bridgeAlternativesOf(build, boards.find((b) => b.bridges.length > 0) ?? boards[1]!),
    ],
    'what locks cost': () =>
      build.parts
        .slice(0, 4)
        .flatMap((part) => locksOf(part.id, alternativesOf(build, boards[0]!, part.id)))
        .map((lock) => {
          const locked = { ...build, locks: { [boards[0]!.id]: [lock] } };
          return [lock, priceOfLocks(locked, boards[0]!), rankedRow(rankShelf(locked, [boards[0]!])[0]!)];
        }),
    'the least that a board needs': () =>
      briefOf(build).map((line) => `${line.asks}: ${many.map((b) => (line.fails(b) ? 'x' : '.')).join('')}`),
    'likely first': () => [
      likelyFirst(build, many).map((b) => b.id),
      ...boards.slice(0, 3).map((b) => slimmed(evaluate(build, b))),
    ],
    'best sets': () => {
      const { climbs, ...more } = bestSets(build, few, { keep: 5 });
      return [...climbs.map((c) => [c.boardId, c.verdict, scoreOf(c)]), more];
    },
    'bounds of members': () => few.map((b) => ({ ...memberBound(build, b), board: b.id })),
    'fixes with other members': () => findFixes(build, of('controller')[1]!, null, few),
    'what is asked of a page that says little': () =>
      whole()
        .slice(0, 1)
        .flatMap((r) => {
          const silent: Board = { ...boardOf(r), massG: unknown, heightMm: unknown, barometer: unknown, id: 'silent' };
          return questionsFor(build, [silent], rankShelf(build, [silent, ...boards.slice(0, 2)]));
        }),
    weightings: () => {
      const { weightings, agreeing } = reasonableWeightings(
        {
          statements: [
            { more: 'Motors', than: 'Cost' },
            { more: 'Cost', than: 'Weight' },
          ],
          ranges: { Comforts: [0, 0.1] },
        },
        6,
      );
      return [...weightings.map((w) => [...w].map((x) => x.toFixed(4))), agreeing];
    },
    'best with a member': () => [bestWith(build, esc!, shelf.slice(0, 24))?.boardId ?? null],
  };
}

/** Each thing of a part that could be otherwise, held at the first other way. */
function locksOf(part: string, choices: readonly Choices[]): Lock[] {
  return choices.flatMap(({ kind, need, alternatives }): Lock[] => {
    const to = alternatives.find((a) => !a.chosen)?.to;
    if (to === undefined) return [];
    if (kind === 'mode') return [{ kind, part, mode: to }];
    return [kind === 'link' ? { kind, part, link: need, to } : { kind, part, supply: need, to }];
  });
}
