import type { Metadata } from 'next';
import { firstAnswer } from '@/app/firstAnswer';
import { AskPage } from '@/features/ask/AskPage';

export const metadata: Metadata = { title: 'How long in this?' };

export default function AskRoute() {
  return <AskPage first={firstAnswer()} />;
}
