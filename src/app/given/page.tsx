import type { Metadata } from 'next';
import { GivenPage } from '@/features/offline/GivenPage';

export const metadata: Metadata = { title: 'A file for Aetas' };

export default function GivenRoute() {
  return <GivenPage />;
}
