import { formatMinutes } from '@/core/units/duration';
import { rulerPercent, rulerScale } from './rulerScale';

/** The 80 % band of a time on a ruler drawn to scale. */
export function Band({ timeMin, lowMin, highMin }: { timeMin: number; lowMin: number; highMin: number }) {
  const scale = rulerScale(Math.min(lowMin, timeMin), Math.max(highMin, timeMin));
  const at = (minutes: number): string => `${rulerPercent(scale, minutes)}%`;
  const words = `${formatMinutes(timeMin)} minutes; four times in five between ${formatMinutes(lowMin)} and ${formatMinutes(highMin)}.`;
  return (
    <div role="img" aria-label={words} className="relative mx-2 h-12">
      <div
        className="absolute top-2 h-4 border-x-2 border-chem bg-band"
        style={{ left: at(lowMin), right: `${100 - rulerPercent(scale, highMin)}%` }}
      />
      <div className="absolute inset-x-0 top-6 border-t border-ink" />
      <div className="absolute top-0 h-6 w-1 -translate-x-1/2 bg-ink" style={{ left: at(timeMin) }} />
      {scale.marks.map((mark) => (
        <div
          key={mark}
          className="absolute top-6 -translate-x-1/2 text-center text-[12px] text-ink2"
          style={{ left: at(mark) }}
        >
          <div className="mx-auto h-1.5 w-px bg-ink2" />
          {mark}
        </div>
      ))}
    </div>
  );
}
