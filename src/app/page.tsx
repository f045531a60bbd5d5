import { BenchView } from '@/features/bench/BenchView';
import { firstAnswer } from './firstAnswer';

export default function BenchPage() {
  return <BenchView firstAnswer={firstAnswer()} />;
}
