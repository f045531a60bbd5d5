import { describe, expect, test } from 'vitest';
import { soundCondition } from './conditionFacts';
import { filmFormatIds } from './filmFormats';
import { lightsOutCard } from './lightsOut';

describe('the lights-out card', () => {
  test('every format has things in reach and steps that say what fingers feel', () => {
    for (const id of filmFormatIds) {
      const card = lightsOutCard(id, soundCondition);
      expect(card.inReach.length).toBeGreaterThanOrEqual(2);
      expect(card.steps.length).toBeGreaterThanOrEqual(2);
      for (const { act, feel } of card.steps) {
        expect(act).toMatch(/\.$/);
        expect(feel).toMatch(/\.$/);
      }
    }
  });
  test('roll film goes in by its taped end, and the reel is set to its width', () => {
    const card = lightsOutCard('127', soundCondition);
    expect(card.steps.map(({ feel }) => feel).join(' ')).toContain('This end goes in first');
    expect(card.inReach).toContain('Reel, set to 46 mm and dry');
  });
  test('a steel spiral is loaded from its core', () => {
    const card = lightsOutCard('120', soundCondition, 'spiral');
    expect(card.inReach.join(' ')).toContain('Steel spiral');
    expect(card.steps.some(({ act }) => act.includes('clip its end to the core'))).toBe(true);
    expect(card.steps.some(({ act }) => act.includes('under both lips'))).toBe(false);
  });
  test('what no reel takes is see-sawed', () => {
    const card = lightsOutCard('116', soundCondition);
    expect(card.inReach.join(' ')).not.toContain('Reel');
    expect(card.warnings[0]).toMatch(/see-saw/);
    expect(card.steps.at(-1)?.act).toContain('end to end');
  });
  test('a reel of an odd width is loaded like any other', () => {
    const card = lightsOutCard('116', soundCondition, 'adjustable');
    expect(card.inReach).toContain('Reel for 70 mm, dry');
    expect(card.steps.some(({ act }) => act.includes('under both lips'))).toBe(true);
    expect(card.steps.some(({ act }) => act.includes('end to end'))).toBe(false);
  });
  test('the state of the roll is said before the light goes out', () => {
    expect(lightsOutCard('120', { backing: 'unknown', signs: ['stuck-paper', 'brittle'] }).warnings).toHaveLength(2);
  });
});
