'use client';

import { useEffect, useId, useRef } from 'react';
import { keyedValue } from './sliderKeys';

interface SliderProps {
  label: string;
  /** The value as it reads, with its unit. */
  shown: string;
  value: number;
  min: number;
  max: number;
  step: number;
  /**
   * Takes the new value. A hand moves the thumb itself; a key does not, so whoever takes its value may show it together with
   * what hangs on it.
   */
  onChange: (value: number, by: 'hand' | 'key') => void;
}

/** A value to push to and fro: for what-if, beside a field that takes it exactly. */
export function Slider({ label, shown, value, min, max, step, onChange }: SliderProps) {
  const id = useId();
  const within = Math.min(max, Math.max(min, value));
  /** What a key has asked for while it is not shown yet. */
  const askedRef = useRef<number | null>(null);
  useEffect(() => {
    askedRef.current = null;
  }, [value]);
  return (
    <div className="min-w-0">
      <div className="flex items-baseline justify-between gap-3">
        <label htmlFor={id} className="text-[14px] text-ink2">
          {label}
        </label>
        <output htmlFor={id} className="num text-[15px] whitespace-nowrap">
          {shown}
        </output>
      </div>
      <input
        id={id}
        type="range"
        className="slide"
        min={min}
        max={max}
        step={step}
        value={within}
        aria-valuetext={shown}
        onChange={(event) => onChange(Number(event.target.value), 'hand')}
        onKeyDown={(event) => {
          if (event.altKey || event.ctrlKey || event.metaKey) return;
          const from = askedRef.current ?? within;
          const next = keyedValue(event.key, { value: from, min, max, step });
          if (next === null) return;
          event.preventDefault();
          if (next === from) return;
          askedRef.current = next;
          onChange(next, 'key');
        }}
      />
    </div>
  );
}
