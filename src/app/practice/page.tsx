import type { Metadata } from 'next';
import { PracticeView } from '@/features/practice/PracticeView';

export const metadata: Metadata = { title: 'Practice tank' };

export default function PracticeRoute() {
  return <PracticeView />;
}
