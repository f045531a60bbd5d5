'use client';

import { format } from 'date-fns';
import { developSeconds } from '@/core/plan/developSeconds';
import { formatDuration } from '@/core/units/duration';
import { formatQuantity } from '@/core/units/quantity';
import { changeSettings } from '@/data/settings';
import { lights, setLight } from '@/ui/light';
import { tankLight } from './useTankKeys';
import type { TankControl } from './useTank';

interface TankHeaderProps {
  tank: TankControl;
  /** Names of the rolls in it, this one first. */
  labels: readonly string[];
  leave: () => void;
}

/** What is in the tank, and the switches that hands may want on the way. */
export function TankHeader({ tank, labels, leave }: TankHeaderProps) {
  const { run, settings, light, awake, asleep, running } = tank;
  const startedMs = tank.view?.progress.startedMs ?? null;
  return (
    <header className="flex shrink-0 flex-wrap items-baseline gap-x-6 gap-y-1 border-b border-hair px-4 py-3 text-ink2 sm:px-10 short:hidden">
      <h1 className="text-[18px] leading-tight text-ink">{labels.join(' + ')}</h1>
      <span className="max-sm:hidden">
        {run.developerName} · {formatQuantity(run.temperatureC, 'temperature', settings)} ·{' '}
        {formatDuration(developSeconds(run.pinned))} planned
      </span>
      <span className="ms-auto flex flex-wrap items-baseline gap-x-4">
        {startedMs !== null && <span className="max-sm:hidden">started {format(startedMs, 'HH:mm:ss')}</span>}
        <span>{awake ? 'awake' : 'keep the screen awake yourself'}</span>
        <button type="button" className="act-plain" onClick={() => void changeSettings({ sound: !settings.sound })}>
          sound {settings.sound ? (asleep ? 'asleep: touch the screen' : 'on') : 'off'}
        </button>
        <button
          type="button"
          className="act-plain"
          onClick={() => void changeSettings({ voice: settings.voice !== true })}
        >
          voice {settings.voice === true ? 'on' : 'off'}
        </button>
        <button type="button" className="act-plain" onClick={() => setLight(tankLight(light))}>
          light: {lights[light].toLowerCase()}
        </button>
        {!running && (
          <button type="button" className="act-plain" onClick={leave}>
            leave the tank
          </button>
        )}
      </span>
    </header>
  );
}
