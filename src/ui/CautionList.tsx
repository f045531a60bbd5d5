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
          <li
            key={id}
            className={
              severity === 'stop'
                ? 'flex max-w-[72ch] gap-3 border-y-2 border-danger py-3 text-[18px]'
                : 'flex gap-2 text-[14px]'
            }
          >
            <Icon aria-hidden size={severity === 'stop' ? 26 : 18} className={`mt-0.5 shrink-0 ${tone}`} />
            <span>
              <b className={tone}>{word}.</b> {text}
            </span>
          </li>
        );
      })}
    </ul>
  );
}
