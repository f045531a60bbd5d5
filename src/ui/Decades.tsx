import { timelinePercent, type TimelineScale } from './timelineScale';

/** The years under a timeline. */
export function Decades({ scale }: { scale: TimelineScale }) {
  return (
    <div aria-hidden className="relative h-6 border-t border-ink">
      {scale.decades.map((year) => (
        <span
          key={year}
          className={`absolute top-0 text-[12px] text-ink2 ${year === scale.from ? '' : '-translate-x-1/2'}`}
          style={{ left: `${timelinePercent(scale, year)}%` }}
        >
          <span className={`block h-1.5 w-px bg-ink2 ${year === scale.from ? '' : 'mx-auto'}`} />
          {year}
        </span>
      ))}
    </div>
  );
}
