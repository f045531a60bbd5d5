'use client';

import { useEffect, useRef, useState } from 'react';
import type { Roll, Run } from '@/core/records/records';
import { useRollNames } from '@/data/queries';
import { classes } from '@/ui/classes';
import { useInertBehind } from '@/ui/useInertBehind';
import { useTitle } from '@/ui/useTitle';
import { useWide } from '@/ui/useWide';
import { AfterRun } from './AfterRun';
import { Checks } from './Checks';
import { ClearingTest } from './ClearingTest';
import { NoteBox } from './NoteBox';
import { TankActions } from './TankActions';
import { TankHeader } from './TankHeader';
import { TankMoment, TankOutlookLine } from './TankMoment';
import { TankNotices } from './TankNotices';
import { TankSide } from './TankSide';
import { missedWords } from './tankWords';
import { useTank, type TankControl } from './useTank';
import type { TankClock } from './useTankClock';
import type { TankRun } from './useTankRun';

interface TankProps {
  run: Run;
  roll: Roll;
  clock: TankClock;
  /** Whether this tab gives the orders; null until the browser has said so. */
  leads: boolean | null;
  takeOver: () => void;
  kept: TankRun;
  /** Leaves the tank; to the verdict where the film hangs. */
  leave: (judge: boolean) => void;
  /** What practice has in the place of what belongs to a real film. */
  practice?: Practice;
}

/** What a practice tank brings along. */
export interface Practice {
  after: React.ReactNode;
  /** Something that goes wrong just now, and keeps the hands busy. */
  mishap: { what: string; act: string; onEnd: () => void } | null;
  /** What the thermometer shows; null while there is nothing to dip it into. */
  thermometer: () => number | null;
}

/** The tank, for wet hands: clock, the hands’ word and the line of movements have fixed places. */
export function Tank({ run, roll, clock, leads, takeOver, kept, leave, practice }: TankProps) {
  const layer = useRef<HTMLDivElement>(null);
  useInertBehind(layer);
  const mates = useRollNames(run.alongside?.map(({ rollId }) => rollId) ?? []);
  useTitle(practice === undefined ? `At the tank: ${roll.label}` : 'Practice tank');
  const [noting, setNoting] = useState(false);
  const mishap = practice?.mishap ?? null;
  const tank = useTank({ run, clock, leads, kept, leave, practice: practice !== undefined, mishap: mishap !== null });
  const wide = useWide();
  const below = useRef<HTMLDivElement>(null);
  // What is new stands at the top of what scrolls: a bath, a word about the clock, a hand that is stopped.
  const news = [
    tank.view?.progress.stepIndex,
    tank.jump?.level,
    leads,
    tank.unstored,
    tank.jumpMs !== 0,
    tank.sleptMs !== 0,
  ].join();
  useEffect(() => {
    void below.current?.scrollTo(0, 0);
  }, [news]);
  const at = tank.view;
  if (at === null) return null;
  return (
    <div
      ref={layer}
      className={classes(
        'fixed inset-0 z-20 flex flex-col overflow-hidden bg-ground text-ink',
        tank.over && 'tank-negative',
      )}
      data-testid="tank"
      data-over={tank.over || undefined}
    >
      <TankHeader tank={tank} labels={[roll, ...mates].map(({ label }) => label)} leave={() => leave(false)} />
      <div className="grid min-h-0 flex-1 lg:grid-cols-[1fr_360px]">
        <div className="flex min-h-0 min-w-0 flex-col">
          <div className="shrink-0 px-4 pt-3 sm:px-10 sm:pt-5 short:flex short:items-center short:gap-4 short:pt-1">
            <TankMoment tank={tank} at={at} />
          </div>
          <div ref={below} className={classes('min-h-0 flex-1 overflow-y-auto pb-4', noting && 'short:hidden')}>
            <TankNotices
              unstored={tank.unstored}
              jumpMs={tank.jumpMs}
              sleptMs={tank.sleptMs}
              missed={missedWords(tank.missed)}
              leads={leads}
              takeOver={takeOver}
              jump={tank.jump}
              units={tank.settings}
              onSet={tank.clockWasSet}
              onSlept={clock.settle}
              onAnyway={tank.pourAnyway}
            />
            {mishap !== null && <MishapLine {...mishap} />}
            <div className="px-4 sm:px-10">
              {tank.phase === 'finished' ? (
                (practice?.after ?? <AfterRun run={run} mates={mates} hungMs={at.progress.finishedMs ?? clock.nowMs} />)
              ) : (
                <TankOutlookLine tank={tank} at={at} />
              )}
              {practice === undefined && <Asides tank={tank} roll={roll} mates={mates} />}
            </div>
            {!wide && <TankSide tank={tank} at={at} dip={practice?.thermometer} />}
          </div>
        </div>
        {wide && <TankSide tank={tank} at={at} dip={practice?.thermometer} />}
      </div>
      {noting && <NoteBox runId={run.id} onKeep={tank.note} onClose={() => setNoting(false)} />}
      <TankActions
        tank={tank}
        at={at}
        noting={noting}
        onNote={() => setNoting(true)}
        practice={practice !== undefined}
      />
    </div>
  );
}

/** Something that goes wrong in practice, and what mends it. */
function MishapLine({ what, act, onEnd }: NonNullable<Practice['mishap']>) {
  return (
    <p role="alert" className="flex flex-wrap items-center gap-x-4 gap-y-2 border-b-2 border-ink px-4 py-2 sm:px-10">
      <b>{what}</b>
      <button type="button" className="act min-h-16" onClick={onEnd}>
        {act}
      </button>
    </p>
  );
}

/** What a real film wants besides: the test of its fixer, and the checks before the first pour. */
function Asides({ tank, roll, mates }: { tank: TankControl; roll: Roll; mates: ReturnType<typeof useRollNames> }) {
  const { run, view: at, clock, running, phase, mayAct } = tank;
  if (at === null) return null;
  return (
    <>
      {running && at.step.kind === 'fix' && (
        <div className="mt-4 measure">
          <ClearingTest
            runId={run.id}
            fixerId={run.jugs?.fix ?? null}
            clearing={at.progress.clearing}
            clock={clock}
            disabled={!mayAct}
            onKeep={tank.cleared}
          />
        </div>
      )}
      {phase === 'ready' && (
        <Checks
          run={run}
          roll={roll}
          mates={mates}
          progress={at.progress}
          clockIsRight={clock.jumpMs === 0}
          nowMs={clock.nowMs}
        />
      )}
    </>
  );
}
