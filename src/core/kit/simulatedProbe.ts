import { toStep } from './readable';
import { driftTemperature, tankTimeConstant } from '../thermal/drift';
import type { Probe, Reading } from './instrument';
import { seededNormal } from './seededNoise';

/** How a probe thermometer behaves. Source: our estimate; nothing hangs on the values. */
const LAG_MS = 4_000;
const NOISE_C = 0.03;
const NOISE_TICK_MS = 500;

/** A jug that stands in a room. */
export interface StandingJug {
  /** Temperature at the instant at which it was filled, °C. */
  startC: number;
  roomC: number;
  volumeMl: number;
  filledMs: number;
}

/** A probe thermometer that is not there, in a jug that cools after Newton: it lags, rustles and rounds like one. */
export class SimulatedProbe implements Probe {
  readonly name = 'Simulated probe thermometer';
  readonly unit = '°C';

  /**
   * @param step smallest step, °C; above 0
   * @param jug the jug that it is put into
   * @param seed the same seed gives the same readings
   * @param dippedMs instant at which it goes in, ms since the epoch
   */
  constructor(
    readonly step: number,
    private readonly jug: StandingJug,
    private readonly seed: number,
    private readonly dippedMs: number,
  ) {}

  /** True temperature of the jug, °C. Source: Newton's law of cooling. */
  jugAt(nowMs: number): number {
    const { startC, roomC, volumeMl, filledMs } = this.jug;
    return driftTemperature(
      { startC, ambientC: roomC, timeConstantMin: tankTimeConstant(volumeMl) },
      Math.max(0, nowMs - filledMs) / 60_000,
    );
  }

  read(nowMs: number): Reading {
    const trueC = this.jugAt(nowMs);
    const lag = Math.exp(-Math.max(0, nowMs - this.dippedMs) / LAG_MS);
    const tipC = trueC + (this.jug.roomC - trueC) * lag;
    const noiseC = seededNormal(this.seed, Math.floor(nowMs / NOISE_TICK_MS)) * NOISE_C;
    return {
      value: toStep(tipC + noiseC, this.step),
      stable: Math.abs(tipC - trueC) < Math.max(this.step, 0.1) / 2,
      atMs: nowMs,
    };
  }
}
