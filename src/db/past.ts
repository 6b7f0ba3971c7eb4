import { and, desc, eq, gt, sql } from 'drizzle-orm';
import { readData, type Board, type Build, type Peripheral } from '../core';
import type { Database } from './connection';
import { UnreadableRecord } from './faults';
import { boards, builds, past, peripherals } from './schema';

export const kinds = ['build', 'board', 'part'] as const;
export type Kind = (typeof kinds)[number];

export interface Earlier {
  kind: Kind;
  id: string;
  version: number;
  name: string;
  at: string;
}

const tables = { build: builds, board: boards, part: peripherals } as const;
const formats = { build: 'rung-build', board: 'rung-board', part: 'rung-peripheral' } as const;

/** Days for which what was removed can be brought back. */
export const keptDays = 30;

const listed = {
  kind: past.kind,
  id: past.id,
  version: past.version,
  name: sql<string>`coalesce(${past.body}->>'name', ${past.id})`,
  at: past.at,
};

const words = (rows: { kind: string; id: string; version: number; name: string; at: Date }[]): Earlier[] =>
  rows.map((r) => ({ ...r, kind: r.kind as Kind, at: r.at.toISOString() }));

/** What a thing was before, the latest first: one a sitting. */
export async function historyOf(db: Database, kind: Kind, id: string): Promise<Earlier[]> {
  const rows = await db
    .select(listed)
    .from(past)
    .where(and(eq(past.kind, kind), eq(past.id, id)))
    .orderBy(desc(past.version))
    .limit(100);
  return words(rows);
}

/** What was removed in the last 30 days and has not come back, the latest first. */
export async function binOf(db: Database): Promise<Earlier[]> {
  const rows = await db
    .select(listed)
    .from(past)
    .where(
      and(
        past.removed,
        gt(past.at, sql`now() - make_interval(days => ${keptDays})`),
        sql`not exists (select from past later where later.workspace = ${past.workspace} and later.kind = ${past.kind} and later.id = ${past.id} and later.version > ${past.version})`,
        sql`case ${past.kind}
          when 'build' then not exists (select from builds where builds.workspace = ${past.workspace} and builds.id = ${past.id})
          when 'board' then not exists (select from boards where boards.workspace = ${past.workspace} and boards.id = ${past.id})
          else not exists (select from peripherals where peripherals.workspace = ${past.workspace} and peripherals.id = ${past.id}) end`,
      ),
    )
    .orderBy(desc(past.at))
    .limit(200);
  return words(rows);
}

/** What a thing was before the first change since some moment, and what it is now; null: it was not there, or is not there any more. */
export interface MovedSince {
  kind: Kind;
  id: string;
  before: Build | Board | Peripheral | null;
  now: Build | Board | Peripheral | null;
}

/** So many things that moved are told of. */
export const mostMoved = 200;

/** What was changed, added or removed since a moment; of more than 200 the latest. What cannot be read is left out. */
export async function movedSince(db: Database, since: Date): Promise<MovedSince[]> {
  const { rows } = await db.execute<{ kind: Kind; id: string; before: unknown; now: unknown }>(sql`
    with now as (
      select 'build' kind, id, body, version, updated_at from builds
      union all select 'board', id, body, version, updated_at from boards
      union all select 'part', id, body, version, updated_at from peripherals
    ), earliest as (
      select distinct on (kind, id) kind, id, body, at from past where at > ${since.toISOString()} order by kind, id, version
    ), fresh as (
      select kind, id from now where version = 1 and updated_at > ${since.toISOString()}
    )
    select w.kind, w.id, e.body before, n.body now
    from (select kind, id from earliest union select kind, id from fresh) w
    left join earliest e using (kind, id) left join now n using (kind, id)
    order by coalesce(n.updated_at, e.at) desc limit ${mostMoved}`);
  return rows.flatMap(({ kind, id, before, now }) => {
    const read = (body: unknown) => {
      if (body === null) return null;
      const one = readData(body, formats[kind]);
      return one.ok ? one.value : undefined;
    };
    const [was, is] = [read(before), read(now)];
    return was === undefined || is === undefined ? [] : [{ kind, id, before: was, now: is }];
  });
}

/** One thing as it was; null where that is not kept. */
export async function asOf(
  db: Database,
  { kind, id, version }: Pick<Earlier, 'kind' | 'id' | 'version'>,
): Promise<Build | Board | Peripheral | null> {
  const [row] = await db
    .select({ body: past.body })
    .from(past)
    .where(and(eq(past.kind, kind), eq(past.id, id), eq(past.version, version)));
  if (!row) return null;
  const read = readData(row.body, formats[kind]);
  if (!read.ok) throw new UnreadableRecord(kind, id, read.faults);
  return read.value;
}

/** Makes what a thing was what it is, as its newest version; what stands there now is kept in its turn. Answers with that version, or null where there is nothing. */
export async function bringBack(
  db: Database,
  which: Pick<Earlier, 'kind' | 'id' | 'version'>,
): Promise<{ version: number } | null> {
  const { kind, id } = which;
  const body = await asOf(db, which);
  if (!body) return null;
  const table = tables[kind];
  return db.transaction(async (tx) => {
    const [changed] = await tx
      .update(table)
      .set({ body, version: sql`${table.version} + 1`, updatedAt: sql`now()` } as never)
      .where(eq(table.id, id))
      .returning({ version: table.version });
    if (changed) return changed;
    const [added] = await tx
      .insert(table)
      .values({ id, body } as never)
      .returning({ version: table.version });
    return added ?? null;
  });
}
