'use client';

import { useId, useLayoutEffect, useRef, useState } from 'react';
import { keyedValue, pointedValue } from './sliderValue';

interface SliderProps {
  label: string;
  /** The value as it reads, with its unit. */
  shown: string;
  value: number;
  min: number;
  max: number;
  step: number;
  /** Takes the new value, and may show it a moment later, together with what hangs on it. */
  onChange: (value: number) => void;
}

/** Width of the thumb, px: that of the stylesheet. */
const THUMB_PX = 12;

/** How far a finger goes sideways before it slides, px: one that scrolls the page must not move the slider. Source: our choice. */
const SLIDES_PX = 6;

/**
 * A value to push to and fro: for what-if, beside a field that takes it exactly. Keys and fingers ask for a value and leave the
 * thumb where it is, so that it moves together with what hangs on it, in one frame.
 */
export function Slider({ label, shown, value, min, max, step, onChange }: SliderProps) {
  const id = useId();
  const within = Math.min(max, Math.max(min, value));
  const [first] = useState(within);
  const inputRef = useRef<HTMLInputElement>(null);
  /** What was asked for while it is not shown yet. */
  const askedRef = useRef<number | null>(null);
  useLayoutEffect(() => {
    if (askedRef.current === within) askedRef.current = null;
    if (inputRef.current !== null) inputRef.current.value = String(within);
  }, [within]);
  /** Where a finger came down that has not slid yet. */
  const downRef = useRef<{ x: number; y: number } | null>(null);
  const at = () => ({ value: askedRef.current ?? within, min, max, step });
  const ask = (next: number): void => {
    if (next === at().value) return;
    askedRef.current = next;
    onChange(next);
  };
  const point = ({ clientX, currentTarget }: React.PointerEvent): void => {
    const { left, width } = currentTarget.getBoundingClientRect();
    ask(pointedValue(clientX - left, { widthPx: width, thumbPx: THUMB_PX }, at()));
  };
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
      <div
        className="cursor-ew-resize touch-pan-y"
        onPointerDown={(event) => {
          if (event.button !== 0) return;
          event.preventDefault();
          // A hand sees where it is: the frame is for keys.
          inputRef.current?.focus({ preventScroll: true, focusVisible: false });
          event.currentTarget.setPointerCapture(event.pointerId);
          if (event.pointerType === 'touch') downRef.current = { x: event.clientX, y: event.clientY };
          else point(event);
        }}
        onPointerMove={(event) => {
          if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
          const down = downRef.current;
          if (down !== null) {
            const [dx, dy] = [Math.abs(event.clientX - down.x), Math.abs(event.clientY - down.y)];
            if (dx < SLIDES_PX || dx < dy) return;
            downRef.current = null;
          }
          point(event);
        }}
        onPointerUp={(event) => {
          if (downRef.current !== null) point(event);
          downRef.current = null;
        }}
        onPointerCancel={() => {
          downRef.current = null;
        }}
      >
        <input
          ref={inputRef}
          id={id}
          type="range"
          className="slide"
          min={min}
          max={max}
          step={step}
          defaultValue={first}
          aria-valuetext={shown}
          onChange={(event) => onChange(Number(event.target.value))}
          onBlur={() => {
            askedRef.current = null;
          }}
          onKeyDown={(event) => {
            if (event.altKey || event.ctrlKey || event.metaKey) return;
            const next = keyedValue(event.key, at());
            if (next === null) return;
            event.preventDefault();
            ask(next);
          }}
        />
      </div>
    </div>
  );
}
