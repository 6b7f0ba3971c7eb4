import { sql } from 'drizzle-orm';
import {
  boolean,
  customType,
  doublePrecision,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
} from 'drizzle-orm/pg-core';
import type { Board, Build, Peripheral, RankedRow } from '../core';

const updatedAt = timestamp('updated_at', { withTimezone: true }).notNull().defaultNow();

/** Whose a row is. Row security (drizzle/0004_people.sql) shows and takes only rows of the workspace that `within` has set. */
const workspace = text('workspace')
  .notNull()
  .default(sql`coalesce(nullif(current_setting('rung.workspace', true), ''), 'home')`);
/** What PostgreSQL itself reads out of the document. */
const fromBody = (field: string, column = field) =>
  text(column)
    .notNull()
    .generatedAlwaysAs(sql.raw(`coalesce(body->>'${field}', '')`));

/** A number that PostgreSQL works out of the document: an end of a figure, or null where nobody says (drizzle/0008_sieve.sql). */
const figured = (column: string, expression: string) => doublePrecision(column).generatedAlwaysAs(sql.raw(expression));
const low = (path: string) => `figure_low(body${path})`;
const high = (path: string) => `figure_high(body${path})`;
const sides = `${low("->'lengthMm'")}, ${low("->'widthMm'")}`;
const amps = `${high("->'esc'->'continuousAmps'")}, ${high("->'esc'->'burstAmps'")}`;

/** The good ends of a board's figures, as the core says them (core/decide/good-ends.ts): a test holds that both say the same. */
const goodEnds = {
  shortMm: figured('short_mm', `least_of(${sides})`),
  longMm: figured('long_mm', `greatest(${sides})`),
  heightMm: figured('height_mm', low("->'heightMm'")),
  massG: figured('mass_g', low("->'massG'")),
  packVolts: figured(
    'pack_volts',
    `coalesce(${high("->'packMaxVolts'")}, least_of(most_of(${high("->'packCells'->'max'")}, 0), 1000) * 4.35::double precision + 0.001::double precision)`,
  ),
  fewestCells: figured('fewest_cells', low("->'packCells'->'min'")),
  channels: figured('channels', `case when body ? 'esc' then ${high("->'esc'->'channels'")} else 0 end`),
  continuousAmps: figured('continuous_amps', high("->'esc'->'continuousAmps'")),
  motorAmps: figured('motor_amps', `most_of(${amps})`),
  cents: figured('cents', `cheapest(body->'offers')`),
};

export const boards = pgTable(
  'boards',
  {
    workspace,
    id: text('id').notNull(),
    maker: fromBody('maker'),
    name: fromBody('name'),
    revision: fromBody('revision'),
    kind: fromBody('kind'),
    /** The version of the format that the document is written in. */
    format: fromBody('version', 'format'),
    ...goodEnds,
    body: jsonb('body').$type<Board>().notNull(),
    version: integer('version').notNull().default(1),
    updatedAt,
  },
  (t) => [
    primaryKey({ columns: [t.workspace, t.id] }),
    index('boards_maker_name').on(t.workspace, t.maker, t.name, t.revision),
  ],
);

export const peripherals = pgTable(
  'peripherals',
  {
    workspace,
    id: text('id').notNull(),
    kind: fromBody('kind'),
    name: fromBody('name'),
    body: jsonb('body').$type<Peripheral>().notNull(),
    version: integer('version').notNull().default(1),
    updatedAt,
  },
  (t) => [primaryKey({ columns: [t.workspace, t.id] })],
);

/** `version` counts saves; a save that does not build on the newest one is refused. */
export const builds = pgTable(
  'builds',
  {
    workspace,
    id: text('id').notNull(),
    name: fromBody('name'),
    body: jsonb('body').$type<Build>().notNull(),
    version: integer('version').notNull().default(1),
    updatedAt,
  },
  (t) => [primaryKey({ columns: [t.workspace, t.id] })],
);

const bytes = customType<{ data: Buffer }>({ dataType: () => 'bytea' });

/** Pictures of a board or of a logbook entry, stripped of what the camera added. */
export const photos = pgTable(
  'photos',
  {
    workspace,
    id: text('id').primaryKey(),
    about: text('about').notNull(),
    mime: text('mime').notNull(),
    body: bytes('body').notNull(),
    updatedAt,
  },
  (t) => [index('photos_about').on(t.workspace, t.about)],
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
    workspace,
    kind: text('kind').notNull(),
    id: text('id').notNull(),
    version: integer('version').notNull(),
    body: jsonb('body').$type<{ name: string }>().notNull(),
    removed: boolean('removed').notNull(),
    at: timestamp('at', { withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [primaryKey({ columns: [t.workspace, t.kind, t.id, t.version] }), index('past_at').on(t.workspace, t.at)],
);

/** Orders of a shelf that were worked out on the server: kept until the build or a board of the shelf changes, since the key holds their versions. */
export const rankings = pgTable(
  'rankings',
  {
    workspace,
    key: text('key').notNull(),
    build: text('build').notNull(),
    state: text('state').$type<'waiting' | 'running' | 'done' | 'failed'>().notNull().default('waiting'),
    done: integer('done').notNull().default(0),
    total: integer('total').notNull().default(0),
    rows: jsonb('rows').$type<RankedRow[]>(),
    /** Somebody waited for it then; long ago: nobody does any more. */
    waited: timestamp('waited', { withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [primaryKey({ columns: [t.workspace, t.key] })],
);
