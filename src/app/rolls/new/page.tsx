import type { Metadata } from 'next';
import { NewRoll } from '@/features/roll/identify/NewRoll';

export const metadata: Metadata = { title: 'New roll' };

export default function NewRollPage() {
  return <NewRoll />;
}
