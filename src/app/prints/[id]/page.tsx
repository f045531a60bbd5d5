import type { Metadata } from 'next';
import { idOf } from '@/app/idOf';
import { PrintPage } from '@/features/print/PrintPage';

export const metadata: Metadata = { title: 'Print' };

export default async function PrintRoute({ params }: { params: Promise<{ id: string }> }) {
  return <PrintPage printId={idOf(await params)} />;
}
