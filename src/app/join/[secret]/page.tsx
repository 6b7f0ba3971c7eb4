import { headers } from 'next/headers';
import { database } from '@/db/connection';
import { accounts } from '@/server/people/accounts';
import { passOf } from '@/server/people/passes';
import { publicAddress } from '@/server/settings';
import { Trouble } from '@/ui/frame/Trouble';
import { Join } from '@/ui/people/Join';

export const metadata = { title: 'Join' };
export const dynamic = 'force-dynamic';

export default async function Page({ params }: { params: Promise<{ secret: string }> }) {
  const { secret } = await params;
  const pass = publicAddress() ? await passOf(database(), secret) : null;
  if (pass?.kind !== 'invitation' && pass?.kind !== 'recovery')
    return (
      <Trouble title="This link opens nothing">
        It has ended, was withdrawn, or was used already. Ask for a new one.
      </Trouble>
    );
  const session = await accounts().api.getSession({ headers: await headers() });
  return (
    <Join
      secret={secret}
      kind={pass.kind}
      label={pass.kind === 'invitation' ? 'Rung' : pass.label}
      signedIn={session?.user.name ?? null}
    />
  );
}
