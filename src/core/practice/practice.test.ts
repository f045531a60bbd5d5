import { describe, expect, test } from 'vitest';
import type { RunEvent } from '../records/runEvents';
import { wetStepSchema } from '../schedule/wetSteps';
import { practiceScore } from './practiceScore';
import { practiceReading, practiceTank, practiceTemperature } from './practiceTank';

/** Goes through a practice run, each bath as long as asked for. */
function through(seed: number, developS: (dueS: number) => number, readAtS: readonly number[] = [], lateS = 0) {
  const tank = practiceTank(seed, 0);
  const events: RunEvent[] = [];
  let atS = 0;
  tank.run.steps.forEach((step, stepIndex) => {
    events.push({ kind: 'begin', stepIndex, atMs: Math.round(atS * 1000) });
    if (step.kind === 'develop')
      for (const s of readAtS)
        events.push({
          kind: 'temperature',
          stepIndex,
          celsius: practiceReading(tank, s, 0.1),
          atMs: Math.round((atS + s) * 1000),
        });
    atS += step.kind === 'develop' ? developS(step.durationS) : step.durationS + lateS;
  });
  events.push({ kind: 'finish', atMs: Math.round(atS * 1000) });
  const score = practiceScore(tank, events);
  if (score === null) throw new Error('No score.');
  return { tank, score };
}

describe('the practice tank', () => {
  test('the same seed gives the same tank, another gives another', () => {
    expect(practiceTank(7, 0)).toEqual(practiceTank(7, 0));
    expect(practiceTank(7, 0).hidden).not.toEqual(practiceTank(8, 0).hidden);
  });
  test('its steps are those of a run, and most runs have a mishap', () => {
    for (const step of practiceTank(1, 0).run.steps) expect(wetStepSchema.safeParse(step).success).toBe(true);
    const troubled = Array.from({ length: 400 }, (_, seed) => practiceTank(seed, 0).hidden.mishaps.length);
    const share = troubled.reduce((sum, n) => sum + n, 0) / troubled.length;
    expect(share).toBeGreaterThan(0.6);
    expect(share).toBeLessThan(0.8);
  });
  test('the hidden film lies in its band four times in five', () => {
    const inside = Array.from({ length: 400 }, (_, seed) => through(seed, (s) => s).score.filmInBand);
    const share = inside.filter(Boolean).length / inside.length;
    expect(share).toBeGreaterThan(0.75);
    expect(share).toBeLessThan(0.85);
  });
  test('the thermometer shows the hidden temperature on its own steps', () => {
    const tank = practiceTank(3, 0);
    expect(Math.abs(practiceReading(tank, 120, 0.5) - practiceTemperature(tank.hidden, 120))).toBeLessThanOrEqual(0.25);
  });
});

describe('its score', () => {
  test('a hand that follows the thermometer comes near the perfect one, whatever is hidden', () => {
    for (let seed = 0; seed < 40; seed++) {
      const { tank } = through(seed, (s) => s);
      const perfect = tank.run.pinned.timeMin * 60 + (through(seed, (s) => s).score.driftMovedS ?? 0);
      const { score } = through(seed, () => perfect, [20, 150, 300]);
      expect(Math.abs(score.handGrades)).toBeLessThan(0.01);
      expect(score.forgiven).toBe(true);
      expect(['none', 'late-baths']).toContain(score.advice);
    }
  });
  test('two minutes late is told as that, and costs contrast', () => {
    const { score } = through(5, (s) => s + 120);
    expect(score.handGrades).toBeGreaterThan(0.5);
    expect(score.advice).toBe('late-pour');
  });
  test('poured out at the planned second while the tank was cold: it should have been measured', () => {
    const cold = Array.from({ length: 200 }, (_, seed) => seed).find(
      (seed) => through(seed, (s) => s).score.driftMovedS > 60,
    ) as number;
    expect(through(cold, (s) => s).score.advice).toBe('measure');
  });
  test('slow hands at the other baths are told last', () => {
    const warm = Array.from({ length: 400 }, (_, seed) => seed).find(
      (seed) => Math.abs(through(seed, (s) => s).score.driftMovedS) < 5,
    ) as number;
    expect(through(warm, (s) => s, [], 20).score.advice).toBe('late-baths');
    expect(through(warm, (s) => s).score.advice).toBe('none');
  });
});
