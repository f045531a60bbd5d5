import type { Metadata } from 'next';
import { Tables } from '@/features/handbook/Tables';

export const metadata: Metadata = { title: 'Tables' };

export default function TablesPage() {
  return <Tables />;
}
