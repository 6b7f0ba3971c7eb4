import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';

/** What one process takes in ten seconds; far above what pages ask, and what a script may be told otherwise by. */
const duration = 10;
const most = { changes: 1_500, reads: 6_000 } as const;
/** Requests at work at once: more would only wait for the database and hold memory. */
const mostAtOnce = 200;

const scale = Math.max(1, Number(process.env.RUNG_TRAFFIC_TIMES ?? 1) || 1);
const limits = {
  changes: new RateLimiterMemory({ points: most.changes * scale, duration }),
  reads: new RateLimiterMemory({ points: most.reads * scale, duration }),
};
const atOnce = new Map<string, number>();

/** On whose account a request goes, and what it weighs there: at 5, one visitor gets a fifth of what all get together, and never takes the whole of it. */
export interface Account {
  of: string;
  weight: number;
}
export const everybody: Account = { of: 'everybody', weight: 1 };
/** Many may share an address: a school, a club. */
export const fromAddress = (address: string): Account => ({ of: `address ${address}`, weight: 2 });
export const ofPerson = (id: string): Account => ({ of: `person ${id}`, weight: 5 });

export interface TooMuch {
  sentence: string;
  /** Seconds after which it is worth asking again. */
  wait: number;
}

/** Runs the work of a request where it may come in; what is too much is told so, and when to come again. */
export async function letIn<T>(method: string, { of, weight }: Account, work: () => Promise<T>): Promise<T | TooMuch> {
  const before = atOnce.get(of) ?? 0;
  if (before + weight > mostAtOnce * scale)
    return {
      sentence: 'Rung is at work on too many requests at once. Nothing was changed; ask again in a moment.',
      wait: 1,
    };
  atOnce.set(of, before + weight);
  try {
    const limit = method === 'GET' || method === 'HEAD' ? limits.reads : limits.changes;
    await limit.consume(of, weight);
    return await work();
  } catch (error) {
    if (!(error instanceof RateLimiterRes)) throw error;
    const wait = Math.max(1, Math.ceil(error.msBeforeNext / 1000));
    return {
      sentence: `That is more than Rung takes in ${duration} seconds. Nothing was changed; ask again in ${wait} s.`,
      wait,
    };
  } finally {
    const left = (atOnce.get(of) ?? weight) - weight;
    if (left > 0) atOnce.set(of, left);
    else atOnce.delete(of);
  }
}
