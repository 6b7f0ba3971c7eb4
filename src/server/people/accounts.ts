import { betterAuth } from 'better-auth';
import { drizzleAdapter } from 'better-auth/adapters/drizzle';
import { database } from '../../db/connection';
import { logins, people, sessions, verifications } from '../../db/people-schema';
import { publicAddress } from '../settings';

const days = 24 * 60 * 60;
export const leastPassword = 12;

function made() {
  const address = publicAddress()!;
  return betterAuth({
    baseURL: address.origin,
    secret: process.env.RUNG_SECRET!,
    database: drizzleAdapter(database(), {
      provider: 'pg',
      schema: { user: people, session: sessions, account: logins, verification: verifications },
    }),
    // Nobody signs up: an owner invites (join.ts). Passwords are hashed with scrypt by the package.
    emailAndPassword: { enabled: true, disableSignUp: true, minPasswordLength: leastPassword, maxPasswordLength: 200 },
    session: { expiresIn: 14 * days, updateAge: days },
    // Only our own routes call it, and they count guesses themselves (guesses.ts).
    rateLimit: { enabled: false },
    telemetry: { enabled: false },
    trustedOrigins: [address.origin],
    advanced: {
      cookiePrefix: 'rung',
      useSecureCookies: address.protocol === 'https:',
      defaultCookieAttributes: { sameSite: 'lax', httpOnly: true },
    },
    logger: { disabled: true },
  });
}

const kept = globalThis as { rungAccounts?: ReturnType<typeof made> };

/** Accounts and sessions; only with RUNG_ACCOUNTS=on. */
export function accounts(): ReturnType<typeof made> {
  kept.rungAccounts ??= made();
  return kept.rungAccounts;
}

/** A new person with a password; null where the address has an account already. */
export async function addPerson(name: string, email: string, password: string): Promise<string | null> {
  const { internalAdapter, password: hasher } = await accounts().$context;
  if (await internalAdapter.findUserByEmail(email)) return null;
  const user = await internalAdapter
    .createUser({ name, email: email.toLowerCase(), emailVerified: false }, { method: 'email-password' })
    .catch(async (error: unknown) => {
      // Somebody was first: the column is unique.
      if (await internalAdapter.findUserByEmail(email)) return null;
      throw error;
    });
  if (!user) return null;
  await internalAdapter.linkAccount({
    userId: user.id,
    providerId: 'credential',
    accountId: user.id,
    password: await hasher.hash(password),
  });
  return user.id;
}

/** Gives a person a new password and ends all that was signed in with the old one. */
export async function setPassword(person: string, password: string): Promise<void> {
  const { internalAdapter, password: hasher } = await accounts().$context;
  await internalAdapter.updatePassword(person, await hasher.hash(password));
  await internalAdapter.deleteUserSessions(person);
}
