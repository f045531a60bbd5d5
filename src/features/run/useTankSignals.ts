'use client';

import { useEffect, useRef } from 'react';

/** Moments that hands should notice without looking. */
export type TankSignal = 'move' | 'still' | 'pour' | 'over' | null;

const tones: Record<Exclude<TankSignal, null>, readonly [frequencyHz: number, beeps: number]> = {
  move: [880, 1],
  still: [440, 1],
  pour: [660, 2],
  over: [990, 3],
};

const BEEP_S = 0.14;
const GAP_S = 0.1;

/** Sounds and shakes whenever the signal changes; silent on the first one, so that a reload does not startle. */
export function useTankSignals(signal: TankSignal, stepIndex: number, sound: boolean): void {
  const last = useRef<string | null>(null);
  const audio = useRef<AudioContext | null>(null);
  useEffect(() => {
    const now = `${stepIndex}:${signal}`;
    const first = last.current === null;
    const changed = last.current !== now;
    last.current = now;
    if (first || !changed || signal === null) return;
    const [frequencyHz, beeps] = tones[signal];
    navigator.vibrate?.(Array.from({ length: beeps }, () => [160, 100]).flat());
    if (!sound) return;
    audio.current ??= new AudioContext();
    const context = audio.current;
    for (let beep = 0; beep < beeps; beep++) {
      const oscillator = context.createOscillator();
      oscillator.frequency.value = frequencyHz;
      oscillator.connect(context.destination);
      const at = context.currentTime + beep * (BEEP_S + GAP_S);
      oscillator.start(at);
      oscillator.stop(at + BEEP_S);
    }
  }, [signal, stepIndex, sound]);
  useEffect(() => () => void audio.current?.close(), []);
}
