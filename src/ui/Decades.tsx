import { timelinePercent, type TimelineScale } from './timelineScale';

/** The years under a timeline. */
export function Decades({ scale }: { scale: TimelineScale }) {
  return (
    <div aria-hidden className="relative h-6 border-t border-ink">
      {scale.decades.map((year) => (
        <span key={year} className="absolute top-0 -translate-x-1/2 text-[12px] text-ink2" style={{ left: `${timelinePercent(scale, year)}%` }}>
          <span className="mx-auto block h-1.5 w-px bg-ink2" />
          {year}
        </span>
      ))}
    </div>
  );
}
