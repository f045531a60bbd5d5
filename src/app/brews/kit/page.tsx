import type { Metadata } from 'next';
import { KitView } from '@/features/brew/KitView';

export const metadata: Metadata = { title: 'Kit and devices' };

export default function KitPage() {
  return <KitView />;
}
