import { ShelfScreen } from '@/ui/shelf/ShelfScreen';

export const metadata = { title: 'Shelf' };

export default function Page() {
  return <ShelfScreen />;
}
