import { formatDuration, formatMinutes } from '@/core/units/duration';
import { rulerPercent, rulerScale } from './rulerScale';

interface BandProps {
  timeMin: number;
  lowMin: number;
  highMin: number;
  /** A time of the user's own: a mark beneath the ruler. */
  ownMin?: number | null;
}

/** The 80 % band of a time on a ruler drawn to scale. */
export function Band({ timeMin, lowMin, highMin, ownMin = null }: BandProps) {
  const ends = [lowMin, highMin, timeMin, ...(ownMin === null ? [] : [ownMin])];
  const scale = rulerScale(Math.min(...ends), Math.max(...ends));
  const at = (minutes: number): string => `${rulerPercent(scale, minutes)}%`;
  const words = `${formatMinutes(timeMin)} minutes; 80 % likely between ${formatMinutes(lowMin)} and ${formatMinutes(highMin)}.${ownMin === null ? '' : ` My time: ${formatDuration(ownMin * 60)}.`}`;
  return (
    <div role="img" aria-label={words} className="relative mx-2 h-12">
      <div
        className="absolute top-2 h-4 border-x-2 border-chem bg-band"
        style={{ left: at(lowMin), right: `${100 - rulerPercent(scale, highMin)}%` }}
      />
      <div className="absolute inset-x-0 top-6 border-t border-ink" />
      <div className="absolute top-0 h-6 w-1 -translate-x-1/2 bg-ink" style={{ left: at(timeMin) }} />
      {ownMin !== null && (
        <div
          className="absolute top-0 h-6 w-[3px] -translate-x-1/2 border-x-[3px] border-heat"
          style={{ left: at(ownMin) }}
        />
      )}
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
