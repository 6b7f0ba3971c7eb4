import { BuildScreen } from '@/ui/build/BuildScreen';

export default function Page() {
  return <BuildScreen />;
}
