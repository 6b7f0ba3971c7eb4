import { createHash } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import { rename } from 'node:fs/promises';
import { createInterface } from 'node:readline';
import { once } from 'node:events';
import { Client } from 'pg';
import { migrateDatabase } from './migrate';

/** What is kept of each table, and in which order a page of its rows is read. */
const tables = {
  workspaces: ['id'],
  people: ['id'],
  logins: ['id'],
  members: ['workspace', 'person'],
  passes: ['id'],
  boards: ['workspace', 'id'],
  peripherals: ['workspace', 'id'],
  builds: ['workspace', 'id'],
  photos: ['id'],
  milestones: ['name'],
  past: ['workspace', 'kind', 'id', 'version'],
  audit: ['id'],
} as const;
type Table = keyof typeof tables;
const names = Object.keys(tables) as Table[];

const page = 200;
const format = 'rung-backup';

export interface Counted {
  rows: Record<string, number>;
}

/**
 * Writes everything of a database as one open file: a line of JSON for each row (bytes in hexadecimal, as PostgreSQL writes them), one for the head, and one at the end
 * with the rows counted and a digest of all lines before it. It is one moment of the database, whoever writes meanwhile; the file appears under its name once it is whole.
 */
export async function writeBackup(url: string, file: string): Promise<Counted> {
  const client = new Client({ connectionString: url });
  await client.connect();
  const out = createWriteStream(`${file}.part`, { encoding: 'utf8' });
  const digest = createHash('sha256');
  const rows: Record<string, number> = {};
  const put = async (line: object, counted = true) => {
    // Readers of lines take these two for the end of one.
    const text = `${JSON.stringify(line).replaceAll('\u2028', '\\u2028').replaceAll('\u2029', '\\u2029')}\n`;
    if (counted) digest.update(text);
    if (!out.write(text)) await once(out, 'drain');
  };
  try {
    await client.query('begin isolation level repeatable read read only');
    // A role that row security holds for would write an empty file that looks whole.
    const { rows: held } = await client.query<{ held: boolean }>("select row_security_active('boards') as held");
    if (held[0]!.held)
      throw new Error(
        'this role sees only rows of one workspace. Set RUNG_OWNER_URL or DATABASE_URL to the owner of the database',
      );
    await put({ format, version: 1, made: new Date().toISOString() });
    for (const table of names) {
      rows[table] = 0;
      const keys = tables[table].join(', ');
      await client.query(
        `declare pages no scroll cursor for select to_jsonb(t) as row from ${table} t order by ${keys}`,
      );
      for (;;) {
        const { rows: some } = await client.query<{ row: object }>(`fetch ${page} from pages`);
        for (const { row } of some) await put({ table, row });
        rows[table] += some.length;
        if (some.length < page) break;
      }
      await client.query('close pages');
    }
    await put({ end: format, rows, sha256: digest.digest('hex') }, false);
  } finally {
    out.end();
    await once(out, 'close');
    await client.end();
  }
  await rename(`${file}.part`, file);
  return { rows };
}

/** Why a file is no whole backup, in a sentence; else its rows counted and its digest. Nothing is written. */
export async function checkBackup(
  file: string,
): Promise<{ ok: true; rows: Record<string, number>; sha256: string } | { ok: false; sentence: string }> {
  const no = (sentence: string) => ({ ok: false as const, sentence });
  const digest = createHash('sha256');
  const rows: Record<string, number> = Object.fromEntries(names.map((n) => [n, 0]));
  let number = 0;
  let end: { rows?: Record<string, number>; sha256?: unknown } | null = null;
  for await (const line of linesOf(file)) {
    number++;
    if (end) return no(`Line ${number} stands behind the end of the backup.`);
    const said = parsed(line);
    if (!said) return no(`Line ${number} is not JSON: the file is damaged.`);
    if (number === 1 && (said.format !== format || said.version !== 1))
      return no('This is not a backup of Rung, or one of a newer Rung.');
    if (said.end === format) end = said;
    else {
      digest.update(`${line}\n`);
      if (number > 1) {
        if (typeof said.table !== 'string' || !(said.table in rows))
          return no(`Line ${number} names no table that Rung has.`);
        rows[said.table]!++;
      }
    }
  }
  if (!end) return no('The backup ends in the middle: copy it again.');
  const sha256 = digest.digest('hex');
  if (end.sha256 !== sha256 || names.some((n) => (end!.rows?.[n] ?? 0) !== rows[n]))
    return no('The backup is damaged: what it holds is not what it says it holds.');
  return { ok: true, rows, sha256 };
}

/**
 * Brings a backup into a database that is empty, or in which restoring this very backup was interrupted: then it goes on where it stopped. The file is looked through
 * before anything is written.
 */
export async function restoreBackup(
  url: string,
  file: string,
): Promise<({ ok: true } & Counted) | { ok: false; sentence: string }> {
  const checked = await checkBackup(file);
  if (!checked.ok) return checked;
  await migrateDatabase(url);
  const client = new Client({ connectionString: url });
  await client.connect();
  const mark = `restoring ${checked.sha256}`;
  try {
    const begun = await client.query('select 1 from milestones where name = $1', [mark]);
    if (begun.rowCount === 0) {
      for (const table of names) {
        const { rowCount } = await client.query(
          `select 1 from ${table} t where to_jsonb(t)->>'id' is distinct from 'home' limit 1`,
        );
        if (rowCount)
          return {
            ok: false,
            sentence: 'That database is not empty. Restore into a new one, so that nothing of it is lost.',
          };
      }
      await client.query('insert into milestones (name) values ($1)', [mark]);
    }
    let waiting: { table: Table; rows: object[] } | null = null;
    const flush = async () => {
      if (!waiting) return;
      const { table, rows } = waiting;
      waiting = null;
      const columns = await writableColumns(client, table);
      // Each page is one transaction; a page that is there already is left as it is.
      await client.query(
        `insert into ${table} (${columns}) select ${columns} from jsonb_populate_recordset(null::${table}, $1::jsonb) on conflict do nothing`,
        [JSON.stringify(rows)],
      );
    };
    for await (const line of linesOf(file)) {
      const said = parsed(line);
      if (!said || typeof said.table !== 'string') continue;
      const table = said.table as Table;
      if (waiting && (waiting.table !== table || waiting.rows.length >= page)) await flush();
      waiting ??= { table, rows: [] };
      // Backups from before there were workspaces are of the one that there was.
      waiting.rows.push(ofHome.has(table) ? { workspace: 'home', ...(said.row as object) } : (said.row as object));
    }
    await flush();
    await client.query("select setval('audit_id_seq', greatest(1, (select max(id) from audit)))");
    await client.query('delete from milestones where name = $1', [mark]);
    return { ok: true, rows: checked.rows };
  } finally {
    await client.end();
  }
}

const ofHome = new Set<Table>(['boards', 'peripherals', 'builds', 'photos', 'past']);

/** The columns of a table that PostgreSQL does not work out itself. */
async function writableColumns(client: Client, table: Table): Promise<string> {
  const { rows } = await client.query<{ name: string }>(
    `select quote_ident(attname) as name from pg_attribute
     where attrelid = $1::regclass and attnum > 0 and not attisdropped and attgenerated = '' order by attnum`,
    [table],
  );
  return rows.map((r) => r.name).join(', ');
}

function linesOf(file: string): AsyncIterable<string> {
  return createInterface({ input: createReadStream(file, 'utf8'), crlfDelay: Infinity });
}

function parsed(line: string): Record<string, unknown> | null {
  try {
    const said: unknown = JSON.parse(line);
    return typeof said === 'object' && said !== null ? (said as Record<string, unknown>) : null;
  } catch {
    return null;
  }
}
