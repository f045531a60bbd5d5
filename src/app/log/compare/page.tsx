import type { Metadata } from 'next';
import { CompareView } from '@/features/log/CompareView';

export const metadata: Metadata = { title: 'Runs side by side' };

export default function CompareRoute() {
  return <CompareView />;
}
