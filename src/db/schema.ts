import { boolean, customType, index, integer, jsonb, pgTable, primaryKey, text, timestamp } from 'drizzle-orm/pg-core';
import type { Board, Build, Peripheral } from '../core';

const updatedAt = timestamp('updated_at', { withTimezone: true }).notNull().defaultNow();

export const boards = pgTable(
  'boards',
  {
    id: text('id').primaryKey(),
    maker: text('maker').notNull(),
    name: text('name').notNull(),
    revision: text('revision').notNull(),
    body: jsonb('body').$type<Board>().notNull(),
    version: integer('version').notNull().default(1),
    updatedAt,
  },
  (t) => [index('boards_maker_name').on(t.maker, t.name, t.revision)],
);

export const peripherals = pgTable('peripherals', {
  id: text('id').primaryKey(),
  kind: text('kind').notNull(),
  name: text('name').notNull(),
  body: jsonb('body').$type<Peripheral>().notNull(),
  version: integer('version').notNull().default(1),
  updatedAt,
});

/** `version` counts saves; a save that does not build on the newest one is refused. */
export const builds = pgTable('builds', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  body: jsonb('body').$type<Build>().notNull(),
  version: integer('version').notNull().default(1),
  updatedAt,
});

const bytes = customType<{ data: Buffer }>({ dataType: () => 'bytea' });

/** Pictures of a board or of a logbook entry, stripped of what the camera added. */
export const photos = pgTable(
  'photos',
  {
    id: text('id').primaryKey(),
    about: text('about').notNull(),
    mime: text('mime').notNull(),
    body: bytes('body').notNull(),
    updatedAt,
  },
  (t) => [index('photos_about').on(t.about)],
);

/** What has happened once to this database and must not happen again, by name: that the demo's data was loaded. */
export const milestones = pgTable('milestones', {
  name: text('name').primaryKey(),
  at: timestamp('at', { withTimezone: true }).notNull().defaultNow(),
});

/**
 * What builds, boards and parts were before they were changed or removed. Triggers of the database write it (drizzle/0003_past.sql), so that no way of changing them can
 * forget to: one row a sitting, and one for every removal.
 */
export const past = pgTable(
  'past',
  {
    kind: text('kind').notNull(),
    id: text('id').notNull(),
    version: integer('version').notNull(),
    body: jsonb('body').$type<{ name: string }>().notNull(),
    removed: boolean('removed').notNull(),
    at: timestamp('at', { withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [primaryKey({ columns: [t.kind, t.id, t.version] }), index('past_at').on(t.at)],
);
