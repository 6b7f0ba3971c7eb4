import { eq } from 'drizzle-orm';
import { openDatabase } from '../src/db/connection';
import { people, members } from '../src/db/people-schema';
import { linkTo } from '../src/server/people/link';
import { makePass } from '../src/server/people/passes';
import { publicAddress } from '../src/server/settings';

/** What only whoever runs Rung may do: the first owner's invitation, and a link for a new password. Needs the owner's address of the database, as `npm start` does. */
const usage = `Usage: npm run -s people -- owner NAME     a link by which NAME becomes an owner of the workspace Home
       npm run -s people -- recover EMAIL  a link by which that person sets a new password`;

async function run(command: string | undefined, of: string | undefined): Promise<string> {
  const url = process.env.RUNG_OWNER_URL ?? process.env.DATABASE_URL;
  if (!of || (command !== 'owner' && command !== 'recover')) throw new Error(usage);
  if (!url) throw new Error('DATABASE_URL is not set: the address of the database that is meant.');
  if (!publicAddress())
    throw new Error(
      'Accounts are off. Set RUNG_ACCOUNTS=on and RUNG_PUBLIC_ADDRESS as for the server (docs/running.md).',
    );
  const { db, close } = openDatabase(url);
  try {
    if (command === 'owner') {
      const { secret } = await makePass(db, 'home', {
        kind: 'invitation',
        label: of.slice(0, 80),
        role: 'owner',
        days: 7,
      });
      return linkTo(`/join/${secret}`);
    }
    const [person] = await db.select().from(people).where(eq(people.email, of.toLowerCase()));
    if (!person) throw new Error(`Nobody signs in with ${of}.`);
    const [place] = await db.select().from(members).where(eq(members.person, person.id));
    const { secret } = await makePass(db, place?.workspace ?? 'home', {
      kind: 'recovery',
      label: person.name,
      person: person.id,
      days: 1,
    });
    return linkTo(`/join/${secret}`);
  } finally {
    await close();
  }
}

try {
  console.log(await run(process.argv[2], process.argv[3]));
} catch (error) {
  console.error(error instanceof Error ? error.message : String(error));
  process.exitCode = 2;
}
