import { describe, expect, test } from 'vitest';
import { sampleBrew } from '@/core/testing/sampleBrew';
import type { RollDossier } from '@/data/queries';
import { benchHeadline } from './benchWords';

const NOON = new Date(2026, 10, 24, 12).getTime();
const dossier = (atHand: string | null, forbidden = false) =>
  ({ roll: { id: 'a' }, standing: { atHand, forbidden, states: {} } }) as unknown as RollDossier;
const coffee = sampleBrew(NOON);

describe('the bench in two sentences', () => {
  test('rolls that only wait for hands are counted in words', () => {
    expect(benchHeadline([dossier('choose'), dossier('mix'), dossier('run'), dossier('judge')], [], NOON)).toEqual([
      'Three rolls are ready to develop.',
    ]);
    expect(benchHeadline([dossier('choose')], [], NOON)).toEqual(['One roll is ready to develop.']);
    expect(benchHeadline([dossier('identify'), dossier('choose', true), dossier(null)], [], NOON)).toEqual([
      'No roll is ready to develop.',
    ]);
  });
  test('the brew lasts four hours and a half, told as people say it', () => {
    expect(benchHeadline([], [coffee], NOON)[1]).toBe('The brew is good until about half past four.');
    expect(benchHeadline([], [{ ...coffee, films: 1 }], NOON)[1]).toBe('The brew is good until about half past three.');
  });
  test('spent brews and concentrates promise nothing', () => {
    expect(benchHeadline([], [coffee], NOON + 6 * 3_600_000)).toHaveLength(1);
    expect(
      benchHeadline(
        [],
        [{ ...coffee, developer: { kind: 'concentrate', familyId: 'mq-borax', parts: { concentrate: 1, water: 0 } } }],
        NOON,
      ),
    ).toHaveLength(1);
  });
});
