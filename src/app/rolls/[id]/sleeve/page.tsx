import { idOf } from '@/app/idOf';
import type { Metadata } from 'next';
import { SleevePage } from '@/features/archive/SleevePage';

export const metadata: Metadata = { title: 'Sleeve page' };

export default async function SleeveRoute({ params }: { params: Promise<{ id: string }> }) {
  return <SleevePage rollId={idOf(await params)} />;
}
