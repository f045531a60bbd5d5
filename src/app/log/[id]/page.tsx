import type { Metadata } from 'next';
import { idOf } from '@/app/idOf';
import { RunRecord } from '@/features/log/RunRecord';

export const metadata: Metadata = { title: 'One run' };

/** One run, as it was planned and as it went. */
export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  return <RunRecord runId={idOf(await params)} />;
}
