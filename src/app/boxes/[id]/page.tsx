import { idOf } from '@/app/idOf';
import type { Metadata } from 'next';
import { BoxPage } from '@/features/box/BoxPage';

export const metadata: Metadata = { title: 'Box' };

export default async function BoxRoute({ params }: { params: Promise<{ id: string }> }) {
  return <BoxPage boxId={idOf(await params)} />;
}
