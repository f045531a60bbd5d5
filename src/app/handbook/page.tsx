import type { Metadata } from 'next';
import { Handbook } from '@/features/handbook/Handbook';

export const metadata: Metadata = { title: 'Handbook' };

export default function HandbookPage() {
  return <Handbook />;
}
