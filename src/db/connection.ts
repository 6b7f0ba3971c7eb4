import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import { Pool } from 'pg';
import * as people from './people-schema';
import * as things from './schema';

const schema = { ...things, ...people };

export type Database = NodePgDatabase<typeof schema>;
/** The same with its pool, for what must speak with PostgreSQL itself. */
export type Pooled = Database & { $client: Pool };

/** Opens a pool; a lost connection is reported by the next query, never by a crash, and a database that does not answer any more within half a minute. */
export function openDatabase(url: string, answersWithinMs = 25_000): { db: Pooled; close: () => Promise<void> } {
  const pool = new Pool({
    connectionString: url,
    max: 10,
    connectionTimeoutMillis: 3000,
    statement_timeout: 20_000,
    query_timeout: answersWithinMs,
  });
  // A connection that ends while it is lent out says so to whoever asks next; without a listener it would end the process.
  pool.on('error', () => undefined);
  pool.on('connect', (client) => client.on('error', () => undefined));
  return { db: drizzle(pool, { schema }), close: () => pool.end() };
}

const kept = globalThis as { rungDatabase?: Pooled };

/** Where the application's database is. */
export function databaseUrl(): string {
  const url = process.env.DATABASE_URL;
  if (!url)
    throw new Error('DATABASE_URL is not set: start Rung with "npm run demo", or set it to a PostgreSQL address.');
  return url;
}

/** The application's one pool. */
export function database(): Pooled {
  kept.rungDatabase ??= openDatabase(databaseUrl()).db;
  return kept.rungDatabase;
}
