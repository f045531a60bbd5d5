import type { Metadata } from 'next';
import { PrintsView } from '@/features/print/PrintsView';

export const metadata: Metadata = { title: 'Prints' };

export default function PrintsRoute() {
  return <PrintsView />;
}
