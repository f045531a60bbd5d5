'use client';

import { useEffect, useId, useRef } from 'react';

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

/**
 * A value to push to and fro: for what-if, beside a field that takes it exactly. The browser moves the knob by itself, and what
 * follows from it may come a moment later.
 */
export function Slider({ label, shown, value, min, max, step, onChange }: SliderProps) {
  const id = useId();
  const knob = useRef<HTMLInputElement>(null);
  const at = Math.min(max, Math.max(min, value));
  useEffect(() => {
    if (knob.current !== null && Number(knob.current.value) !== at) knob.current.value = String(at);
  }, [at, min, max, step]);
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
        ref={knob}
        defaultValue={at}
        aria-valuetext={shown}
        onChange={(event) => onChange(Number(event.target.value))}
      />
    </div>
  );
}
