import { BriefScreen } from '@/ui/decide/BriefScreen';

export default function Page() {
  return <BriefScreen />;
}
