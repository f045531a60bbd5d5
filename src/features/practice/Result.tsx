import type { PracticeScore } from '@/core/practice/practiceScore';
import { formatNumber } from '@/core/units/quantity';
import { percentBetween } from '@/ui/rulerScale';
import { adviceWords, handWords, missWords } from './practiceWords';

/** Ends of the ruler of gradients. */
const LOW = 0.3;
const HIGH = 0.9;

/** How a practice run went, on one ruler, and what to do better. */
export function Result({ score }: { score: PracticeScore }) {
  const place = (gradient: number): string => `${percentBetween(LOW, HIGH, gradient)}%`;
  const marks = [
    { what: 'wanted', gradient: score.target, top: false, bold: false },
    { what: 'perfect timing', gradient: score.perfectGradient, top: true, bold: false },
    { what: 'yours', gradient: score.gradient, top: false, bold: true },
  ];
  return (
    <div className="mt-3 max-w-[78ch] text-[17px]" data-testid="practice-result">
      <p className="text-[20px] font-[620]">{adviceWords(score)}</p>
      <div aria-hidden className="relative mt-6 mb-3 h-[92px] max-w-[640px]">
        <div className="absolute inset-x-0 top-[46px] border-t border-ink2" />
        {marks.map(({ what, gradient, top, bold }, index) => (
          <div key={what} className="absolute top-0 h-full" style={{ left: place(gradient) }}>
            <div className={bold ? 'absolute top-[38px] h-7 w-1 bg-ink' : 'absolute top-[38px] h-4 w-0.5 bg-ink2'} />
            <span
              className={`absolute -translate-x-1/2 whitespace-nowrap text-[14px] ${bold ? 'font-bold' : 'text-ink2'}`}
              style={{ top: top ? 16 : index === 0 ? -4 : 68 }}
            >
              {what} {formatNumber(gradient, 2)}
            </span>
          </div>
        ))}
      </div>
      <ul className="space-y-1">
        <li>
          Gradient {formatNumber(score.gradient, 2)}, wanted {formatNumber(score.target, 2)}; with perfect timing{' '}
          {formatNumber(score.perfectGradient, 2)}.
        </li>
        <li>{handWords(score)}</li>
        <li>
          Development poured out {missWords(score.developMissS)}; all baths {formatNumber(score.meanMissS, 0)} s off on
          average. The hidden temperature moved the end by {formatNumber(Math.abs(score.driftMovedS), 0)} s
          {score.readings === 0 ? ', and nobody measured it' : ''}.
        </li>
        <li>
          This film’s own time lay {score.filmInBand ? 'inside' : 'outside'} its likely range, as it does{' '}
          {score.filmInBand ? 'four times' : 'once'} in five.
        </li>
      </ul>
    </div>
  );
}
