import { idOf } from '@/app/idOf';
import type { Metadata } from 'next';
import { TankScreen } from '@/features/run/TankScreen';

export const metadata: Metadata = { title: 'At the tank' };

export default async function RunRoute({ params }: { params: Promise<{ id: string }> }) {
  return <TankScreen runId={idOf(await params)} />;
}
