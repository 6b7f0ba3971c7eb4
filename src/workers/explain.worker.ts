import { alternativesOf, findFixes, priceOfLocks, type Alternative, type Board, type Build, type FixSet, type Price } from '../core';

export type Question = { about: 'fixes' } | { about: 'alternatives'; part: string } | { about: 'locks' };
export interface Answers {
  fixes: FixSet[];
  alternatives: { need: string; alternatives: Alternative[] }[];
  locks: Price;
}

/** Answers one question about a build on a board; solving anew for each choice takes too long for the page itself. */
onmessage = (event: MessageEvent<{ id: number; build: Build; board: Board; question: Question }>) => {
  const { id, build, board, question } = event.data;
  const answer =
    question.about === 'fixes' ? findFixes(build, board) : question.about === 'locks' ? priceOfLocks(build, board) : alternativesOf(build, board, question.part);
  postMessage({ id, answer });
};
