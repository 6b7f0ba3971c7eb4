import { EditorScreen } from '@/ui/shelf/EditorScreen';

export default async function Page({ params }: { params: Promise<{ boardId: string }> }) {
  const { boardId } = await params;
  return <EditorScreen key={boardId} boardId={boardId} />;
}
