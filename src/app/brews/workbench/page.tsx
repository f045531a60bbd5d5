import type { Metadata } from 'next';
import { Suspense } from 'react';
import { WorkbenchPage } from '@/features/brew/WorkbenchPage';

export const metadata: Metadata = { title: 'Workbench' };

export default function WorkbenchRoute() {
  return (
    <Suspense>
      <WorkbenchPage />
    </Suspense>
  );
}
