import { BuildScreen } from '@/ui/build/BuildScreen';

export const metadata = { title: 'Build' };

export default function Page() {
  return <BuildScreen />;
}
