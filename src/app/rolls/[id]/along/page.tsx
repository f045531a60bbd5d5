import { idOf } from '@/app/idOf';
import type { Metadata } from 'next';
import { AlongPage } from '@/features/along/AlongPage';

export const metadata: Metadata = { title: 'Take a roll along' };

export default async function AlongRoute({ params }: { params: Promise<{ id: string }> }) {
  return <AlongPage rollId={idOf(await params)} />;
}
