import type { OnHome } from '@/workers/home.worker';
import { keptAnswers } from '../room/kept-answers';

/** How builds stood before a shelf, its sets counted, on a day. */
export const knownStands = keptAnswers<OnHome['stands'][string]>('rung-stands', 'stands', 60);
