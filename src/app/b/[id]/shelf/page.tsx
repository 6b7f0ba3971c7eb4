import { ShelfScreen } from '@/ui/shelf/ShelfScreen';

export default function Page() {
  return <ShelfScreen />;
}
