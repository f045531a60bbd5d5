import type { Metadata } from 'next';
import { NewPrint } from '@/features/print/PrintPage';

export const metadata: Metadata = { title: 'A new print' };

export default function NewPrintRoute() {
  return <NewPrint />;
}
