import type { Metadata } from 'next';
import { EveningView } from '@/features/evening/EveningView';

export const metadata: Metadata = { title: 'The evening' };

export default function EveningRoute() {
  return <EveningView />;
}
