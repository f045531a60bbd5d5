'use client';

import { useEffect, useRef, useState, useSyncExternalStore } from 'react';
import { COUNTED_S, tankSignals, type TankSignal, type TankSignalKind } from '@/core/run/tankSignals';
import type { WetStep } from '@/core/schedule/wetSteps';
import type { TankClock } from './useTankClock';
import { say } from '@/ui/speech';
import { signalTeller } from './signalTeller';
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
  const look = useRef<(() => void) | null>(null);
  // A computer that slept wakes with its timers late by as much.
  useEffect(() => look.current?.(), [clock.sleptMs]);

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
    const teller = signalTeller(tellings(words.current, voice), startMs, clock, (passed, now) => {
      const late = passed.filter(({ atS }) => now - startMs - atS * 1000 > MISSED_MS * clock.pace);
      const signals = late.flatMap(({ atS, kind }) => (kind === null ? [] : [{ atS, kind }]));
      setMissed({ startMs, signals });
      clock.refresh();
      const lastSignal = passed.findLast(({ kind }) => kind !== null)?.kind ?? null;
      if (lastSignal !== null) shake(lastSignal);
      // What was laid out ahead was not heard while everything slept.
      if (signals.length > 0 && sound && lastSignal !== null) soundIn(lastSignal, 0);
      if (voice) say(passed.at(-1)?.words ?? '');
    });
    look.current = teller.look;
    document.addEventListener('visibilitychange', teller.look);
    return () => {
      look.current = null;
      teller.stop();
      document.removeEventListener('visibilitychange', teller.look);
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
