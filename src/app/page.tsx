import { BenchView } from '@/features/bench/BenchView';

export default function BenchPage() {
  return <BenchView />;
}
