import { CompareScreen } from '@/ui/decide/CompareScreen';

export default function Page() {
  return <CompareScreen />;
}
