import { TradeScreen } from '@/ui/decide/TradeScreen';

export const metadata = { title: 'Trade-off' };

export default function Page() {
  return <TradeScreen />;
}
