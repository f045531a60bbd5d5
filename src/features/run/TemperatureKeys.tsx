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
  // What was stepped to stands, whatever the tank is thought to have meanwhile.
  const [chosenC, setChosenC] = useState<number | null>(null);
  const celsius = chosenC ?? onStep(fromC, stepC);
  const key = 'act min-h-16 px-1 text-[17px]';
  const shown = formatQuantity(celsius, 'temperature', units);
  return (
    <div role="group" aria-label={`Temperature: ${of}`} className="grid grid-cols-3 gap-2.5">
      <button
        type="button"
        className={key}
        disabled={disabled}
        onClick={() => setChosenC(onStep(celsius - stepC, stepC))}
      >
        − {stepC}
        <span className="sr-only"> degrees</span>
      </button>
      <button
        type="button"
        className={`${key} flex-col !gap-0 border-2 font-bold`}
        disabled={disabled}
        onClick={() => {
          onRead(celsius);
          setChosenC(null);
        }}
      >
        <span className="block text-[13px] font-normal">Record </span>
        {shown}
      </button>
      <button
        type="button"
        className={key}
        disabled={disabled}
        onClick={() => setChosenC(onStep(celsius + stepC, stepC))}
      >
        + {stepC}
        <span className="sr-only"> degrees</span>
      </button>
    </div>
  );
}

/** The nearest mark of the thermometer. */
function onStep(celsius: number, stepC: number): number {
  return Number((Math.round(celsius / stepC) * stepC).toFixed(3));
}
