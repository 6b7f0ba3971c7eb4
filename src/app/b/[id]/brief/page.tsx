import { BriefScreen } from '@/ui/decide/BriefScreen';

export const metadata = { title: "Buyer's brief" };

export default function Page() {
  return <BriefScreen />;
}
