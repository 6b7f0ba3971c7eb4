import type { Motors } from '../records/build';

const unknown = { unknown: true as const };
/** One ESC for so many motors sits under the board; single ones lie elsewhere. Common practice, no source. */
const fewestStacked = 4;

/** An ESC that the buyer has and has said nothing of. One channel until more are said: none is taken for granted. */
export function newOwnEsc({ count }: Pick<Motors, 'count'>): NonNullable<Motors['ownEsc']> {
  return {
    name: 'Own ESC',
    channels: 1,
    count: 1,
    continuousAmps: unknown,
    burstAmps: unknown,
    burstSeconds: unknown,
    maxCells: unknown,
    pins: [],
    heightMm: count < fewestStacked ? 0 : 6,
  };
}
