import { classes } from './classes';
import { meterPercent, type MeterScale } from './meterScale';

interface MeterProps {
  /** The value in words, for whoever cannot see the ruler. */
  words: string;
  scale: MeterScale;
  marks: readonly number[];
  value: number;
  /** From the start of the scale up to here it is no good. */
  badUpTo?: number;
  /** What is usual: marked with a word. */
  usual?: number;
}

/** A value on a ruler, with what is usual and what is too little. */
export function Meter({ words, scale, marks, value, badUpTo, usual }: MeterProps) {
  const at = (where: number): string => `${meterPercent(scale, where)}%`;
  const bad = badUpTo !== undefined && value < badUpTo;
  return (
    <div role="img" aria-label={words} className="relative mx-2 h-11">
      {badUpTo !== undefined && (
        <div className="absolute top-[14px] start-0 h-1.5 bg-hair" style={{ width: at(badUpTo) }} />
      )}
      <div className="absolute inset-x-0 top-5 border-t border-ink" />
      {usual !== undefined && (
        <div className="absolute top-2.5 h-2.5 border-s-2 border-dotted border-ink2" style={{ left: at(usual) }} />
      )}
      <div
        className={classes('absolute top-0 h-5 w-1.5 -translate-x-1/2', bad ? 'bg-danger' : 'bg-brew')}
        style={{ left: at(value) }}
      />
      {marks.map((mark) => (
        <div
          key={mark}
          className="absolute top-5 -translate-x-1/2 text-center text-[12px] text-ink2"
          style={{ left: at(mark) }}
        >
          <div className="mx-auto h-1.5 w-px bg-ink2" />
          {mark}
        </div>
      ))}
    </div>
  );
}
