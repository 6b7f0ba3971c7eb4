import { BoardScreen } from '@/ui/board/BoardScreen';

export const metadata = { title: 'Findings' };

export default async function Page({ params }: { params: Promise<{ boardId: string }> }) {
  return <BoardScreen boardId={(await params).boardId} />;
}
