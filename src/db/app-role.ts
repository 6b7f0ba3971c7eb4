import { createHmac } from 'node:crypto';
import { Client } from 'pg';

/** The role that the application connects as: it owns nothing, so row security holds for it. */
export const appRole = 'rung_app';

/** The queue's tables (server/queue.ts), where they have been made. */
const queueGrants = `
  grant usage on schema pgboss to ${appRole};
  grant select, insert, update, delete on all tables in schema pgboss to ${appRole};
  grant usage on all sequences in schema pgboss to ${appRole};
  grant execute on all functions in schema pgboss to ${appRole};
`;

/** What the application may do: everything with rows, nothing with tables; the audit list only grows. */
const grants = `
  grant usage on schema public to ${appRole};
  grant select, insert, update, delete on all tables in schema public to ${appRole};
  grant usage on all sequences in schema public to ${appRole};
  revoke update, delete on audit from ${appRole};
  grant execute on function workspaces_of(text), pass_of(text) to ${appRole};
`;

/**
 * Makes the application's role on the server of `owner`, the address of the database's owner, and lets it in; the address to connect as it. Its password follows from the
 * owner's, so that every process of one installation has the same, and nothing is to be kept. Fails where the owner may not make roles.
 */
export async function makeAppRole(owner: string): Promise<string> {
  const url = new URL(owner);
  const password = createHmac('sha256', decodeURIComponent(url.password)).update(appRole).digest('hex');
  await letAppIn(owner, password);
  url.username = appRole;
  url.password = password;
  return url.href;
}

/** Lets the application's role use the tables as they are now. With `password` it is made, or gets that one; without, it was made by hand and keeps its own. */
export async function letAppIn(owner: string, password: string | null = null): Promise<void> {
  const client = new Client({ connectionString: owner });
  await client.connect();
  try {
    await client.query('begin');
    // Two set-ups at once would change one role at once.
    await client.query("select pg_advisory_xact_lock(hashtext('rung role'))");
    const { rowCount } = await client.query('select 1 from pg_roles where rolname = $1', [appRole]);
    if (password !== null)
      await client.query(
        `${rowCount ? 'alter' : 'create'} role ${appRole} login password '${password}' nosuperuser nobypassrls nocreatedb nocreaterole noinherit`,
      );
    await client.query(grants);
    const { rows } = await client.query<{ there: boolean }>("select to_regnamespace('pgboss') is not null as there");
    if (rows[0]!.there) await client.query(queueGrants);
    await client.query('commit');
  } finally {
    await client.end();
  }
}

/** Why the application must not run as the role of this address, in a sentence; null where it may. */
export async function roleFault(address: string): Promise<string | null> {
  const client = new Client({ connectionString: address, connectionTimeoutMillis: 3000 });
  await client.connect();
  try {
    const { rows } = await client.query<{ super: boolean; exempt: boolean; owns: boolean; may: boolean }>(
      `select r.rolsuper as super, r.rolbypassrls as exempt,
        exists (select from pg_class c join pg_namespace n on n.oid = c.relnamespace
          where n.nspname = 'public' and c.relkind = 'r' and pg_has_role(r.oid, c.relowner, 'usage')) as owns,
        pg_has_role(r.oid, (select datdba from pg_database where datname = current_database()), 'usage') as may
       from pg_roles r where r.rolname = current_user`,
    );
    const role = rows[0]!;
    const words = [
      ...(role.super ? ['is a superuser'] : []),
      ...(role.exempt ? ['is exempt from row security'] : []),
      ...(role.owns || role.may ? ['owns what it should only use'] : []),
    ];
    return words.length === 0
      ? null
      : `The role of DATABASE_URL ${words.join(' and ')}: one workspace could then see another's rows. Start Rung with "npm start", which makes and uses the role ${appRole}, or set DATABASE_URL to it.`;
  } finally {
    await client.end();
  }
}
