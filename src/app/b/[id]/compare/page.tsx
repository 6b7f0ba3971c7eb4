import { CompareScreen } from '@/ui/decide/CompareScreen';

export const metadata = { title: 'Side by side' };

export default function Page() {
  return <CompareScreen />;
}
