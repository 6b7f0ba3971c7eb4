import { migrate } from 'drizzle-orm/node-postgres/migrator';
import { openDatabase } from './connection';

/** Brings a database to the newest schema; safe to run again. */
export async function migrateDatabase(url: string): Promise<void> {
  const { db, close } = openDatabase(url);
  try {
    await migrate(db, { migrationsFolder: 'drizzle' });
  } finally {
    await close();
  }
}
