import type { Metadata } from 'next';
import { TrialsView } from '@/features/trial/TrialsView';

export const metadata: Metadata = { title: 'Trials' };

export default function TrialsRoute() {
  return <TrialsView />;
}
