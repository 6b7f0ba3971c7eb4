import { SheetScreen } from '@/ui/after/SheetScreen';

export default function Page() {
  return <SheetScreen />;
}
