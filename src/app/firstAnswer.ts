import { firstAsk } from '@/core/plan/ask';
import { askAnswer, type AskAnswer } from '@/core/plan/askAnswer';

let known: { day: string; answer: AskAnswer | null } | null = null;

/** The answer to the question as it first stands, so that it comes with the page. Reckoned once a day. */
export function firstAnswer(): AskAnswer | null {
  const now = Date.now();
  const day = new Date(now).toDateString();
  if (known?.day !== day) known = { day, answer: askAnswer(firstAsk, [], now) };
  return known.answer;
}
