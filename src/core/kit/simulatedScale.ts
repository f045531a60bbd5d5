import { toStep } from './readable';
import type { Reading, Scale } from './instrument';
import { seededNormal } from './seededNoise';

/** How a kitchen scale behaves. Source: our estimate, from the data sheets' usual classes; nothing hangs on the values. */
const SETTLING_MS = 350;
const REST_MS = 900;
const NOISE_STEPS = 0.2;
const NOISE_TICK_MS = 200;
const DRIFT_STEPS_PER_MIN = 0.15;

/** A kitchen scale that is not there: it settles, rustles, drifts and rounds like one. */
export class SimulatedScale implements Scale {
  readonly name = 'Simulated kitchen scale';
  readonly unit = 'g';
  private loadG = 0;
  /** Where the pan was when the load last changed. */
  private fromG = 0;
  private changedMs: number;
  private tareG = 0;
  private tareMs: number;

  /**
   * @param step smallest step, g; above 0
   * @param mostG most that it takes, g
   * @param seed the same seed gives the same readings
   * @param nowMs instant at which it is switched on, ms since the epoch
   */
  constructor(
    readonly step: number,
    private readonly mostG: number,
    private readonly seed: number,
    nowMs: number,
  ) {
    this.changedMs = nowMs;
    this.tareMs = nowMs;
  }

  /** Puts something on the pan, or takes it off when below 0. */
  put(massG: number, nowMs: number): void {
    this.fromG = this.panAt(nowMs);
    this.loadG = Math.max(0, this.loadG + massG);
    this.changedMs = nowMs;
  }

  tare(nowMs: number): void {
    this.tareG = this.loadG;
    this.tareMs = nowMs;
  }

  read(nowMs: number): Reading {
    if (this.loadG > this.mostG) return { value: Number.POSITIVE_INFINITY, stable: false, atMs: nowMs };
    const noiseG = seededNormal(this.seed, Math.floor(nowMs / NOISE_TICK_MS)) * NOISE_STEPS * this.step;
    const driftG = ((nowMs - this.tareMs) / 60_000) * DRIFT_STEPS_PER_MIN * this.step;
    const stable = nowMs - this.changedMs >= REST_MS && Math.abs(this.panAt(nowMs) - this.loadG) < this.step / 2;
    return { value: toStep(this.panAt(nowMs) - this.tareG + noiseG + driftG, this.step), stable, atMs: nowMs };
  }

  private panAt(nowMs: number): number {
    return this.loadG + (this.fromG - this.loadG) * Math.exp(-Math.max(0, nowMs - this.changedMs) / SETTLING_MS);
  }
}

/**
 * What a hand pours that aims at an amount: it stops a little before or after.
 * @param wantedG what is still to come, g; below 0 is taken off
 * @param step step of the scale that it looks at, g
 * @param seed the same seed pours the same
 * @param pour which pour it is
 * @returns g. Source: our estimate, 2 % of the pour and a step of the scale.
 */
export function handPours(wantedG: number, step: number, seed: number, pour: number): number {
  return wantedG + seededNormal(seed, pour) * Math.hypot(0.02 * wantedG, 0.5 * step);
}
