import type { Metadata } from 'next';
import { TakeInPage } from '@/features/along/TakeInPage';

export const metadata: Metadata = { title: 'Take in a roll' };

export default function TakeInRoute() {
  return <TakeInPage />;
}
