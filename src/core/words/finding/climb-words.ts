import type { ClimbSays } from '../../rungs/says/climb-says';
import type { WordsOf } from './words-of';

export const climbWords: WordsOf<ClimbSays> = {
  'nothing to judge': () => 'Nothing is wired that could be wrong here.',
  'stops before': () => 'Not worked out, since the board stops before. Open it for all of it.',
  'too many steps': ({ steps }) =>
    `The wiring was not worked out within the ${steps.toLocaleString('en')} steps of one climb: nothing is said about rungs 4 to 7.`,
  'climb failed': ({ why }) => why,
};
