import type { TankSignalKind } from '@/core/run/tankSignals';

/** Tones of a signal, one after another: so many hertz for so many seconds. Told apart by pitch, number and length. */
const tones: Record<TankSignalKind, readonly (readonly [hz: number, seconds: number])[]> = {
  ready: [[587, 0.09]],
  move: [
    [784, 0.12],
    [1047, 0.12],
  ],
  still: [[392, 0.35]],
  pour: [
    [659, 0.14],
    [659, 0.14],
    [880, 0.3],
  ],
  over: [
    [988, 0.18],
    [988, 0.18],
    [988, 0.18],
    [988, 0.4],
  ],
};

/** How long the hand feels each tone, and the rest between two, ms. */
const SHAKE_MS = 160;
const REST_MS = 100;
const GAP_S = 0.08;
const LOUD = 0.35;

let context: AudioContext | null = null;
const listeners = new Set<() => void>();

/** Whether the browser lets sound out now; it wants a touch of the page first. */
export function soundIsAwake(): boolean {
  return context?.state === 'running';
}

/** Asks the browser to let sound out; call it from a touch or a key. */
export function wakeSound(): void {
  try {
    if (context === null) {
      context = new AudioContext();
      context.addEventListener('statechange', () => listeners.forEach((listener) => listener()));
    }
    if (context.state !== 'running') void context.resume().catch(() => undefined);
  } catch {
    // A browser without sound stays silent, and the screen says so.
  }
}

/** Follows whether sound is awake. */
export function followSound(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/**
 * Lays a signal's tones out on the sound card's own clock, which goes on while the page is hidden.
 * @param kind the signal
 * @param inMs milliseconds from now; 0 or more
 * @returns how to take it back
 */
export function soundIn(kind: TankSignalKind, inMs: number): () => void {
  if (context === null || context.state !== 'running') return () => undefined;
  const nodes: OscillatorNode[] = [];
  let at = context.currentTime + inMs / 1000;
  for (const [hz, seconds] of tones[kind]) {
    const oscillator = context.createOscillator();
    const volume = context.createGain();
    oscillator.frequency.value = hz;
    volume.gain.value = LOUD;
    oscillator.connect(volume).connect(context.destination);
    oscillator.start(at);
    oscillator.stop(at + seconds);
    nodes.push(oscillator);
    at += seconds + GAP_S;
  }
  return () => {
    for (const node of nodes) {
      try {
        node.stop();
      } catch {
        // It has ended already.
      }
      node.disconnect();
    }
  };
}

/** Lets the hand feel a signal. */
export function shake(kind: TankSignalKind): void {
  navigator.vibrate?.(tones[kind].flatMap(() => [SHAKE_MS, REST_MS]));
}
