import type { Metadata } from 'next';
import { ExposureView } from '@/features/exposure/ExposureView';

export const metadata: Metadata = { title: 'How long to expose' };

export default function ExposurePage() {
  return <ExposureView />;
}
