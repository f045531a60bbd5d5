import type { Metadata } from 'next';
import { NewTrial } from '@/features/trial/NewTrial';

export const metadata: Metadata = { title: 'A new trial' };

export default function NewTrialRoute() {
  return <NewTrial />;
}
