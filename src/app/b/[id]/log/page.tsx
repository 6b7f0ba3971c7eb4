import { LogScreen } from '@/ui/after/LogScreen';

export default function Page() {
  return <LogScreen />;
}
