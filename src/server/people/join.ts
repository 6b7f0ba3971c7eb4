import type { Database } from '../../db/connection';
import { within } from '../../db/within';
import { accounts, addPerson, leastPassword, setPassword } from './accounts';
import { note } from './audit';
import { putMember } from './members';
import { passOf, usePass } from './passes';
import { signIn } from './sign-in';

export type Joined = { ok: true } | { ok: false; sentence: string };

const ended = 'This link has ended, was withdrawn, or was used already. Ask for a new one.';

/**
 * An invitation or a recovery goes once. Who is signed in, or says the right password of an account that is there, joins as that person; else a new account is made.
 */
export async function join(
  db: Database,
  asked: { secret: string; name: string; email: string; password: string },
  headers: Headers,
): Promise<Joined> {
  const pass = await passOf(db, asked.secret);
  if (!pass || (pass.kind !== 'invitation' && pass.kind !== 'recovery')) return { ok: false, sentence: ended };
  if (pass.kind === 'recovery') {
    if (asked.password.length < leastPassword) return { ok: false, sentence: tooShort };
    if (!(await within(db, pass.workspace, (own) => usePass(own, pass.id)))) return { ok: false, sentence: ended };
    await setPassword(pass.person!, asked.password);
    return { ok: true };
  }
  const person = await personOf(asked, headers);
  if ('sentence' in person) return person;
  return within(db, pass.workspace, async (own): Promise<Joined> => {
    if (!(await usePass(own, pass.id))) return { ok: false, sentence: ended };
    await putMember(own, pass.workspace, person.id, pass.role!);
    await note(own, { workspace: pass.workspace, name: person.name }, `joined as ${pass.role}`, pass.label);
    return { ok: true };
  });
}

const tooShort = `A password has at least ${leastPassword} characters. Several words are easier to remember than signs.`;

async function personOf(
  { name, email, password }: { name: string; email: string; password: string },
  headers: Headers,
): Promise<{ id: string; name: string } | { ok: false; sentence: string }> {
  const session = await accounts().api.getSession({ headers });
  if (session) return { id: session.user.id, name: session.user.name };
  if (!/^\S+@\S+\.\S+$/.test(email))
    return { ok: false, sentence: 'Expected an e-mail address: it is what you sign in with.' };
  const { internalAdapter } = await accounts().$context;
  const there = await internalAdapter.findUserByEmail(email);
  if (there) {
    const signed = await signIn({ email, password }, headers);
    return signed.ok
      ? { id: there.user.id, name: there.user.name }
      : { ok: false, sentence: `There is an account of this address already. ${signed.sentence}` };
  }
  if (name.trim() === '') return { ok: false, sentence: 'Expected a name, as the others shall see it.' };
  if (password.length < leastPassword) return { ok: false, sentence: tooShort };
  const id = await addPerson(name.trim(), email, password);
  return id ? { id, name: name.trim() } : { ok: false, sentence: 'There is an account of this address already.' };
}
