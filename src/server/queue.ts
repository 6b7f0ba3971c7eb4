import { PgBoss } from 'pg-boss';

/** The one kind of job: a shelf to be ranked for a build. */
export const rankingQueue = 'ranking';
export interface RankingJob {
  workspace: string;
  key: string;
  build: string;
}

/** Makes or renews the tables of the queue, as the owner of the database, who alone may. */
export async function prepareQueue(ownersUrl: string): Promise<void> {
  const boss = new PgBoss({ connectionString: ownersUrl, supervise: false, schedule: false });
  boss.on('error', () => undefined);
  await boss.start();
  if (!(await boss.getQueue(rankingQueue)))
    await boss.createQueue(rankingQueue, { retryLimit: 1, expireInSeconds: 600, deleteAfterSeconds: 3600 });
  await boss.stop({ graceful: false });
}

/** The queue as the application and its workers use it. */
export async function openQueue(url: string): Promise<PgBoss> {
  const boss = new PgBoss({
    connectionString: url,
    migrate: false,
    createSchema: false,
    supervise: false,
    schedule: false,
    max: 2,
  });
  // A lost connection is told by the next job, never by a crash.
  boss.on('error', () => undefined);
  await boss.start();
  return boss;
}
