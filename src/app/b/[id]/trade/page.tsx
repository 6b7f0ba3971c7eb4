import { TradeScreen } from '@/ui/decide/TradeScreen';

export default function Page() {
  return <TradeScreen />;
}
