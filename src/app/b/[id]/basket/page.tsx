import { BasketScreen } from '@/ui/after/BasketScreen';

export const metadata = { title: 'Basket' };

export default function Page() {
  return <BasketScreen />;
}
