import { BenchScreen } from '@/ui/bench/BenchScreen';

export const metadata = { title: 'Bench' };

export default function Page() {
  return <BenchScreen />;
}
