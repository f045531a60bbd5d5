'use client';

import { useEffect, useState } from 'react';
import {
  beatsOf,
  exposingNow,
  exposingSchema,
  notExposing,
  settled,
  spokenStep,
  type Exposing,
  type LampStep,
} from '@/core/printing/exposing';
import { withLag } from '@/core/printing/lampLag';
import { formatNumber } from '@/core/units/quantity';
import { useSettings } from '@/data/queries';
import { changeSettings } from '@/data/settings';
import { useDraft } from '@/features/drafts/useDraft';
import { soundIn, wakeSound } from '@/features/run/tankSound';
import { useWakeLock } from '@/features/run/useWakeLock';
import { setLight, useLight } from '@/ui/light';
import { isPedal } from '@/ui/pedals';
import { say, stopSaying } from '@/ui/speech';

/** Whether a key was meant for a lesser button, which has the focus by somebody's own doing. */
function isElsewhere({ target }: KeyboardEvent): boolean {
  return target instanceof HTMLButtonElement && !target.classList.contains('act-primary');
}

/** How often the clock is drawn, ms. */
const DRAW_MS = 50;

/** Exposures under way, kept under a key so that a reload in the dark goes on; what the lamp loses is made good. */
export function useExposing(
  key: string,
  lagS: number,
): {
  exposing: Exposing;
  set: (next: Exposing) => void;
  begin: (steps: LampStep[]) => void;
} {
  const { form, change } = useDraft<Exposing>(key, exposingSchema, (kept) => kept ?? notExposing);
  return {
    exposing: form ?? notExposing,
    set: (next) => change(next),
    begin: (steps) => {
      wakeSound();
      change({ steps: withLag(steps, lagS), at: 0, onSinceMs: null });
    },
  };
}

/** The lamp, counted in the dark: one large time, what the hands do, one key. */
export function EnlargerTimer({
  exposing,
  set,
  onDone,
}: {
  exposing: Exposing;
  set: (next: Exposing) => void;
  onDone: () => void;
}) {
  const [nowMs, setNowMs] = useState(() => Date.now());
  const light = useLight();
  useWakeLock(true);
  useEffect(() => {
    const timer = setInterval(() => setNowMs(Date.now()), DRAW_MS);
    return () => clearInterval(timer);
  }, []);
  useEffect(() => {
    const next = settled(exposing, nowMs);
    if (next !== exposing) set(next);
  }, [exposing, nowMs, set]);
  const { steps, at, onSinceMs } = exposing;
  const lit = steps[at];
  // All sounds of the step lie on the sound card's own clock from its first moment.
  useEffect(() => {
    if (onSinceMs === null || lit === undefined) return;
    const sinceS = (Date.now() - onSinceMs) / 1000;
    const taken = beatsOf(lit, at === steps.length - 1)
      .filter(({ inS }) => inS >= sinceS)
      .map(({ kind, inS }) => soundIn(kind, (inS - sinceS) * 1000));
    return () => taken.forEach((takeBack) => takeBack());
  }, [onSinceMs, at, lit, steps.length]);
  const now = exposingNow(exposing, nowMs);
  const voice = useSettings().voice === true;
  const spoken = voice && !now.on ? spokenStep(now.step) : '';
  useEffect(() => {
    if (spoken !== '') say(spoken);
  }, [spoken]);
  const holding = voice ? now.holding.join(', ') : '';
  useEffect(() => {
    if (holding !== '') say(`Hold back ${holding}, now.`);
  }, [holding]);
  useEffect(() => stopSaying, []);
  const press = (): void => {
    wakeSound();
    if (now.step === null) onDone();
    else if (now.on) set({ ...exposing, onSinceMs: null });
    else set({ ...settled(exposing, Date.now()), onSinceMs: Date.now() });
  };
  useEffect(() => {
    const key = (event: KeyboardEvent): void => {
      if (!isPedal(event) || event.repeat || isElsewhere(event)) return;
      event.preventDefault();
      press();
    };
    // The button under the focus would take the same press once more when the key comes up.
    const up = (event: KeyboardEvent): void => {
      if (isPedal(event) && !isElsewhere(event)) event.preventDefault();
    };
    window.addEventListener('keydown', key);
    window.addEventListener('keyup', up);
    return () => {
      window.removeEventListener('keydown', key);
      window.removeEventListener('keyup', up);
    };
  });
  const index = now.step === null ? steps.length : steps.indexOf(now.step);
  return (
    <div
      role="dialog"
      aria-modal="true"
      aria-label="Enlarger timer"
      className="fixed inset-0 z-40 flex flex-col justify-between bg-[var(--ground)] p-6"
    >
      <div className="flex items-baseline justify-between gap-4">
        <p>
          {now.step === null ? 'Done' : `${index + 1} of ${steps.length}`} · {now.on ? 'lamp on' : 'lamp off'}
        </p>
        <span className="flex gap-x-6">
          <button type="button" className="act-plain min-h-11" onClick={() => void changeSettings({ voice: !voice })}>
            voice {voice ? 'on' : 'off'}
          </button>
          <button type="button" className="act-plain min-h-11" onClick={onDone}>
            Leave the timer
          </button>
        </span>
      </div>
      <div className="text-center">
        <p className="num text-[clamp(72px,22vw,220px)] leading-none" data-testid="lamp">
          {now.step === null ? '0.0' : formatNumber(Math.max(0, now.leftS), 1)}
        </p>
        <p role="status" className="mt-4 text-[clamp(20px,4vw,34px)]">
          {now.step === null
            ? 'Lamp off. Into the tray.'
            : now.holding.length > 0
              ? `Hold back: ${now.holding.join(', ')}`
              : now.step.words}
        </p>
        {light !== 'safe' && (
          <p className="mt-6 text-[15px]">
            A bright screen fogs paper.{' '}
            <button type="button" className="act" onClick={() => setLight('safe')}>
              Safe light
            </button>{' '}
            Test even that: a coin on a scrap of paper under the screen for eight minutes.
          </p>
        )}
      </div>
      <button type="button" className="act act-primary min-h-24 w-full text-[24px]" autoFocus onClick={press}>
        {now.step === null ? 'Back to the print' : now.on ? 'Lamp off early' : 'Lamp on'}
      </button>
    </div>
  );
}
