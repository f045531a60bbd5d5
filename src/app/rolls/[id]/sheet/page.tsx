import { idOf } from '@/app/idOf';
import type { Metadata } from 'next';
import { RunSheet } from '@/features/roll/run/RunSheet';

export const metadata: Metadata = { title: 'Run sheet' };

export default async function SheetRoute({ params }: { params: Promise<{ id: string }> }) {
  return <RunSheet rollId={idOf(await params)} />;
}
