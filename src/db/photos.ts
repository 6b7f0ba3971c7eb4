import { asc, eq } from 'drizzle-orm';
import type { Database } from './connection';
import { photos } from './schema';

export async function addPhoto(
  db: Database,
  photo: { id: string; about: string; mime: string; body: Buffer },
): Promise<void> {
  await db.insert(photos).values(photo);
}

export async function photosAbout(db: Database, about: string): Promise<string[]> {
  const rows = await db
    .select({ id: photos.id })
    .from(photos)
    .where(eq(photos.about, about))
    .orderBy(asc(photos.updatedAt));
  return rows.map((r) => r.id);
}

export async function findPhoto(db: Database, id: string): Promise<{ mime: string; body: Buffer } | null> {
  const [row] = await db.select().from(photos).where(eq(photos.id, id));
  return row ? { mime: row.mime, body: row.body } : null;
}

export async function removePhoto(db: Database, id: string): Promise<void> {
  await db.delete(photos).where(eq(photos.id, id));
}
