'use client';

import { useEffect, useRef } from 'react';
import { SimulatedProbe } from '@/core/kit/simulatedProbe';
import type { TankView } from '@/core/run/tankView';
import type { Run } from '@/core/records/records';
import type { RunEvent } from '@/core/records/runEvents';
import { useSettings } from '@/data/queries';
import type { TankClock } from './useTankClock';

/** How often the probe's reading goes into the run, ms of the tank's own time. Source: our choice. */
const EVERY_MS = 60_000;

/** A kitchen that the stand-in hangs in, °C. */
const STAND_IN_ROOM_C = 18;

interface ProbeInTank {
  run: Run;
  face: TankView | null;
  clock: TankClock;
  on: boolean;
  record: (event: RunEvent) => Promise<boolean>;
}

/** The simulated probe hangs in the developing tank, and its readings go into the run once a minute. */
export function useProbe({ run, face, clock, on, record }: ProbeInTank): void {
  const { kit } = useSettings();
  const startMs = face?.step.kind === 'develop' && face.progress.phase === 'running' ? face.progress.stepStartMs : null;
  const latest = useRef({ clock, record });
  useEffect(() => {
    latest.current = { clock, record };
  });
  const stepIndex = face?.progress.stepIndex ?? 0;
  const { temperatureC, volumeMl = 500, setup } = run;
  const roomC = setup?.ambientC ?? STAND_IN_ROOM_C;
  useEffect(() => {
    if (!on || startMs === null) return;
    const jug = { startC: temperatureC, roomC, volumeMl, filledMs: startMs };
    const probe = new SimulatedProbe(kit.thermometerStepC, jug, Math.floor(startMs / 1000) % 10_000, startMs);
    const timer = setInterval(() => {
      const reading = probe.read(latest.current.clock.read());
      if (reading.stable)
        void latest.current.record({ kind: 'temperature', stepIndex, celsius: reading.value, atMs: reading.atMs });
    }, EVERY_MS / latest.current.clock.pace);
    return () => clearInterval(timer);
  }, [on, startMs, stepIndex, temperatureC, roomC, volumeMl, kit.thermometerStepC]);
}
