import pino from 'pino';
import { databaseUrl, openDatabase } from '../src/db/connection';
import { roleFault } from '../src/db/app-role';
import { openQueue, rankingQueue, type RankingJob } from '../src/server/queue';
import { rankJob } from '../src/server/rank-job';

/** A process that ranks shelves; any number of them may run, on any number of machines, each with DATABASE_URL of the application's role. */
const log = pino({ name: 'rung worker' });
const fault = await roleFault(databaseUrl());
if (fault) {
  console.error(`The worker was not started: ${fault}`);
  process.exit(1);
}
const { db, close } = openDatabase(databaseUrl());
const queue = await openQueue(databaseUrl());
await queue.work<RankingJob>(rankingQueue, { pollingIntervalSeconds: 0.5, batchSize: 1 }, async ([job]) => {
  const begun = performance.now();
  const said = await rankJob(db, job!.data);
  log.info({ job: job!.id, said, ms: Math.round(performance.now() - begun) });
});
log.info('waits for work');

const stop = async () => {
  await queue.stop({ graceful: true, timeout: 10_000 });
  await close();
  process.exit(0);
};
process.once('SIGTERM', () => void stop());
process.once('SIGINT', () => void stop());
