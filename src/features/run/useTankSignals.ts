'use client';

import { useEffect, useRef, useState, useSyncExternalStore } from 'react';
import { COUNTED_S, tankSignals, type TankSignal, type TankSignalKind } from '@/core/schedule/tankSignals';
import type { WetStep } from '@/core/schedule/wetSteps';
import type { TankClock } from './useTankClock';
import { say } from '@/ui/speech';
import { followSound, shake, soundIn, soundIsAwake, wakeSound } from './tankSound';
import { spokenWords } from './tankWords';

/** A signal that comes later than this was missed, and is told so, ms. Source: our choice. */
const MISSED_MS = 1500;

/** Tones are laid out this far ahead, and anew this often, ms. */
const AHEAD_MS = 180_000;
const ANEW_MS = 60_000;

interface TankSignals {
  step: WetStep;
  /** Instant at which the bath went in; null while no clock goes. */
  startMs: number | null;
  clock: TankClock;
  /** Whether this tab gives signals at all. */
  leads: boolean;
  sound: boolean;
  voice: boolean;
}

/** What the screen says of its signals. */
export interface SignalState {
  /** Sound is on, but the browser has not let it out yet. */
  asleep: boolean;
  /** Signals that passed while the page slept; empty as a rule. */
  missed: TankSignal[];
}

/**
 * Gives the signals of the step at hand: tones on the sound card's clock, shaking and words by timers that end on the instant.
 * Signals that passed while the page slept are told late.
 */
export function useTankSignals({ step, startMs, clock, leads, sound, voice }: TankSignals): SignalState {
  const awake = useSyncExternalStore(followSound, soundIsAwake, () => false);
  /** What was missed, and of which bath: the next one starts with a clean sheet. */
  const [missed, setMissed] = useState<{ startMs: number; signals: TankSignal[] } | null>(null);
  const key = JSON.stringify([step.durationS, step.untilClear, step.cues]);
  const words = useRef(step);
  useEffect(() => {
    words.current = step;
  }, [step]);
  const on = leads && startMs !== null;

  // A touch or a key wakes the sound, also after a reload.
  useEffect(() => {
    if (!sound) return;
    wakeSound();
    document.addEventListener('pointerdown', wakeSound);
    document.addEventListener('keydown', wakeSound);
    return () => {
      document.removeEventListener('pointerdown', wakeSound);
      document.removeEventListener('keydown', wakeSound);
    };
  }, [sound]);

  useEffect(() => {
    if (!on || !sound || !awake) return;
    let laid: (() => void)[] = [];
    const layOut = (): void => {
      for (const take of laid) take();
      const now = clock.read();
      laid = tankSignals(words.current).flatMap(({ atS, kind }) => {
        const inMs = (startMs + atS * 1000 - now) / clock.pace;
        return inMs < 0 || inMs > AHEAD_MS ? [] : [soundIn(kind, inMs)];
      });
    };
    layOut();
    const again = setInterval(layOut, ANEW_MS);
    return () => {
      clearInterval(again);
      for (const take of laid) take();
    };
    // The clock's own functions never change what they mean.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [on, sound, awake, startMs, key, clock.pace]);

  useEffect(() => {
    if (!on) return;
    const list = tellings(words.current, voice);
    let next = list.findIndex(({ atS }) => startMs + atS * 1000 > clock.read());
    let timer: ReturnType<typeof setTimeout> | undefined;
    const arm = (): void => {
      const due = list[next];
      if (next < 0 || due === undefined) return;
      timer = setTimeout(tell, Math.max(0, (startMs + due.atS * 1000 - clock.read()) / clock.pace));
    };
    const tell = (): void => {
      const now = clock.read();
      const passed: Telling[] = [];
      for (let due = list[next]; due !== undefined && startMs + due.atS * 1000 <= now; due = list[next]) {
        passed.push(due);
        next += 1;
      }
      const late = passed.filter(({ atS }) => now - startMs - atS * 1000 > MISSED_MS * clock.pace);
      const signals = late.flatMap(({ atS, kind }) => (kind === null ? [] : [{ atS, kind }]));
      if (passed.length > 0) setMissed({ startMs, signals });
      const last = passed.at(-1);
      if (last !== undefined) {
        clock.refresh();
        const lastSignal = passed.findLast(({ kind }) => kind !== null)?.kind ?? null;
        if (lastSignal !== null) shake(lastSignal);
        // What was laid out ahead was not heard while everything slept.
        if (signals.length > 0 && sound && lastSignal !== null) soundIn(lastSignal, 0);
        if (voice) say(last.words);
      }
      arm();
    };
    arm();
    document.addEventListener('visibilitychange', tell);
    return () => {
      clearTimeout(timer);
      document.removeEventListener('visibilitychange', tell);
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [on, sound, voice, startMs, key, clock.pace]);

  return {
    asleep: sound && leads && !awake,
    missed: missed !== null && missed.startMs === startMs ? missed.signals : [],
  };
}

interface Telling {
  atS: number;
  /** Null for a number of the countdown. */
  kind: TankSignalKind | null;
  words: string;
}

/** Everything that is told of a step, in order of time. */
function tellings(step: WetStep, voice: boolean): Telling[] {
  const signals = tankSignals(step).map(({ atS, kind }) => ({ atS, kind, words: spokenWords(step, kind, atS) }));
  if (!voice || step.untilClear === true) return signals;
  const counts = COUNTED_S.filter((s) => s < step.durationS).map((s) => ({
    atS: step.durationS - s,
    kind: null,
    words: String(s),
  }));
  return [...signals, ...counts].sort((a, b) => a.atS - b.atS);
}
