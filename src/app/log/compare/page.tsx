import type { Metadata } from 'next';
import { CompareView } from '@/features/log/CompareView';

export const metadata: Metadata = { title: 'Runs side by side' };

export default async function CompareRoute({ searchParams }: { searchParams: Promise<{ run?: string | string[] }> }) {
  const { run } = await searchParams;
  return <CompareView runIds={run === undefined ? [] : [run].flat()} />;
}
