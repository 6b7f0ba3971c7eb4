import { eq, sql } from 'drizzle-orm';
import { euro } from '../core';
import type { Database } from './connection';
import { workspaces, type WorkspaceMoney } from './people-schema';

/** The workspace that `within` has set; alone on one machine there is one. */
const here = eq(workspaces.id, sql`coalesce(nullif(current_setting('rung.workspace', true), ''), 'home')`);

/** What new builds of the workspace at hand are paid in. */
export async function moneyOf(db: Database): Promise<WorkspaceMoney> {
  const [row] = await db.select({ money: workspaces.money }).from(workspaces).where(here);
  return row?.money ?? { currency: euro, rates: {} };
}

export async function sayMoney(db: Database, money: WorkspaceMoney): Promise<void> {
  await db.update(workspaces).set({ money }).where(here);
}
