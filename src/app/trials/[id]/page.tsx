import type { Metadata } from 'next';
import { idOf } from '@/app/idOf';
import { TrialPage } from '@/features/trial/TrialPage';

export const metadata: Metadata = { title: 'Trial' };

export default async function TrialRoute({ params }: { params: Promise<{ id: string }> }) {
  return <TrialPage trialId={idOf(await params)} />;
}
