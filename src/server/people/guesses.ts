import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible';
import { database } from '../../db/connection';
import { createHash } from 'node:crypto';

/** Wrong passwords for one account before it rests, and for how long; NIST SP 800-63B (5.2.2) allows at most 100 in a row. */
export const mostGuesses = 10;
const restSeconds = 15 * 60;

const kept = globalThis as { rungGuesses?: RateLimiterPostgres };

function limiter(): RateLimiterPostgres {
  kept.rungGuesses ??= new RateLimiterPostgres({
    storeClient: database().$client,
    storeType: 'pool',
    tableName: 'guesses',
    tableCreated: true,
    points: mostGuesses,
    duration: restSeconds,
  });
  return kept.rungGuesses;
}

/** Accounts are counted by a digest: the table does not say who has one. */
const keyOf = (email: string) => createHash('sha256').update(email.toLowerCase()).digest('hex');

/** Counts a guess before it is looked at, so that many at once are counted too; answers with the seconds to wait where there were too many, else null. */
export async function countGuess(email: string): Promise<number | null> {
  try {
    await limiter().consume(keyOf(email));
    return null;
  } catch (error) {
    if (!(error instanceof RateLimiterRes)) throw error;
    return Math.max(1, Math.ceil(error.msBeforeNext / 1000));
  }
}

/** The right password: what was counted is forgotten. */
export async function forgetGuesses(email: string): Promise<void> {
  await limiter().delete(keyOf(email));
}
