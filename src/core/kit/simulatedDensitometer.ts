import { toStep } from './readable';
import type { Densitometer, Reading } from './instrument';
import { seededNormal } from './seededNoise';

/** How a simple densitometer behaves: it settles within a second, and repeats to a hundredth. Source: our estimate; nothing hangs on the values. */
const SETTLING_MS = 250;
const REST_MS = 1000;
const NOISE_D = 0.006;
const NOISE_TICK_MS = 300;

/** Densest film that it sees, D. */
const MOST_D = 4;

/** A densitometer that is not there: it settles, rustles and rounds like one. */
export class SimulatedDensitometer implements Densitometer {
  readonly name = 'Simulated densitometer';
  readonly unit = 'D';
  private fromD = 0;
  private densityD = 0;
  private movedMs: number;

  /**
   * @param step smallest step, D
   * @param seed the same seed gives the same readings
   * @param nowMs instant at which it is switched on, on bare light, ms since the epoch
   */
  constructor(
    readonly step: number,
    private readonly seed: number,
    nowMs: number,
  ) {
    this.movedMs = nowMs - REST_MS;
  }

  /** Moves the head over a patch of a true density, D. */
  put(densityD: number, nowMs: number): void {
    this.fromD = this.headAt(nowMs);
    this.densityD = densityD;
    this.movedMs = nowMs;
  }

  read(nowMs: number): Reading {
    if (this.densityD > MOST_D) return { value: Number.POSITIVE_INFINITY, stable: true, atMs: nowMs };
    const noiseD = seededNormal(this.seed, Math.floor(nowMs / NOISE_TICK_MS)) * NOISE_D;
    return {
      value: Math.max(0, toStep(this.headAt(nowMs) + noiseD, this.step)),
      stable: nowMs - this.movedMs >= REST_MS,
      atMs: nowMs,
    };
  }

  private headAt(nowMs: number): number {
    return this.densityD + (this.fromD - this.densityD) * Math.exp(-Math.max(0, nowMs - this.movedMs) / SETTLING_MS);
  }
}
