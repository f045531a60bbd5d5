import type { Metadata } from 'next';
import { WastePage } from '@/features/waste/WastePage';

export const metadata: Metadata = { title: 'Waste' };

export default function WasteRoute() {
  return <WastePage />;
}
