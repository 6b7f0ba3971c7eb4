import { BenchScreen } from '@/ui/bench/BenchScreen';

export default function Page() {
  return <BenchScreen />;
}
