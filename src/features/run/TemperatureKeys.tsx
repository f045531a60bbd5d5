'use client';

import { useState } from 'react';
import type { UnitChoice } from '@/core/units/quantity';
import { formatQuantity } from '@/core/units/quantity';

interface TemperatureKeysProps {
  /** What is measured, in words. */
  of: string;
  /** Where the keys begin, °C. */
  fromC: number;
  /** Smallest step of the thermometer, °C. */
  stepC: number;
  units: UnitChoice;
  disabled: boolean;
  onRead: (celsius: number) => void;
}

/** A thermometer read with three big keys: colder, as it stands, warmer. */
export function TemperatureKeys({ of, fromC, stepC, units, disabled, onRead }: TemperatureKeysProps) {
  const [steps, setSteps] = useState(0);
  const celsius = Number((Math.round(fromC / stepC) * stepC + steps * stepC).toFixed(3));
  const key = 'act min-h-16 px-1 text-[17px]';
  const shown = formatQuantity(celsius, 'temperature', units);
  return (
    <div role="group" aria-label={`Temperature: ${of}`} className="grid grid-cols-3 gap-2.5">
      <button type="button" className={key} disabled={disabled} onClick={() => setSteps(steps - 1)}>
        − {stepC}
        <span className="sr-only"> degrees</span>
      </button>
      <button
        type="button"
        className={`${key} flex-col !gap-0 border-2 font-bold`}
        disabled={disabled}
        onClick={() => {
          onRead(celsius);
          setSteps(0);
        }}
      >
        <span className="block text-[13px] font-normal">Record </span>
        {shown}
      </button>
      <button type="button" className={key} disabled={disabled} onClick={() => setSteps(steps + 1)}>
        + {stepC}
        <span className="sr-only"> degrees</span>
      </button>
    </div>
  );
}
