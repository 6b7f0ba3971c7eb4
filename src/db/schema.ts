import { index, integer, jsonb, pgTable, text, timestamp } from 'drizzle-orm/pg-core';
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
