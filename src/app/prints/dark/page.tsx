import type { Metadata } from 'next';
import { PaperDark } from '@/features/print/PaperDark';

export const metadata: Metadata = { title: 'Paper in the dark' };

export default function PaperDarkRoute() {
  return <PaperDark />;
}
