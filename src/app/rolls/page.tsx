import type { Metadata } from 'next';
import { Suspense } from 'react';
import { RollList } from '@/features/rolls/RollList';

export const metadata: Metadata = { title: 'Rolls' };

export default function RollsPage() {
  return (
    <Suspense>
      <RollList />
    </Suspense>
  );
}
