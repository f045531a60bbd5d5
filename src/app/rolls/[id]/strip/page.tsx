import { idOf } from '@/app/idOf';
import type { Metadata } from 'next';
import { StripPage } from '@/features/strip/StripPage';

export const metadata: Metadata = { title: 'Read a strip' };

export default async function StripRoute({ params }: { params: Promise<{ id: string }> }) {
  return <StripPage rollId={idOf(await params)} />;
}
