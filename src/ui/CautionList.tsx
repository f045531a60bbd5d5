import { Info, OctagonX, TriangleAlert } from 'lucide-react';
import type { CautionNote } from '@/core/safety/cautionNote';

const marks = {
  stop: { Icon: OctagonX, word: 'Stop', tone: 'text-danger' },
  warn: { Icon: TriangleAlert, word: 'Caution', tone: 'text-heat' },
  note: { Icon: Info, word: 'Note', tone: 'text-ink2' },
} as const;

/** Cautions, at the step where they bite. */
export function CautionList({ cautions }: { cautions: readonly CautionNote[] }) {
  if (cautions.length === 0) return null;
  return (
    <ul className="space-y-2" aria-label="Cautions">
      {cautions.map(({ id, severity, text }) => {
        const { Icon, word, tone } = marks[severity];
        return (
          <li key={id} className="flex gap-2 text-[14px]">
            <Icon aria-hidden size={18} className={`mt-0.5 shrink-0 ${tone}`} />
            <span>
              <b className={tone}>{word}.</b> {text}
            </span>
          </li>
        );
      })}
    </ul>
  );
}
