import type { WetStep } from '@/core/schedule/wetSteps';

/** The step from start to pour-out: where hands move, and where the clock stands. */
export function CueLine({ step, elapsedS }: { step: WetStep; elapsedS: number }) {
  const percent = (seconds: number): number => Math.min(100, (seconds / Math.max(1, step.durationS)) * 100);
  const now = percent(elapsedS);
  return (
    <div aria-hidden className="relative h-[76px]">
      <div className="absolute inset-x-0 bottom-6 border-t border-ink2" />
      {step.cues.map((cue) => {
        const done = elapsedS >= cue.endS;
        return (
          <div
            key={cue.startS}
            className={done ? 'absolute bottom-6 border border-ink bg-ink' : 'absolute bottom-6 border border-ink'}
            style={{
              left: `${percent(cue.startS)}%`,
              width: `max(3px, ${percent(cue.endS - cue.startS)}%)`,
              height: cue.startS === 0 ? 30 : 18,
            }}
          />
        );
      })}
      <div className="absolute bottom-4 h-12 w-[3px] -translate-x-1/2 bg-heat" style={{ left: `${now}%` }} />
      <span
        className="absolute bottom-0 -translate-x-1/2 text-[14px] text-ink2"
        style={{ left: `${Math.min(92, Math.max(3, now))}%` }}
      >
        now
      </span>
      <div className="absolute right-0 bottom-4 h-12 w-0.5 bg-ink" />
      {now < 80 && <span className="absolute right-0 bottom-0 text-[14px] text-ink2">pour out</span>}
    </div>
  );
}
