'use client';

import { useId } from 'react';

interface SliderProps {
  label: string;
  /** The value as it reads, with its unit. */
  shown: string;
  value: number;
  min: number;
  max: number;
  step: number;
  onChange: (value: number) => void;
}

/** A value to push to and fro: for what-if, beside a field that takes it exactly. */
export function Slider({ label, shown, value, min, max, step, onChange }: SliderProps) {
  const id = useId();
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
        value={Math.min(max, Math.max(min, value))}
        aria-valuetext={shown}
        onChange={(event) => onChange(Number(event.target.value))}
      />
    </div>
  );
}
