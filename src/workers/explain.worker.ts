import { alternativesOf, bridgeAlternativesOf, findFixes, priceOfLocks, type Board, type Build } from '../core';

export type Question = { about: 'fixes' } | { about: 'alternatives'; part: string } | { about: 'locks' } | { about: 'bridges' };
export interface Answers {
  fixes: ReturnType<typeof findFixes>;
  alternatives: ReturnType<typeof alternativesOf>;
  locks: ReturnType<typeof priceOfLocks>;
  bridges: ReturnType<typeof bridgeAlternativesOf>;
}

/** Answers one question about a build on a board; solving anew for each choice takes too long for the page itself. */
onmessage = (event: MessageEvent<{ id: number; build: Build; board: Board; question: Question }>) => {
  const { id, build, board, question } = event.data;
  const answer = answerTo(question, build, board);
  postMessage({ id, answer });
};

function answerTo(question: Question, build: Build, board: Board): Answers[Question['about']] {
  switch (question.about) {
    case 'fixes':
      return findFixes(build, board);
    case 'locks':
      return priceOfLocks(build, board);
    case 'bridges':
      return bridgeAlternativesOf(build, board);
    case 'alternatives':
      return alternativesOf(build, board, question.part);
  }
}
