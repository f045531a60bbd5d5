import { describe, expect, test } from 'vitest';
import type { Brew } from '@/core/formats/records';
import type { RollDossier } from '@/data/queries';
import { benchHeadline } from './benchWords';

const NOON = new Date(2026, 10, 24, 12).getTime();
const dossier = (atHand: string | null, forbidden = false) => ({ standing: { atHand, forbidden, states: {} } }) as unknown as RollDossier;
const coffee: Brew = {
  id: 'jug',
  createdMs: NOON,
  updatedMs: NOON,
  name: 'Hut coffee',
  developer: { kind: 'improvised', agents: [{ agentId: 'instant-coffee', amountPerL: 40 }], ascorbicGPerL: 16, sodaGPerL: 54 },
  bromideGPerL: 0,
  volumeMl: 500,
  mixedMs: NOON,
  films: 0,
};

describe('the bench in two sentences', () => {
  test('rolls that only wait for hands are counted in words', () => {
    expect(benchHeadline([dossier('choose'), dossier('mix'), dossier('run'), dossier('judge')], [], NOON)).toEqual(['Three rolls can go today.']);
    expect(benchHeadline([dossier('choose')], [], NOON)).toEqual(['One roll can go today.']);
    expect(benchHeadline([dossier('identify'), dossier('choose', true), dossier(null)], [], NOON)).toEqual(['Nothing waits for the tank.']);
  });
  test('the brew lasts four hours and a half, told as people say it', () => {
    expect(benchHeadline([], [coffee], NOON)[1]).toBe('The brew is good until about half past four.');
    expect(benchHeadline([], [{ ...coffee, films: 1 }], NOON)[1]).toBe('The brew is good until about half past three.');
  });
  test('spent brews and concentrates promise nothing', () => {
    expect(benchHeadline([], [coffee], NOON + 6 * 3_600_000)).toHaveLength(1);
    expect(benchHeadline([], [{ ...coffee, developer: { kind: 'concentrate', familyId: 'mq-borax', parts: { concentrate: 1, water: 0 } } }], NOON)).toHaveLength(1);
  });
});
