import type { Metadata } from 'next';
import { StandingPage } from '@/features/brew/StandingPage';

export const metadata: Metadata = { title: 'A bottle that stands there' };

export default function StandingRoute() {
  return <StandingPage />;
}
