import type { Metadata } from 'next';
import { Suspense } from 'react';
import { RollList } from '@/features/roll/RollList';

export const metadata: Metadata = { title: 'Rolls' };

export default function RollsPage() {
  return (
    <Suspense>
      <RollList />
    </Suspense>
  );
}
