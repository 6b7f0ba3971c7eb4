import { visitor } from '@/server/people/visitor';
import { mayDo } from '@/server/people/who';
import { SettingsScreen } from '@/ui/settings/SettingsScreen';

export const metadata = { title: 'Settings' };
export const dynamic = 'force-dynamic';

export default async function Page() {
  return <SettingsScreen mayWrite={mayDo(await visitor(), 'write')} />;
}
