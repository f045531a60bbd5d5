import type { Metadata } from 'next';
import { FirstRoll } from '@/features/firstRoll/FirstRoll';

export const metadata: Metadata = { title: 'Your first roll' };

export default function FirstRollPage() {
  return <FirstRoll />;
}
