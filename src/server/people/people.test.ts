import { readFileSync, readdirSync } from 'node:fs';
import path from 'node:path';
import { sql } from 'drizzle-orm';
import { Client } from 'pg';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { appRole, makeAppRole, roleFault } from '../../db/app-role';
import { database, openDatabase } from '../../db/connection';
import { boards, builds } from '../../db/schema';
import { freshDatabase } from '../../db/tests/fresh-database';
import { within } from '../../db/within';
import { operations, type Needs } from '../api-description';
import { importFile } from '../import-file';
import { newBuild } from '../new-build';
import { addPerson, setPassword } from './accounts';
import { mostGuesses } from './guesses';
import { newWorkspace, putMember } from './members';
import { makePass, withdrawPass } from './passes';
import { signIn } from './sign-in';
import { shareCookie, workspaceCookie } from './who';

const address = 'http://rung.example:4000';
const password = 'four words make one';
let ownersUrl: string;
/** Cookies of everybody who tries, and the ids of two workspaces. */
const holds: Record<string, string> = {};
const tokens: Record<string, string> = {};
let ours: string;
let others: string;
let reader: string;

beforeAll(async () => {
  ownersUrl = await freshDatabase(process.env.TEST_DATABASE_URL!);
  Object.assign(process.env, {
    DATABASE_URL: await makeAppRole(ownersUrl),
    RUNG_ACCOUNTS: 'on',
    RUNG_PUBLIC_ADDRESS: address,
    RUNG_SECRET: 'a secret of the tests, long enough for all',
  });
  const db = database();
  const ids: Record<string, string> = {};
  for (const name of ['owner', 'editor', 'reader', 'stranger', 'nowhere'])
    ids[name] = (await addPerson(name, `${name}@club.example`, password))!;
  ours = await newWorkspace(db, 'Ours', ids.owner!);
  others = await newWorkspace(db, 'Others', ids.stranger!);
  reader = ids.reader!;
  await within(db, ours, async (own) => {
    await putMember(own, ours, ids.editor!, 'editor');
    await putMember(own, ours, ids.reader!, 'reader');
    await importFile(own, readFileSync('demo/builds/thimble.json', 'utf8'));
    await importFile(own, JSON.stringify(oneBoard));
    for (const role of ['editor', 'reader'] as const)
      tokens[role] = (await makePass(own, ours, { kind: 'token', label: role, role, days: 1 })).secret;
    tokens.share = (
      await makePass(own, ours, { kind: 'share', label: 'T', build: 'thimble', what: 'ladder', days: 1 })
    ).secret;
  });
  await within(db, others, async (own) => {
    await newBuild(own, 'Theirs');
    tokens.foreign = (await makePass(own, others, { kind: 'token', label: 'x', role: 'editor', days: 1 })).secret;
  });
  for (const name of Object.keys(ids)) holds[name] = await cookieOf(name);
});
afterAll(() => database().$client.end());

const shelf = JSON.parse(readFileSync('demo/shelf.json', 'utf8')) as { boards: { id: string }[] };
const oneBoard = shelf.boards[0]!;

async function cookieOf(name: string): Promise<string> {
  const signed = await signIn({ email: `${name}@club.example`, password }, new Headers({ host: 'rung.example:4000' }));
  if (!signed.ok) throw new Error(signed.sentence);
  return signed.cookies.map((c) => c.split(';')[0]).join('; ');
}

type Handler = (request: Request, context: { params: Promise<Record<string, string>> }) => Promise<Response>;

async function call(
  method: string,
  route: string,
  {
    cookie,
    token,
    id = 'thimble',
    query = '',
    body,
    origin = address as string | null,
    version = '1',
  }: {
    cookie?: string | undefined;
    token?: string | undefined;
    id?: string;
    query?: string;
    body?: string | undefined;
    origin?: string | null;
    version?: string;
  },
): Promise<{ status: number; said: Record<string, unknown>; headers: Headers }> {
  const handlers = (await import(path.resolve('src/app', route, 'route.ts'))) as Record<string, Handler>;
  const headers = new Headers({ host: 'rung.example:4000', 'if-match': version });
  if (cookie !== undefined) headers.set('cookie', cookie);
  if (token !== undefined) headers.set('authorization', `Bearer ${token}`);
  if (origin !== null) headers.set('origin', origin);
  const request = new Request(`${address}/${route}${query}`, {
    method,
    headers,
    ...(body === undefined ? {} : { body }),
  });
  const reply = await handlers[method]!(request, { params: Promise.resolve({ id, secret: id }) });
  const text = await reply.text();
  let said: Record<string, unknown> = {};
  try {
    said = JSON.parse(text) as Record<string, unknown>;
  } catch {
    // A picture, or nothing.
  }
  return { status: reply.status, said, headers: reply.headers };
}

/** Every route and method by its file, and the least that whoever calls must be. A route that is not described fails the test. */
const needs = Object.fromEntries(
  Object.entries(operations).map(([what, { needs }]) => [what.replace(' /', ' ').replace(/\{(\w+)\}/g, '[$1]'), needs]),
);

const routes = readdirSync('src/app', { recursive: true, encoding: 'utf8' })
  .filter((f) => f.endsWith('route.ts'))
  .map((f) => path.dirname(f));

describe('every route, every role', () => {
  test('every route of the application stands in the table', () => {
    const found = routes.flatMap((route) =>
      [
        ...readFileSync(`src/app/${route}/route.ts`, 'utf8').matchAll(
          /export (?:async )?function (GET|POST|PUT|DELETE|PATCH)\b/g,
        ),
      ].map((m) => `${m[1]} ${route}`),
    );
    expect(found.sort()).toEqual(Object.keys(needs).sort());
  });

  const rank = { nobody: 0, guest: 1, reader: 2, editor: 3, owner: 4 } as const;
  const least: Record<Needs, number> = { anyone: 0, guest: 1, reader: 2, editor: 3, owner: 4 } as const;
  const cases = Object.entries(needs).flatMap(([what, need]) =>
    (Object.keys(rank) as (keyof typeof rank)[]).map((role) => [what, role, rank[role] >= least[need]] as const),
  );
  test.each(cases)('%s as %s: let in %s', async (what, role, letIn) => {
    const [method, route] = what.split(' ') as [string, string];
    // Whatever is let in is refused for what it asks: no row of the others is needed for that, and nothing is changed.
    // Signing out would end the sessions of the tests that follow.
    const cookie =
      route === 'api/sign-out'
        ? ''
        : {
            nobody: '',
            guest: `${shareCookie('thimble')}=${tokens.share}`,
            reader: holds.reader,
            editor: holds.editor,
            owner: holds.owner,
          }[role];
    const reply = await call(method, route, {
      cookie,
      query: route === 'api/shelf' ? '?for=thimble' : '',
      version: '999',
      ...(method === 'GET' ? {} : { body: route === 'api/import' ? '{' : '{"id":"none"}' }),
      id: ['api/builds/[id]', 'api/builds/[id]/likely'].includes(route) ? 'thimble' : 'none',
    });
    if (!letIn) {
      expect([401, 403]).toContain(reply.status);
      return;
    }
    // Import reads in a thread that only the built application has.
    if (route === 'api/import') expect(reply.status).not.toBe(403);
    else
      expect([200, 201, 303, 404, 409, 422, 401].filter((s) => s !== 401 || route === 'api/sign-in')).toContain(
        reply.status,
      );
  });

  test.each(['POST', 'PUT', 'DELETE'])(
    '%s from another origin changes nothing, whoever is signed in',
    async (method) => {
      for (const what of Object.keys(needs).filter((n) => n.startsWith(`${method} `)))
        for (const origin of ['http://evil.example', 'null', 'http://rung.example'])
          expect((await call(method, what.split(' ')[1]!, { cookie: holds.owner, origin, body: '{}' })).status).toBe(
            403,
          );
    },
  );
});

describe("another workspace's rows", () => {
  test('are not there by any id: builds, boards, pictures, passes, people, history', async () => {
    const foreign = { cookie: holds.stranger };
    const put = readFileSync('demo/builds/thimble.json', 'utf8');
    for (const [method, route, more] of [
      ['GET', 'api/builds/[id]', {}],
      ['PUT', 'api/builds/[id]', { body: put }],
      ['POST', 'api/offers/[id]', { id: oneBoard.id }],
      ['PUT', 'api/people/[id]', { id: reader, body: '{"role":"owner"}' }],
      ['DELETE', 'api/people/[id]', { id: reader }],
      ['POST', 'api/past', { body: '{"kind":"build","id":"thimble","version":1}' }],
      ['POST', 'api/builds', { body: '{"name":"x","from":"thimble"}' }],
      ['POST', 'api/passes', { body: '{"kind":"share","build":"thimble","what":"build"}' }],
    ] as const)
      expect([404, 409], `${method} ${route}`).toContain((await call(method, route, { ...foreign, ...more })).status);
    const seen = await call('GET', 'api/shelf', foreign);
    expect(seen.said.boards).toEqual([]);
    expect((await call('GET', 'api/people', foreign)).said.members).toMatchObject([{ name: 'stranger' }]);
    expect((await call('GET', 'api/audit', foreign)).said.audit).toEqual([]);
    const list = await call('GET', 'api/passes', { cookie: holds.owner });
    const [pass] = list.said.passes as { id: string }[];
    expect((await call('DELETE', 'api/passes/[id]', { ...foreign, id: pass!.id })).status).toBe(404);
    // Naming the other workspace in the cookie chooses among one's own alone.
    const chosen = `${holds.stranger}; ${workspaceCookie}=${ours}`;
    expect((await call('GET', 'api/builds', { cookie: chosen })).said.builds).toMatchObject([{ name: 'Theirs' }]);
    expect((await call('PUT', 'api/workspaces', { ...foreign, body: JSON.stringify({ id: ours }) })).status).toBe(404);
    // Still there.
    expect((await call('GET', 'api/builds/[id]', { cookie: holds.reader })).status).toBe(200);
  });

  test('the second wall: past all code of ours, the role of the application sees and writes one workspace, and without one nothing', async () => {
    const app = new Client({ connectionString: process.env.DATABASE_URL });
    await app.connect();
    try {
      const count = async (table: string) => Number((await app.query(`select count(*) as n from ${table}`)).rows[0].n);
      for (const table of ['boards', 'builds', 'passes', 'members', 'audit', 'past', 'workspaces'])
        expect(await count(table)).toBe(0);
      await app.query("select set_config('rung.workspace', $1, false)", [others]);
      expect(await count('builds')).toBe(1);
      expect((await app.query('select workspace from builds')).rows).toEqual([{ workspace: others }]);
      await expect(
        app.query("insert into builds (workspace, id, body) values ($1, 'x', '{}')", [ours]),
      ).rejects.toThrow('row-level security');
      await expect(app.query('update builds set workspace = $1', [ours])).rejects.toThrow('row-level security');
      expect((await app.query("delete from builds where id = 'thimble'")).rowCount).toBe(0);
      expect((await app.query('delete from passes where workspace = $1', [ours])).rowCount).toBe(0);
      for (const forbidden of [
        'alter table builds disable row level security',
        'drop policy own_workspace on builds',
        'create table mine (x int)',
        "update audit set who = 'nobody'",
        'delete from audit',
        'set role postgres',
        `alter role ${appRole} superuser`,
        `alter role ${appRole} bypassrls`,
        'set session authorization rung',
      ])
        await expect(app.query(forbidden), forbidden).rejects.toThrow();
    } finally {
      await app.end();
    }
  });

  test('an owner, a superuser or an exempt role is told not to run the application', async () => {
    expect(await roleFault(process.env.DATABASE_URL!)).toBeNull();
    expect(await roleFault(ownersUrl)).toContain('superuser');
    const admin = new Client({ connectionString: ownersUrl });
    await admin.connect();
    const as = (name: string) => Object.assign(new URL(ownersUrl), { username: name, password: 'x' }).href;
    try {
      await admin.query("create role rung_exempt login bypassrls password 'x'");
      await admin.query("create role rung_owning login password 'x'");
      await admin.query('alter table boards owner to rung_owning');
      expect(await roleFault(as('rung_exempt'))).toContain('exempt');
      expect(await roleFault(as('rung_owning'))).toContain('owns');
    } finally {
      await admin.query('alter table boards owner to current_user');
      await admin.query('drop role if exists rung_exempt, rung_owning');
      await admin.end();
    }
  });

  test('two at work at once keep to their own, however their transactions lie', async () => {
    const { db, close } = openDatabase(process.env.DATABASE_URL!);
    const found = await Promise.all(
      Array.from({ length: 40 }, (_, i) =>
        within(db, i % 2 === 0 ? ours : others, async (own) => {
          await own.execute(sql`select pg_sleep(0.01)`);
          return (await own.select({ workspace: builds.workspace }).from(builds)).map((b) => b.workspace);
        }),
      ),
    );
    found.forEach((list, i) => expect(new Set(list)).toEqual(new Set([i % 2 === 0 ? ours : others])));
    expect(await db.select().from(boards)).toEqual([]);
    await close();
  });
});

describe('shares', () => {
  const guest = (secret: string | undefined) => `${shareCookie('thimble')}=${secret}`;

  test('open one build for looking, cut down to what was shared, and nothing else', async () => {
    const cookie = guest(tokens.share);
    const seen = await call('GET', 'api/builds/[id]', { cookie });
    expect(seen.said.build).toMatchObject({ id: 'thimble', log: [], picks: [], atHome: {} });
    expect((await call('GET', 'api/builds', { cookie })).status).toBe(401);
    expect((await call('GET', 'api/builds/[id]', { cookie, id: 'other' })).status).toBe(401);
    expect((await call('GET', 'api/shelf', { cookie })).status).toBe(401);
    const shelf = await call('GET', 'api/shelf', { cookie, query: '?for=thimble' });
    expect(shelf.status).toBe(200);
    // Who changed what, and the pages that figures were read from, are not shared.
    const boards = shelf.said.boards as { history: unknown[] }[];
    expect(boards.length).toBeGreaterThan(0);
    expect(boards.filter((b) => b.history.length > 0 || 'sources' in b || 'corrections' in b)).toEqual([]);
    // The cookie of one build with the name of another.
    const moved = `${shareCookie('other')}=${tokens.share}`;
    expect((await call('GET', 'api/builds/[id]', { cookie: moved, id: 'other' })).status).toBe(401);
    for (const token of [tokens.share!]) expect((await call('GET', 'api/builds', { token })).status).toBe(401);
  });

  test('withdrawn, expired or made up they open nothing from the next request on', async () => {
    const db = database();
    const made = await within(db, ours, (own) =>
      makePass(own, ours, { kind: 'share', label: 'T', build: 'thimble', what: 'build', days: 1 }),
    );
    const status = async (secret: string) => [
      (await call('GET', 'api/builds/[id]', { cookie: guest(secret) })).status,
      (await call('GET', 's/[secret]', { id: secret })).status,
    ];
    expect(await status(made.secret)).toEqual([200, 303]);
    await within(db, others, (own) => withdrawPass(own, made.id));
    expect(await status(made.secret)).toEqual([200, 303]);
    await within(db, ours, (own) => withdrawPass(own, made.id));
    expect(await status(made.secret)).toEqual([401, 404]);
    const late = await within(db, ours, (own) =>
      makePass(own, ours, { kind: 'share', label: 'T', build: 'thimble', what: 'build', days: -1 }),
    );
    expect(await status(late.secret)).toEqual([401, 404]);
    expect(await status('x'.repeat(43))).toEqual([401, 404]);
    expect(await status("' or true --".padEnd(43, 'x'))).toEqual([401, 404]);
  });
});

describe('tokens', () => {
  test('do what their role may in their workspace; they need no Origin, and cookies without one do nothing', async () => {
    const asked = { origin: null, body: '{"name":"By token"}' };
    expect((await call('POST', 'api/builds', { ...asked, token: tokens.editor })).status).toBe(201);
    expect((await call('POST', 'api/builds', { ...asked, token: tokens.reader })).status).toBe(403);
    expect((await call('POST', 'api/builds', { ...asked, cookie: holds.owner })).status).toBe(403);
    expect((await call('GET', 'api/builds/[id]', { token: tokens.foreign })).status).toBe(404);
    expect((await call('GET', 'api/audit', { token: tokens.editor })).status).toBe(403);
    expect((await call('GET', 'api/builds', { token: `${tokens.editor}x`, cookie: holds.owner })).status).toBe(401);
  });

  test('an editor makes shares, and neither tokens nor invitations; secrets are not listed', async () => {
    const cookie = holds.editor;
    const share = await call('POST', 'api/passes', {
      cookie,
      body: '{"kind":"share","build":"thimble","what":"sheet","days":7}',
    });
    expect(share.status).toBe(201);
    expect(share.said.link).toMatch(/^http:\/\/rung\.example:4000\/s\/.{43}$/);
    expect(
      (await call('POST', 'api/passes', { cookie, body: '{"kind":"token","label":"x","role":"owner"}' })).status,
    ).toBe(403);
    const list = await call('GET', 'api/passes', { cookie: holds.owner });
    expect(JSON.stringify(list.said)).not.toContain('digest');
    const token = (list.said.passes as { id: string; kind: string }[]).find((p) => p.kind === 'token')!;
    expect((await call('DELETE', 'api/passes/[id]', { cookie, id: token.id })).status).toBe(403);
    expect((await call('GET', 'api/builds', { token: tokens.reader })).status).toBe(200);
  });
});

describe('people', () => {
  test('join by a link that goes once, as a new account or as themselves', async () => {
    const invited = await call('POST', 'api/people', { cookie: holds.owner, body: '{"label":"Pat","role":"reader"}' });
    const secret = (invited.said.link as string).split('/').at(-1)!;
    const body = (more: object) =>
      JSON.stringify({ secret, name: 'Pat', email: 'pat@club.example', password, ...more });
    expect((await call('POST', 'api/join', { body: body({ password: 'short' }) })).status).toBe(422);
    expect((await call('POST', 'api/join', { body: body({ secret: tokens.share }) })).status).toBe(422);
    // An account that is there is not taken over by whoever holds an invitation.
    const taken = await call('POST', 'api/join', {
      body: body({ email: 'owner@club.example', password: 'something wrong' }),
    });
    expect(taken.status).toBe(422);
    const both = await Promise.all([1, 2].map(() => call('POST', 'api/join', { body: body({}) })));
    expect(both.map((b) => b.status).sort()).toEqual([200, 422]);
    expect((await call('POST', 'api/join', { body: body({ email: 'eve@club.example' }) })).status).toBe(422);
    const cookie = await cookieOf('pat');
    expect((await call('GET', 'api/builds', { cookie })).status).toBe(200);
    expect((await call('POST', 'api/builds', { cookie, body: '{"name":"x"}' })).status).toBe(403);
  });

  test('taken out they see nothing from the next request on, though their session goes on; the last owner stays', async () => {
    const { members } = (await call('GET', 'api/people', { cookie: holds.owner })).said as {
      members: { person: string; name: string }[];
    };
    const of = (name: string) => members.find((m) => m.name === name)!.person;
    const cookie = await cookieOf('pat');
    expect((await call('DELETE', 'api/people/[id]', { cookie: holds.owner, id: of('Pat') })).status).toBe(200);
    expect((await call('GET', 'api/builds', { cookie })).status).toBe(401);
    for (const [method, body] of [
      ['DELETE', undefined],
      ['PUT', '{"role":"reader"}'],
    ] as const)
      expect((await call(method, 'api/people/[id]', { cookie: holds.owner, id: of('owner'), body })).status).toBe(409);
    expect((await call('GET', 'api/builds', { cookie: holds.nowhere })).status).toBe(401);
    expect((await call('GET', 'api/audit', { cookie: holds.owner })).said.audit).toEqual(
      expect.arrayContaining([expect.objectContaining({ who: 'owner', what: 'took somebody out' })]),
    );
  });

  test('a wrong password and a wrong address are answered alike; after ten the account rests, also for the right one, and others do not', async () => {
    const guess = (email: string, tried: string) =>
      call('POST', 'api/sign-in', { body: JSON.stringify({ email, password: tried }) });
    const [wrong, nobody] = [await guess('editor@club.example', 'x'), await guess('none@club.example', 'x')];
    expect([wrong.status, wrong.said.sentence]).toEqual([nobody.status, nobody.said.sentence]);
    const tries = await Promise.all(
      Array.from({ length: 2 * mostGuesses }, (_, i) => guess('EDITOR@club.example', `guess ${i}`)),
    );
    expect(tries.filter((t) => t.status === 401)).toHaveLength(mostGuesses - 1);
    expect(tries.filter((t) => t.status === 429)).toHaveLength(mostGuesses + 1);
    const right = await guess('editor@club.example', password);
    expect(right.status).toBe(429);
    expect(Number(right.headers.get('retry-after'))).toBeGreaterThan(60);
    expect((await guess('owner@club.example', password)).status).toBe(200);
  });

  test('cookies are for the server alone; signed out, or after a new password, an old session opens nothing', async () => {
    const signed = await call('POST', 'api/sign-in', {
      body: JSON.stringify({ email: 'reader@club.example', password }),
    });
    for (const cookie of signed.headers.getSetCookie())
      expect(cookie).toMatch(/HttpOnly.*SameSite=Lax|SameSite=Lax.*HttpOnly/i);
    const cookie = await cookieOf('reader');
    await call('POST', 'api/sign-out', { cookie });
    expect((await call('GET', 'api/builds', { cookie })).status).toBe(401);
    const before = await cookieOf('reader');
    await setPassword(reader, 'quite another four words');
    expect((await call('GET', 'api/builds', { cookie: before })).status).toBe(401);
    expect((await call('GET', 'api/builds', { cookie: 'rung.session_token=made.up' })).status).toBe(401);
  });

  test('a password is kept as a scrypt hash with salt, a secret as a digest', async () => {
    const admin = new Client({ connectionString: ownersUrl });
    await admin.connect();
    const { rows } = await admin.query<{ password: string }>('select password from logins');
    expect(rows.every((r) => /^[0-9a-f]{32}:[0-9a-f]{128}$/.test(r.password))).toBe(true);
    expect(new Set(rows.map((r) => r.password)).size).toBe(rows.length);
    const { rows: kept } = await admin.query<{ digest: string }>('select digest from passes');
    for (const secret of Object.values(tokens)) expect(kept.map((k) => k.digest)).not.toContain(secret);
    await admin.end();
  });
});
