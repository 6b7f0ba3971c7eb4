import {
  alternativesOf,
  bridgeAlternativesOf,
  evaluate,
  findFixes,
  priceOfLocks,
  type Board,
  type Build,
  type GeneralSolver,
} from '../core';
import { generalSolver } from '../highs/general-solver';

export type Question =
  { about: 'fixes' } | { about: 'alternatives'; part: string } | { about: 'locks' } | { about: 'bridges' };
export interface Answers {
  fixes: ReturnType<typeof findFixes>;
  alternatives: ReturnType<typeof alternativesOf>;
  locks: ReturnType<typeof priceOfLocks>;
  bridges: ReturnType<typeof bridgeAlternativesOf>;
}

/** Answers one question about a build on a board; solving anew for each choice takes too long for the page itself. */
onmessage = async (event: MessageEvent<{ id: number; build: Build; board: Board; question: Question }>) => {
  const { id, build, board, question } = event.data;
  const general = evaluate(build, board).setAside ? await generalSolver() : null;
  postMessage({ id, answer: answerTo(question, build, board, general) });
};

function answerTo(
  question: Question,
  build: Build,
  board: Board,
  general: GeneralSolver | null,
): Answers[Question['about']] {
  switch (question.about) {
    case 'fixes':
      return findFixes(build, board, general);
    case 'locks':
      return priceOfLocks(build, board, general);
    case 'bridges':
      return bridgeAlternativesOf(build, board, general);
    case 'alternatives':
      return alternativesOf(build, board, question.part, general);
  }
}
