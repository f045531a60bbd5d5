import { idOf } from '@/app/idOf';
import type { Metadata } from 'next';
import { LightsOut } from '@/features/dark/LightsOut';

export const metadata: Metadata = { title: 'Lights out' };

export default async function DarkRoute({ params }: { params: Promise<{ id: string }> }) {
  return <LightsOut rollId={idOf(await params)} />;
}
