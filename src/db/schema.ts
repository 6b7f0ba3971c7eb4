import { customType, index, integer, jsonb, pgTable, text, timestamp } from 'drizzle-orm/pg-core';
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
