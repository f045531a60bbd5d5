import type { Metadata } from 'next';
import { NewPrint } from '@/features/print/PrintPage';

export const metadata: Metadata = { title: 'A new print' };

export default async function NewPrintRoute({ searchParams }: { searchParams: Promise<{ roll?: string }> }) {
  const { roll } = await searchParams;
  return <NewPrint rollId={typeof roll === 'string' ? roll : null} />;
}
