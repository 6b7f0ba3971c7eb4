import { randomBytes } from 'node:crypto';
import { Client } from 'pg';
import { migrateDatabase } from '../migrate';

/** Makes an empty database of its own on a server, with all tables, for tests; its address. */
export async function freshDatabase(server: string): Promise<string> {
  const name = `rung_${randomBytes(6).toString('hex')}`;
  const client = new Client({ connectionString: server });
  await client.connect();
  await client.query(`create database ${name}`);
  await client.end();
  const url = server.replace(/\/[^/]*$/, `/${name}`);
  await migrateDatabase(url);
  return url;
}
