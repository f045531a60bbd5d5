import { idOf } from '@/app/idOf';
import type { Metadata } from 'next';
import { MixSheetPage } from '@/features/brew/MixSheetPage';

export const metadata: Metadata = { title: 'Mix sheet' };

export default async function MixRoute({ params }: { params: Promise<{ id: string }> }) {
  return <MixSheetPage mixId={idOf(await params)} />;
}
