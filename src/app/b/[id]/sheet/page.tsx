import { SheetScreen } from '@/ui/after/SheetScreen';

export const metadata = { title: 'Build sheet' };

export default function Page() {
  return <SheetScreen />;
}
