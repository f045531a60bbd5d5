import type { WetStep } from '@/core/schedule/wetSteps';
import { percentBetween } from '@/ui/rulerScale';
import { formatDuration } from '@/core/units/duration';

interface TankLineProps {
  step: WetStep;
  elapsedS: number;
  /** The 80 % band of a development, on this clock; null for any other bath. */
  band: { lowS: number; highS: number } | null;
}

/** Room beyond the end of the line, as a share of it. */
const ROOM = 1.03;

/** The step from start to pour-out, to scale: where hands move, the doubt of the time, and where the clock stands. */
export function TankLine({ step, elapsedS, band }: TankLineProps) {
  const lastS = Math.max(step.durationS, band?.highS ?? 0, step.untilClear === true ? elapsedS : 0) * ROOM;
  const percent = (s: number): string => `${percentBetween(0, Math.max(1, lastS), s)}%`;
  const end = percentBetween(0, Math.max(1, lastS), step.durationS);
  return (
    <div aria-hidden className="relative h-[130px]" data-testid="tank-line">
      <div className="absolute inset-x-0 bottom-11 border-t border-ink2" />
      {band !== null && (
        <div
          className="absolute bottom-11 h-[58px] border-x-2 border-chem bg-band"
          style={{ left: percent(band.lowS), width: `calc(${percent(band.highS)} - ${percent(band.lowS)})` }}
        />
      )}
      {step.cues.map((cue) => (
        <div
          key={cue.startS}
          className={
            elapsedS >= cue.endS
              ? 'absolute bottom-11 border border-ink bg-ink'
              : 'absolute bottom-11 border border-ink'
          }
          style={{
            left: percent(cue.startS),
            width: `max(3px, calc(${percent(cue.endS)} - ${percent(cue.startS)}))`,
            height: cue.startS === 0 ? 30 : 18,
          }}
        />
      ))}
      {step.untilClear !== true && (
        <>
          <div
            className="absolute bottom-9 h-[70px] w-1 -translate-x-1/2 bg-ink"
            style={{ left: percent(step.durationS) }}
          />
          <span
            className="absolute bottom-[18px] text-[15px] font-bold whitespace-nowrap"
            style={end > 70 ? { right: `${Math.max(0, 100 - end)}%` } : { left: `${end}%` }}
          >
            {formatDuration(step.durationS)} pour out
          </span>
        </>
      )}
      {/* Dashed: in Safe light it has the colour of the other marks. */}
      <div
        className="absolute bottom-9 h-[74px] -translate-x-1/2 border-s-4 border-dashed border-heat"
        style={{ left: percent(elapsedS) }}
      />
      <span
        className="absolute top-0 -translate-x-1/2 text-[14px] text-ink2"
        style={{ left: `clamp(18px, ${percent(elapsedS)}, calc(100% - 18px))` }}
      >
        now
      </span>
      {band !== null && (
        <span className="absolute bottom-0 start-0 text-[14px] text-ink2">
          Likely: {formatDuration(Math.round(band.lowS / 5) * 5)} to {formatDuration(Math.round(band.highS / 5) * 5)}
        </span>
      )}
    </div>
  );
}
