import type { QuantityKind } from '../units/quantity';

/** What is seen on a strip of a trial. */
interface Measure {
  name: string;
  unit: string;
  /** As what it is typed. */
  kind: QuantityKind;
  /** Decimals in which it is told. */
  digits: number;
  /** Scatter from strip to strip of one roll in one brew, with the reading of it. */
  stripSd: number;
  /** Scatter from roll to roll, or from day to day. */
  blockSd: number;
  /** The smallest difference that matters, as it first stands. */
  margin: number;
  /** Smallest and largest value. */
  range: readonly [number, number];
  /** What larger means. */
  more: string;
  /** Whether a camera that stretches densities stretches it, and with it a difference of two. Speed is taken at a density: what moves it moves all strips. */
  stretched: boolean;
}

/**
 * What a trial measures. Source of the scatters: our estimate, from a mixing spread of 6 %, a thermometer of 0.3 °C, a clock late by a few
 * seconds, and readings of 0.03 D; by eye, the scatter of a verdict over its step (0.15 over 0.18).
 */
export const measures = {
  contrast: {
    name: 'Contrast by eye',
    unit: 'grades',
    kind: 'gradient',
    digits: 1,
    stripSd: 0.8,
    blockSd: 0.4,
    margin: 1,
    range: [-2, 2],
    more: 'harder',
    stretched: false,
  },
  gradient: {
    name: 'Average gradient',
    unit: '',
    kind: 'gradient',
    digits: 2,
    stripSd: 0.035,
    blockSd: 0.03,
    margin: 0.06,
    range: [0.05, 4],
    more: 'harder',
    stretched: true,
  },
  speed: {
    name: 'Speed',
    unit: 'stops',
    kind: 'stops',
    digits: 2,
    stripSd: 0.15,
    blockSd: 0.2,
    margin: 0.33,
    range: [-8, 8],
    more: 'faster',
    stretched: false,
  },
  fog: {
    name: 'Base + fog',
    unit: 'D',
    kind: 'density',
    digits: 2,
    stripSd: 0.025,
    blockSd: 0.04,
    margin: 0.05,
    range: [0, 4],
    more: 'more fogged',
    stretched: true,
  },
  grain: {
    name: 'Grain by eye',
    unit: 'steps',
    kind: 'gradient',
    digits: 1,
    stripSd: 0.6,
    blockSd: 0.3,
    margin: 1,
    range: [0, 4],
    more: 'grainier',
    stretched: false,
  },
  unevenness: {
    name: 'Unevenness by eye',
    unit: 'steps',
    kind: 'gradient',
    digits: 1,
    stripSd: 0.7,
    blockSd: 0.3,
    margin: 1,
    range: [0, 4],
    more: 'more uneven',
    stretched: false,
  },
} as const satisfies Record<string, Measure>;

export type MeasureId = keyof typeof measures;
export const measureIds = Object.keys(measures) as [MeasureId, ...MeasureId[]];
