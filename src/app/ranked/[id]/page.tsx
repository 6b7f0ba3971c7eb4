import { notFound } from 'next/navigation';
import { findBuild } from '@/db/builds';
import { isDatabaseDown } from '@/db/faults';
import { visitor } from '@/server/people/visitor';
import { theirs } from '@/server/people/who';
import { NoDatabase } from '@/ui/frame/NoDatabase';
import { ServerRanking } from '@/ui/ladder/ServerRanking';

export const metadata = { title: 'Ranked on the server' };
export const dynamic = 'force-dynamic';

/** The order of the shelf, worked out on the server: for a phone, which need not read a board for it. */
export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  let name: string | undefined;
  let currency = '';
  try {
    const who = await visitor();
    const stored = await theirs(who, (db) => findBuild(db, id));
    name = stored?.build.name;
    currency = stored?.build.currency ?? '';
  } catch (error) {
    if (isDatabaseDown(error)) return <NoDatabase />;
    throw error;
  }
  if (name === undefined) notFound();
  return <ServerRanking id={id} name={name} currency={currency} />;
}
