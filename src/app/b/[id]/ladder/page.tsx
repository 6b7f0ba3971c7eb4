import { Suspense } from 'react';
import { LadderScreen } from '@/ui/ladder/LadderScreen';

export const metadata = { title: 'Ladder' };

export default function Page() {
  return (
    <Suspense>
      <LadderScreen />
    </Suspense>
  );
}
