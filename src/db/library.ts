import { asc, sql } from 'drizzle-orm';
import type { Board, Peripheral } from '../core';
import type { Database } from './connection';
import { boards, peripherals } from './schema';

export async function allBoards(db: Database): Promise<Board[]> {
  const rows = await db.select({ body: boards.body }).from(boards).orderBy(asc(boards.maker), asc(boards.name), asc(boards.id));
  return rows.map((r) => r.body);
}

export async function allPeripherals(db: Database): Promise<Peripheral[]> {
  const rows = await db.select({ body: peripherals.body }).from(peripherals).orderBy(asc(peripherals.kind), asc(peripherals.name));
  return rows.map((r) => r.body);
}

/** Adds boards, or replaces those with the same id. */
export async function putBoards(db: Database, list: Board[]): Promise<void> {
  for (let i = 0; i < list.length; i += 200) {
    const rows = list.slice(i, i + 200).map((b) => ({ id: b.id, maker: b.maker, name: b.name, revision: b.revision, body: b }));
    await db
      .insert(boards)
      .values(rows)
      .onConflictDoUpdate({
        target: boards.id,
        set: { maker: sql`excluded.maker`, name: sql`excluded.name`, revision: sql`excluded.revision`, body: sql`excluded.body`, updatedAt: sql`now()` },
      });
  }
}

export async function putPeripherals(db: Database, list: Peripheral[]): Promise<void> {
  for (let i = 0; i < list.length; i += 200) {
    const rows = list.slice(i, i + 200).map((p) => ({ id: p.id, kind: p.kind, name: p.name, body: p }));
    await db
      .insert(peripherals)
      .values(rows)
      .onConflictDoUpdate({ target: peripherals.id, set: { kind: sql`excluded.kind`, name: sql`excluded.name`, body: sql`excluded.body`, updatedAt: sql`now()` } });
  }
}
