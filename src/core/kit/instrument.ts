/** What an instrument shows at an instant. */
export interface Reading {
  value: number;
  /** Whether it has come to rest. */
  stable: boolean;
  atMs: number;
}

/**
 * Anything that can be read. Simulated ones work it out; one on a wire keeps the last line that it received and hands that
 * out, so that a page reads both in the same way.
 */
export interface Instrument {
  readonly name: string;
  readonly unit: 'g' | '°C' | 'D';
  /** Smallest step that it shows, in its unit. */
  readonly step: number;
  /** @param nowMs this instant, ms since the epoch; never earlier than the last one asked for */
  read(nowMs: number): Reading;
}

/** A scale, which can be tared. */
export interface Scale extends Instrument {
  readonly unit: 'g';
  tare(nowMs: number): void;
}

/** A thermometer that is put into a jug. */
export interface Probe extends Instrument {
  readonly unit: '°C';
}

/** A densitometer, over one patch of film at a time. */
export interface Densitometer extends Instrument {
  readonly unit: 'D';
}
