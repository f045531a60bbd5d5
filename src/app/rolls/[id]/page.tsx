import { idOf } from '@/app/idOf';
import type { Metadata } from 'next';
import { RollPage } from '@/features/roll/page/RollPage';

export const metadata: Metadata = { title: 'Roll' };

export default async function RollRoute({ params }: { params: Promise<{ id: string }> }) {
  return <RollPage rollId={idOf(await params)} />;
}
