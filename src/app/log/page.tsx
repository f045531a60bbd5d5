import type { Metadata } from 'next';
import { LogView } from '@/features/log/LogView';

export const metadata: Metadata = { title: 'Log' };

export default function LogPage() {
  return <LogView />;
}
