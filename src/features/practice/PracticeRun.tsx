'use client';

import { useCallback, useMemo, useRef, useState } from 'react';
import { practiceScore, type PracticeScore } from '@/core/practice/practiceScore';
import { openMishap, practiceReading, practiceTank, type Mishap } from '@/core/practice/practiceTank';
import type { RunEvent } from '@/core/records/runEvents';
import { isSamePress, runProgress } from '@/core/run/runProgress';
import { useSettings } from '@/data/queries';
import { Tank } from '@/features/run/Tank';
import { TICK_MS } from '@/features/run/TankScreen';
import { useTankClock } from '@/features/run/useTankClock';
import type { TankRun } from '@/features/run/useTankRun';
import { Result } from './Result';

interface PracticeRunProps {
  seed: number;
  /** How many seconds of the tank go by in one. */
  pace: number;
  onScore: (score: PracticeScore) => void;
  onAgain: () => void;
  onLeave: () => void;
}

/** Presses within this real time are one felt twice, ms: the tank’s own seconds may be quick. */
const SAME_PRESS_MS = 400;

/** One practice run: the screen of the tank, events in memory, and a score at the end. */
export function PracticeRun({ seed, pace, onScore, onAgain, onLeave }: PracticeRunProps) {
  const { kit } = useSettings();
  const clock = useTankClock(TICK_MS / Math.sqrt(pace), pace);
  const [tank] = useState(() => practiceTank(seed, Date.now()));
  const [events, setEvents] = useState<readonly RunEvent[]>([]);
  const [ended, setEnded] = useState<ReadonlySet<Mishap['id']>>(new Set());
  const eventsRef = useRef(events);
  const pressedRef = useRef(-Infinity);
  const record = useCallback(
    (event: RunEvent): Promise<boolean> => {
      const steps = event.kind === 'begin' || event.kind === 'finish';
      const now = performance.now();
      if (steps && (now - pressedRef.current < SAME_PRESS_MS || isSamePress(eventsRef.current, event)))
        return Promise.resolve(false);
      if (steps) pressedRef.current = now;
      eventsRef.current = [...eventsRef.current, event];
      setEvents(eventsRef.current);
      const score = event.kind === 'finish' ? practiceScore(tank, eventsRef.current) : null;
      if (score !== null) onScore(score);
      return Promise.resolve(true);
    },
    [tank, onScore],
  );
  const kept: TankRun = { events, record, unstored: null };
  const progress = useMemo(() => runProgress(tank.run.steps, events), [tank, events]);
  const mishap = openMishap(tank, progress, clock.nowMs, ended);
  const score = useMemo(
    () => (progress.phase === 'finished' ? practiceScore(tank, events) : null),
    [progress.phase, tank, events],
  );
  return (
    <Tank
      run={tank.run}
      roll={tank.roll}
      clock={clock}
      leads
      takeOver={() => undefined}
      kept={kept}
      leave={(again) => (again ? onAgain() : onLeave())}
      practice={{
        after: score === null ? null : <Result score={score} />,
        mishap:
          mishap === null
            ? null
            : {
                what: mishap.what,
                act: mishap.act,
                onEnd: () => setEnded((before) => new Set([...before, mishap.id])),
              },
        thermometer: () =>
          progress.stepStartMs === null
            ? null
            : practiceReading(tank, (clock.read() - progress.stepStartMs) / 1000, kit.thermometerStepC),
      }}
    />
  );
}
