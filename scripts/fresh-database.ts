import { randomBytes } from 'node:crypto';
import { Client } from 'pg';
import { execFileSync } from 'node:child_process';

/** Makes a database of its own on the given server, migrated and filled with the demo data; prints its address. */
const server = process.argv[2]!;
const name = `rung_${randomBytes(6).toString('hex')}`;
const client = new Client({ connectionString: server });
await client.connect();
await client.query(`create database ${name}`);
await client.end();
const url = server.replace(/\/[^/]*$/, `/${name}`);
execFileSync(process.execPath, [...process.execArgv, 'scripts/prepare-database.ts'], { env: { ...process.env, DATABASE_URL: url }, stdio: ['ignore', 'ignore', 'inherit'] });
console.log(url);
