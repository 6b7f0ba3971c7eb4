import { QuestionsScreen } from '@/ui/decide/QuestionsScreen';

export default function Page() {
  return <QuestionsScreen />;
}
