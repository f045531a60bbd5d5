import type { Metadata } from 'next';
import { BrewsView } from '@/features/brew/BrewsView';

export const metadata: Metadata = { title: 'Brews' };

export default function BrewsPage() {
  return <BrewsView />;
}
