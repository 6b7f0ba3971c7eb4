import { redirect } from 'next/navigation';
import { visitor } from '@/server/people/visitor';
import { PeopleScreen } from '@/ui/people/PeopleScreen';

export const metadata = { title: 'People' };
export const dynamic = 'force-dynamic';

export default async function Page() {
  const who = await visitor();
  // Alone on this machine there is nobody else.
  if (!who.person) redirect('/');
  return <PeopleScreen me={who.name} />;
}
