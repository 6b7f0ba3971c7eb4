import { and, asc, eq } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import type { Database } from '../../db/connection';
import { members, people, workspaces, type Role } from '../../db/people-schema';
import { within } from '../../db/within';

export interface Member {
  person: string;
  name: string;
  email: string;
  role: Role;
}

/** Who is in the workspace that `db` is within, by name. */
export function membersOf(db: Database): Promise<Member[]> {
  return db
    .select({ person: members.person, name: people.name, email: people.email, role: members.role })
    .from(members)
    .innerJoin(people, eq(people.id, members.person))
    .orderBy(asc(people.name));
}

/** Lets a person in, or in another role than before. */
export async function putMember(db: Database, workspace: string, person: string, role: Role): Promise<void> {
  await db
    .insert(members)
    .values({ workspace, person, role })
    .onConflictDoUpdate({ target: [members.workspace, members.person], set: { role } });
}

/** Why a workspace would be left without an owner, or null where it would not. The rows are locked, so that two owners cannot leave at once. */
async function lastOwner(db: Database, person: string): Promise<string | null> {
  const owners = await db.select().from(members).where(eq(members.role, 'owner')).for('update');
  return owners.length === 1 && owners[0]!.person === person
    ? 'A workspace needs an owner: make somebody else one first. Nothing was changed.'
    : null;
}

export async function changeRole(db: Database, person: string, role: Role): Promise<string | null> {
  const fault = role === 'owner' ? null : await lastOwner(db, person);
  if (fault) return fault;
  const rows = await db.update(members).set({ role }).where(eq(members.person, person)).returning();
  return rows.length > 0 ? null : 'Nobody of that name is in this workspace.';
}

/** What somebody has open sees nothing from the next request on. */
export async function removeMember(db: Database, workspace: string, person: string): Promise<string | null> {
  const fault = await lastOwner(db, person);
  if (fault) return fault;
  const rows = await db
    .delete(members)
    .where(and(eq(members.workspace, workspace), eq(members.person, person)))
    .returning();
  return rows.length > 0 ? null : 'Nobody of that name is in this workspace.';
}

/** A workspace of one's own, empty, with its first owner. */
export async function newWorkspace(db: Database, name: string, person: string): Promise<string> {
  const id = `w-${randomUUID()}`;
  await within(db, id, async (own) => {
    await own.insert(workspaces).values({ id, name });
    await putMember(own, id, person, 'owner');
  });
  return id;
}
