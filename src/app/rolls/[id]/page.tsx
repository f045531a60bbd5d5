import type { Metadata } from 'next';
import { RollPage } from '@/features/roll/page/RollPage';

export const metadata: Metadata = { title: 'Roll' };

export default async function RollRoute({ params }: { params: Promise<{ id: string }> }) {
  return <RollPage rollId={(await params).id} />;
}
