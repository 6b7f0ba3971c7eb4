import { EditorScreen } from '@/ui/shelf/EditorScreen';

export const metadata = { title: 'Board' };

export default async function Page({ params }: { params: Promise<{ boardId: string }> }) {
  const { boardId } = await params;
  return <EditorScreen key={boardId} boardId={boardId} />;
}
