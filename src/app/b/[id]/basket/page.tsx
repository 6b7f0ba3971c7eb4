import { BasketScreen } from '@/ui/after/BasketScreen';

export default function Page() {
  return <BasketScreen />;
}
