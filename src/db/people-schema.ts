import {
  bigint,
  bigserial,
  boolean,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
} from 'drizzle-orm/pg-core';

const at = (column: string) => timestamp(column, { withTimezone: true });
const made = at('made').notNull().defaultNow();

/** A club, a shop, a school: one shelf, its builds, and the people who may see them. Alone on one machine there is one, "home". */
export const workspaces = pgTable('workspaces', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  made,
  /** What new builds are paid in, and what others are worth in it; null: euros. */
  money: jsonb('money').$type<WorkspaceMoney>(),
});

export interface WorkspaceMoney {
  currency: string;
  rates: Record<string, number>;
}

export const roles = ['owner', 'editor', 'reader'] as const;
export type Role = (typeof roles)[number];

export const members = pgTable(
  'members',
  {
    workspace: text('workspace')
      .notNull()
      .references(() => workspaces.id, { onDelete: 'cascade' }),
    person: text('person')
      .notNull()
      .references(() => people.id, { onDelete: 'cascade' }),
    role: text('role').$type<Role>().notNull(),
    made,
  },
  (t) => [primaryKey({ columns: [t.workspace, t.person] })],
);

export const passKinds = ['invitation', 'share', 'token', 'recovery'] as const;
export type PassKind = (typeof passKinds)[number];
export const shareable = ['build', 'ladder', 'sheet', 'brief'] as const;
export type Shareable = (typeof shareable)[number];

/** Whoever holds the secret of a pass gets in so far as it says. Only a digest of the secret is kept. */
export const passes = pgTable(
  'passes',
  {
    id: text('id').primaryKey(),
    workspace: text('workspace')
      .notNull()
      .references(() => workspaces.id, { onDelete: 'cascade' }),
    kind: text('kind').$type<PassKind>().notNull(),
    digest: text('digest').notNull().unique(),
    label: text('label').notNull(),
    /** Of an invitation and a token: what its holder may do. */
    role: text('role').$type<Role>(),
    /** Of a share: which build, and what of it. */
    build: text('build'),
    what: text('what').$type<Shareable>(),
    /** Of a recovery: whose new password. */
    person: text('person'),
    made,
    expires: at('expires'),
    withdrawn: at('withdrawn'),
    /** An invitation and a recovery go once. */
    used: at('used'),
  },
  (t) => [index('passes_workspace').on(t.workspace)],
);

/** Who did what, for the owners. The application may add to it and read it, never change it. */
export const audit = pgTable(
  'audit',
  {
    id: bigserial('id', { mode: 'number' }).primaryKey(),
    workspace: text('workspace').notNull(),
    at: at('at').notNull().defaultNow(),
    who: text('who').notNull(),
    what: text('what').notNull(),
    about: text('about').notNull(),
  },
  (t) => [index('audit_workspace_at').on(t.workspace, t.at)],
);

/** The tables of better-auth, under names of ours. */
const updated = {
  createdAt: at('created_at').notNull().defaultNow(),
  updatedAt: at('updated_at').notNull().defaultNow(),
};

export const people = pgTable('people', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  email: text('email').notNull().unique(),
  emailVerified: boolean('email_verified').notNull().default(false),
  image: text('image'),
  ...updated,
});

export const sessions = pgTable('sessions', {
  id: text('id').primaryKey(),
  expiresAt: at('expires_at').notNull(),
  token: text('token').notNull().unique(),
  ipAddress: text('ip_address'),
  userAgent: text('user_agent'),
  userId: text('user_id')
    .notNull()
    .references(() => people.id, { onDelete: 'cascade' }),
  ...updated,
});

export const logins = pgTable('logins', {
  id: text('id').primaryKey(),
  accountId: text('account_id').notNull(),
  providerId: text('provider_id').notNull(),
  userId: text('user_id')
    .notNull()
    .references(() => people.id, { onDelete: 'cascade' }),
  accessToken: text('access_token'),
  refreshToken: text('refresh_token'),
  idToken: text('id_token'),
  accessTokenExpiresAt: at('access_token_expires_at'),
  refreshTokenExpiresAt: at('refresh_token_expires_at'),
  scope: text('scope'),
  password: text('password'),
  ...updated,
});

export const verifications = pgTable('verifications', {
  id: text('id').primaryKey(),
  identifier: text('identifier').notNull(),
  value: text('value').notNull(),
  expiresAt: at('expires_at').notNull(),
  ...updated,
});

/** Wrong passwords by account, counted by rate-limiter-flexible over all processes. */
export const guesses = pgTable('guesses', {
  key: text('key').primaryKey(),
  points: integer('points').notNull().default(0),
  expire: bigint('expire', { mode: 'number' }),
});
