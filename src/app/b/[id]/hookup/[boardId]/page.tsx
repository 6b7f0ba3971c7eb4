import { Suspense } from 'react';
import { HookupScreen } from '@/ui/hookup/HookupScreen';

export const metadata = { title: 'Hookup' };

export default async function Page({ params }: { params: Promise<{ boardId: string }> }) {
  const { boardId } = await params;
  return (
    <Suspense>
      <HookupScreen boardId={boardId} />
    </Suspense>
  );
}
