import { QuestionsScreen } from '@/ui/decide/QuestionsScreen';

export const metadata = { title: 'Questions' };

export default function Page() {
  return <QuestionsScreen />;
}
