import { LogScreen } from '@/ui/after/LogScreen';

export const metadata = { title: 'Logbook' };

export default function Page() {
  return <LogScreen />;
}
