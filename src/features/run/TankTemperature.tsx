'use client';

import { useState } from 'react';
import type { TankView } from '@/core/run/tankView';
import type { Run, Settings } from '@/core/records/records';
import type { RunEvent } from '@/core/records/runEvents';
import { formatDuration } from '@/core/units/duration';
import { formatQuantity } from '@/core/units/quantity';
import { Segments } from '@/ui/Segments';
import { TemperatureKeys } from './TemperatureKeys';
import type { TankClock } from './useTankClock';

interface TankTemperatureProps {
  face: TankView;
  run: Run;
  settings: Settings;
  disabled: boolean;
  clock: TankClock;
  onRead: (event: RunEvent) => Promise<boolean>;
  /** Practice: a thermometer that reads by itself; null while there is nothing to dip it into. */
  dip?: () => number | null;
}

/** A room of which nothing is known, °C. */
const USUAL_ROOM_C = 20;

type Target = 'tank' | 'next' | 'room';

/** How warm the tank is, what that does to the end, and three keys to read a thermometer by. */
export function TankTemperature({ face, run, settings, disabled, clock, onRead, dip }: TankTemperatureProps) {
  const { progress, step, nextStep, temperature, endMovedS } = face;
  const [chosen, setChosen] = useState<Target>('tank');
  const ready = progress.phase === 'ready';
  const developAt = run.steps.findIndex(({ kind }) => kind === 'develop');
  // Before the first pour it is the developer that is measured.
  const hereAt = ready ? developAt : progress.stepIndex;
  const target = chosen === 'next' && (ready || nextStep === undefined) ? 'tank' : chosen;
  const at: Record<Target, number | null> = { tank: hereAt, next: progress.stepIndex + 1, room: null };
  const last = progress.readings.findLast(({ stepIndex }) => stepIndex === at[target])?.celsius;
  const known = temperature?.celsius ?? run.temperatureC;
  const fromC = last ?? (target === 'room' ? (run.setup?.ambientC ?? USUAL_ROOM_C) : known);
  const degrees = (celsius: number): string => formatQuantity(celsius, 'temperature', settings);
  const names: Record<Target, string> = {
    tank: ready ? 'developer' : 'tank',
    next: 'next bath',
    room: 'room',
  };
  const targets: Target[] = ready || nextStep === undefined ? ['tank', 'room'] : ['tank', 'next', 'room'];
  return (
    <section aria-label="Temperature" className="max-lg:order-first">
      <p className="min-h-[3em] text-[16px]" data-testid="tank-temperature">
        {temperature === null ? (
          'Not measured.'
        ) : (
          <>
            <b className="num">{degrees(temperature.celsius)}</b>{' '}
            {temperature.agoS === null
              ? 'as planned, not measured.'
              : `in the tank, read ${temperature.agoS < 60 ? 'just now' : `${formatDuration(Math.round(temperature.agoS))} ago`}.`}
          </>
        )}
        {step.kind === 'develop' && endMovedS !== 0 && (
          <>
            <br />
            The end has moved{' '}
            <b>
              {endMovedS > 0 ? '+' : '−'}
              {formatDuration(Math.abs(endMovedS))}
            </b>
            .
          </>
        )}
      </p>
      {dip === undefined && settings.kit.probe === 'simulated' && (
        <p className="mb-2 border-s-4 border-heat ps-3 text-[14px]">
          The thermometer is simulated, and its readings move this run. Switch it off under Brews, Kit, for a real one.
        </p>
      )}
      {dip === undefined ? (
        <>
          <div className="mb-2">
            <Segments
              id="thermometer"
              label="The thermometer is in"
              value={target}
              options={targets.map((value) => ({ value, name: names[value] }))}
              onChange={setChosen}
            />
          </div>
          <TemperatureKeys
            key={`${target} ${at[target]}`}
            of={names[target]}
            fromC={fromC}
            stepC={settings.kit.thermometerStepC}
            units={settings}
            disabled={disabled}
            onRead={(celsius) =>
              void onRead({ kind: 'temperature', stepIndex: at[target], celsius, atMs: clock.read() })
            }
          />
        </>
      ) : (
        <button
          type="button"
          className="act min-h-16 w-full text-[17px]"
          disabled={disabled || progress.phase !== 'running' || step.kind !== 'develop'}
          onClick={() => {
            const celsius = dip();
            if (celsius !== null)
              void onRead({ kind: 'temperature', stepIndex: progress.stepIndex, celsius, atMs: clock.read() });
          }}
        >
          Dip the thermometer
        </button>
      )}
    </section>
  );
}
