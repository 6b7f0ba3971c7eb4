import { BenchScreen } from '@/ui/after/BenchScreen';

export default function Page() {
  return <BenchScreen />;
}
