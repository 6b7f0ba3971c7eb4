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
import { answerWith } from './answered';

export type Question =
  { about: 'fixes' } | { about: 'alternatives'; part: string } | { about: 'locks' } | { about: 'bridges' };
export interface Answers {
  fixes: ReturnType<typeof findFixes>;
  alternatives: ReturnType<typeof alternativesOf>;
  locks: ReturnType<typeof priceOfLocks>;
  bridges: ReturnType<typeof bridgeAlternativesOf>;
}

/** Answers one question about a build on a board; solving anew for each choice takes too long for the page itself. */
onmessage = ({
  data: { build, board, question, shelf },
}: MessageEvent<{ build: Build; board: Board; question: Question; shelf: Board[] }>) =>
  answerWith(async () => {
    const general = evaluate(build, board).setAside ? await generalSolver() : null;
    return answerTo(question, build, board, general, shelf);
  });

function answerTo(
  question: Question,
  build: Build,
  board: Board,
  general: GeneralSolver | null,
  shelf: Board[],
): Answers[Question['about']] {
  switch (question.about) {
    case 'fixes':
      return findFixes(build, board, general, shelf);
    case 'locks':
      return priceOfLocks(build, board, general);
    case 'bridges':
      return bridgeAlternativesOf(build, board, general);
    case 'alternatives':
      return alternativesOf(build, board, question.part, general);
  }
}
