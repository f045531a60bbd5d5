import type { Metadata } from 'next';
import { ArchiveIndex } from '@/features/archive/ArchiveIndex';

export const metadata: Metadata = { title: 'Index of the binders' };

export default function ArchiveRoute() {
  return <ArchiveIndex />;
}
