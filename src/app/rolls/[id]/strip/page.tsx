import { idOf } from '@/app/idOf';
import type { Metadata } from 'next';
import { StripPage } from '@/features/strip/StripPage';

export const metadata: Metadata = { title: 'Read a strip' };

interface StripRouteProps {
  params: Promise<{ id: string }>;
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export default async function StripRoute({ params, searchParams }: StripRouteProps) {
  return <StripPage rollId={idOf(await params)} gap={(await searchParams).read === 'gap'} />;
}
