'use client';

import { format } from 'date-fns';
import type { TankView } from '@/core/run/tankView';
import { StepList } from './StepList';
import { TankTemperature } from './TankTemperature';
import type { TankControl } from './useTank';

interface TankSideProps {
  tank: TankControl;
  at: TankView;
  /** What the thermometer of a practice tank shows; undefined for a real one. */
  dip: (() => number | null) | undefined;
}

/** The steps, the temperature, and what was noted. */
export function TankSide({ tank, at, dip }: TankSideProps) {
  const { run, phase, settings, mayAct, record, clock } = tank;
  const { progress, step } = at;
  return (
    <div className="flex min-h-0 flex-col gap-5 border-hair px-4 pt-4 pb-4 sm:px-8 lg:overflow-y-auto lg:border-s lg:pt-5">
      <StepList steps={run.steps} progress={progress} inHand={step} />
      {phase !== 'finished' && (
        <TankTemperature
          face={at}
          run={run}
          settings={settings}
          disabled={!mayAct}
          onRead={record}
          clock={clock}
          dip={dip}
        />
      )}
      {progress.notes.length > 0 && (
        <ul className="space-y-1 text-[14px]" aria-label="Notes">
          {progress.notes.map(({ text, atMs }) => (
            <li key={atMs}>
              {format(atMs, 'HH:mm')} {text}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
