import { idOf } from '@/app/idOf';
import type { Metadata } from 'next';
import { BrewPage } from '@/features/brew/BrewPage';

export const metadata: Metadata = { title: 'Jug' };

export default async function BrewRoute({ params }: { params: Promise<{ id: string }> }) {
  return <BrewPage brewId={idOf(await params)} />;
}
