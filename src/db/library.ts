import { isDeepStrictEqual } from 'node:util';
import { and, asc, eq, inArray, sql, type SQL } from 'drizzle-orm';
import { filledIn, newestVersion, readData, type Board, type Peripheral } from '../core';
import type { Database } from './connection';
import { UnreadableRecord } from './faults';
import { boards, peripherals } from './schema';

export async function allBoards(db: Database): Promise<Board[]> {
  const rows = await db
    .select({ body: boards.body })
    .from(boards)
    .orderBy(asc(boards.maker), asc(boards.name), asc(boards.id));
  return rows.map((r) => current(r.body));
}

/**
 * All boards as one JSON list, with the version of each: the text as it is stored, so that thousands of boards need not be parsed only to be written again. `forGuest`: without what
 * nobody gives away, who changed what and the pages that figures were read from. `only`: which, and how many of them at most, drawn from all over the shelf.
 */
export async function boardsText(
  db: Database,
  { forGuest = false, only }: { forGuest?: boolean; only?: { where: SQL; most: number } } = {},
): Promise<{ text: string; versions: Record<string, number>; aside: Aside[] }> {
  const newest = sql<boolean>`${boards.body}->>'version' = ${String(newestVersion)} and ${boards.body} ?& array[${sql.join(
    filledIn.map((f) => sql`${f}`),
    sql`, `,
  )}]`;
  const body = forGuest
    ? sql<string>`(${boards.body} - 'sources' - 'corrections' || '{"history": []}')::text`
    : sql<string>`${boards.body}::text`;
  // Which they are comes first: the sort would carry the documents of all along, and read each of them.
  const among =
    only &&
    db
      .select({ id: boards.id })
      .from(boards)
      .where(only.where)
      .orderBy(sql`md5(${boards.id})`)
      .limit(only.most);
  const rows = await db
    .select({ id: boards.id, version: boards.version, body, newest })
    .from(boards)
    .where(among && inArray(boards.id, among))
    .orderBy(asc(boards.maker), asc(boards.name), asc(boards.id));
  const { sound: texts, aside } = setAside(rows, (r) =>
    r.newest ? r.body : JSON.stringify(current(JSON.parse(r.body) as Board)),
  );
  return { text: `[${texts.join(',')}]`, versions: Object.fromEntries(rows.map((r) => [r.id, r.version])), aside };
}

/** How many boards there are, all or those for which something holds. */
export function countBoards(db: Database, where?: SQL): Promise<number> {
  return db.$count(boards, where);
}

/** What changes with every change of any board or part, worked out without reading one of them. */
export async function shelfStamp(db: Database): Promise<string> {
  const { rows } = await db.execute<{ stamp: string }>(sql`select md5(
    (select coalesce(string_agg(id || ' ' || version, ',' order by id), '') from ${boards}) || '/' ||
    (select coalesce(string_agg(id || ' ' || version, ',' order by id), '') from ${peripherals})) as stamp`);
  return rows[0]!.stamp;
}

/** A row that cannot be read: it is named with its reason, and hides no other. */
export interface Aside {
  id: string;
  why: string;
}

function setAside<R extends { id: string }, T>(rows: R[], read: (row: R) => T): { sound: T[]; aside: Aside[] } {
  const sound: T[] = [];
  const aside: Aside[] = [];
  for (const row of rows) {
    try {
      sound.push(read(row));
    } catch (error) {
      if (!(error instanceof UnreadableRecord)) throw error;
      aside.push({ id: row.id, why: error.message });
    }
  }
  return { sound, aside };
}

/** A board stored by an older Rung, as the format has it now, with what has been added since at its default. Newer ones need no second reading. */
function current(stored: Board): Board {
  if (isNewest(stored) && filledIn.every((field) => field in stored)) return stored;
  const read = readData(stored, 'rung-board');
  if (!read.ok) throw new UnreadableRecord('board', stored.id, read.faults);
  return read.value;
}

/** The type says what is written now; a row may have been written by an older Rung. */
function isNewest({ version }: { version: number }): boolean {
  return version === newestVersion;
}

/** All parts that can be read, by kind and name. */
export async function allPeripherals(db: Database): Promise<Peripheral[]> {
  const rows = await db
    .select({ id: peripherals.id, body: peripherals.body })
    .from(peripherals)
    .orderBy(asc(peripherals.kind), asc(peripherals.name));
  return setAside(rows, ({ id, body }) => {
    if (isNewest(body)) return body;
    const read = readData(body, 'rung-peripheral');
    if (!read.ok) throw new UnreadableRecord('part', id, read.faults);
    return read.value;
  }).sound;
}

export type BoardSaved =
  | { kind: 'saved'; version: number }
  | { kind: 'conflict'; board: Board; version: number }
  | { kind: 'gone' }
  /** Another board has this maker, name and revision. */
  | { kind: 'named'; id: string };

/**
 * Saves one board on top of the version the change was made from; 0 adds a new one. Nobody adds or renames a board to the maker, name and revision of another one. That is asked here and not of an index: files and
 * backups that have such twins come in whole.
 */
export async function saveBoard(db: Database, board: Board, baseVersion: number): Promise<BoardSaved> {
  const twin = await twinOf(db, board);
  if (twin !== null) {
    const own = await db.select({ id: boards.id }).from(boards).where(eq(boards.id, board.id));
    return baseVersion > 0 && own.length === 0 ? { kind: 'gone' } : { kind: 'named', id: twin };
  }
  const values = { id: board.id, body: board };
  if (baseVersion === 0) {
    const added = await db.insert(boards).values(values).onConflictDoNothing().returning({ version: boards.version });
    if (added[0]) return { kind: 'saved', version: added[0].version };
  } else {
    const [row] = await db
      .update(boards)
      .set({ ...values, version: sql`${boards.version} + 1`, updatedAt: sql`now()` })
      .where(and(eq(boards.id, board.id), eq(boards.version, baseVersion)))
      .returning({ version: boards.version });
    if (row) return { kind: 'saved', version: row.version };
  }
  const [there] = await db.select().from(boards).where(eq(boards.id, board.id));
  if (!there) return { kind: 'gone' };
  // The same save again, after its answer was lost.
  return isDeepStrictEqual(current(there.body), board)
    ? { kind: 'saved', version: there.version }
    : { kind: 'conflict', board: current(there.body), version: there.version };
}

/** The board that is called the same, whatever the capitals; null where there is none, or where this one was called so before. Two at once wait for each other where `db` is a transaction. */
async function twinOf(db: Database, { id, maker, name, revision }: Board): Promise<string | null> {
  const called = [maker, name, revision].map((w) => w.toLowerCase());
  const same = sql`(lower(${boards.maker}), lower(${boards.name}), lower(${boards.revision})) = (${called[0]}, ${called[1]}, ${called[2]})`;
  await db.execute(sql`select pg_advisory_xact_lock(hashtext(${called.join('/')}))`);
  const rows = await db.select({ id: boards.id }).from(boards).where(same).orderBy(asc(boards.id));
  return rows.some((r) => r.id === id) ? null : (rows[0]?.id ?? null);
}

export async function findBoard(db: Database, id: string): Promise<{ board: Board; version: number } | null> {
  const [row] = await db.select().from(boards).where(eq(boards.id, id));
  return row ? { board: current(row.body), version: row.version } : null;
}

/** Takes a board off the shelf as the version that was seen; false when somebody has changed it since. What is not there is removed. */
export async function removeBoard(db: Database, id: string, seen: number): Promise<boolean> {
  const gone = await db
    .delete(boards)
    .where(and(eq(boards.id, id), eq(boards.version, seen)))
    .returning({ id: boards.id });
  if (gone.length > 0) return true;
  const there = await db.select({ id: boards.id }).from(boards).where(eq(boards.id, id));
  return there.length === 0;
}

/** Two imports at once that write their rows in one order wait for each other; in two orders they would lock each other out. Of one id twice the last counts. */
function byId<T extends { id: string }>(list: readonly T[]): T[] {
  return [...new Map(list.map((one) => [one.id, one])).values()].sort((a, b) => (a.id < b.id ? -1 : 1));
}

/** Those of some boards that are here, by their ids. */
export async function boardsWith(db: Database, ids: string[]): Promise<Map<string, Board>> {
  const found = new Map<string, Board>();
  for (let i = 0; i < ids.length; i += 1000) {
    const some = ids.slice(i, i + 1000);
    const rows = await db.select({ body: boards.body }).from(boards).where(inArray(boards.id, some));
    for (const r of rows) found.set(r.body.id, current(r.body));
  }
  return found;
}

/** The same for parts. */
export async function peripheralsWith(db: Database, ids: string[]): Promise<Map<string, Peripheral>> {
  const wanted = new Set(ids);
  const all = ids.length === 0 ? [] : await allPeripherals(db);
  return new Map(all.filter((p) => wanted.has(p.id)).map((p) => [p.id, p]));
}

/** Adds boards, or replaces those with the same id. */
export async function putBoards(db: Database, list: Board[]): Promise<void> {
  const inOrder = byId(list);
  for (let i = 0; i < list.length; i += 200) {
    const rows = inOrder.slice(i, i + 200).map((b) => ({ id: b.id, body: b }));
    await db
      .insert(boards)
      .values(rows)
      .onConflictDoUpdate({
        target: [boards.workspace, boards.id],
        set: {
          body: sql`excluded.body`,
          version: sql`${boards.version} + 1`,
          updatedAt: sql`now()`,
        },
      });
  }
}

export async function putPeripherals(db: Database, list: Peripheral[]): Promise<void> {
  const inOrder = byId(list);
  for (let i = 0; i < list.length; i += 200) {
    const rows = inOrder.slice(i, i + 200).map((p) => ({ id: p.id, body: p }));
    await db
      .insert(peripherals)
      .values(rows)
      .onConflictDoUpdate({
        target: [peripherals.workspace, peripherals.id],
        set: {
          body: sql`excluded.body`,
          version: sql`${peripherals.version} + 1`,
          updatedAt: sql`now()`,
        },
      });
  }
}
