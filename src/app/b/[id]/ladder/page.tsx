import { Suspense } from 'react';
import { LadderScreen } from '@/ui/ladder/LadderScreen';

export default function Page() {
  return (
    <Suspense>
      <LadderScreen />
    </Suspense>
  );
}
