import type { Build } from '../../core';
import type { Who } from './who';

/** A build as whoever asks may see it: a guest gets what was shared, without the logbook, prices paid or earlier picks. */
export function asShown({ share }: Who, build: Build): Build {
  if (!share) return build;
  const { forkOf: _, ...rest } = build;
  const sheet = share.what === 'sheet' || share.what === 'build';
  return { ...rest, log: [], atHome: {}, picks: sheet ? rest.picks.slice(-1) : [], done: sheet ? rest.done : {} };
}
