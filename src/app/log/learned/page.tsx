import type { Metadata } from 'next';
import { LearnedView } from '@/features/log/LearnedView';

export const metadata: Metadata = { title: 'What Aetas has learned' };

export default function LearnedRoute() {
  return <LearnedView />;
}
