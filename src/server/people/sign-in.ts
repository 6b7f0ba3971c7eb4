import { publicAddress } from '../settings';
import { accounts } from './accounts';
import { countGuess, forgetGuesses } from './guesses';

const alone = 'Rung runs for this machine alone: nobody signs in.';

export type SignedIn =
  | { ok: true; cookies: string[] }
  /** `wait`: seconds, where there were too many guesses. */
  | { ok: false; sentence: string; wait: number | null };

/** Begins a session. A wrong address and a wrong password are answered alike, and in the same time. */
export async function signIn(
  { email, password }: { email: string; password: string },
  headers: Headers,
): Promise<SignedIn> {
  if (!publicAddress()) return { ok: false, sentence: alone, wait: null };
  const wait = await countGuess(email);
  if (wait !== null)
    return {
      ok: false,
      sentence: `Too many wrong passwords for this account. Try again in ${Math.ceil(wait / 60)} minutes.`,
      wait,
    };
  const reply = await accounts().api.signInEmail({ body: { email, password }, headers, asResponse: true });
  if (!reply.ok) return { ok: false, sentence: 'That address and that password do not belong together.', wait: null };
  await forgetGuesses(email);
  return { ok: true, cookies: reply.headers.getSetCookie() };
}

/** Ends the session of the request; the cookies that forget it. */
export async function signOut(headers: Headers): Promise<string[]> {
  if (!publicAddress()) return [];
  const reply = await accounts().api.signOut({ headers, asResponse: true });
  if (!reply.ok) throw new Error(`nobody was signed out: ${reply.status}`);
  return reply.headers.getSetCookie();
}
