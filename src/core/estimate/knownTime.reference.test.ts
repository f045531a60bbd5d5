import { describe, expect, test } from 'vitest';
import type { AgitationSchoolId } from '../schedule/agitationSchools';
import { roomYears, sampleRequest } from '../testing/sampleRequest';
import { estimate } from './estimate';
import type { EstimateRequestInput } from './request';

/** Seconds of a time. */
const seconds = (minutes: number): number => Math.round(minutes * 60);

const developer: EstimateRequestInput['developer'] = {
  kind: 'concentrate',
  familyId: 'p-aminophenol',
  parts: { concentrate: 1, water: 100 },
};

describe('with equal conditions a known time returns itself to the second (worked by hand: nothing is to be converted)', () => {
  test.each<[string, number, AgitationSchoolId]>([
    ['60 min at stand', 60, 'stand'],
    ['6:00 at 5 s each half minute', 6, 'five-seconds-each-half-minute'],
    ['10:00 at 5 turns each half minute', 10, 'five-each-half-minute'],
    ['7:30', 7.5, 'ten-each-minute'],
    ['40 min at stand, shorter than is usual', 40, 'stand'],
  ])('%s', (_what, timeMin, agitationId) => {
    const answer = estimate(
      sampleRequest({
        developer,
        agitationId,
        temperatureC: 21,
        strategy: { id: agitationId === 'stand' ? 'stand' : 'hold' },
        knownTime: { timeMin, temperatureC: 21, source: 'own' },
      }),
    );
    expect(seconds(answer.timeMin)).toBe(seconds(timeMin));
  });
  test('a leaflet speaks of once a minute: more movement is converted, and that is all', () => {
    const at = (agitationId: AgitationSchoolId): number =>
      estimate(
        sampleRequest({ developer, agitationId, knownTime: { timeMin: 8, temperatureC: 20, source: 'leaflet' } }),
      ).timeMin;
    expect(seconds(at('ten-each-minute'))).toBe(480);
    expect(at('five-each-half-minute')).toBeCloseTo(8 / 1.06, 3);
    expect(at('continuous')).toBeCloseTo(8 / 1.18, 3);
  });
  test('its own agitation goes before both', () => {
    const known = { timeMin: 8, temperatureC: 20, source: 'leaflet', agitationId: 'continuous' } as const;
    expect(estimate(sampleRequest({ developer, knownTime: known })).timeMin).toBeCloseTo(8 * 1.18, 3);
  });
});

describe('a chart time speaks of fresh film', () => {
  const age = (years: number) => ({ age: roomYears(years), strategy: { id: 'extend', liftCap: true } as const });
  const knownTime = { timeMin: 8, temperatureC: 20, source: 'leaflet' } as const;
  test('film of sixty years is far less sure than fresh film, with the same leaflet', () => {
    const fresh = estimate(sampleRequest({ developer, knownTime }));
    const old = estimate(sampleRequest({ developer, knownTime, ...age(60) }));
    expect(old.lnSd).toBeGreaterThan(1.8 * fresh.lnSd);
    expect(old.timeMin).toBeGreaterThan(fresh.timeMin * 1.3);
  });
  test('it moves neither fog nor lost speed', () => {
    const without = estimate(sampleRequest({ developer, ...age(40) }));
    const withIt = estimate(sampleRequest({ developer, ...age(40), knownTime: { ...knownTime, timeMin: 20 } }));
    expect(withIt.imageLossStops.value).toBeCloseTo(without.imageLossStops.value, 9);
    expect(withIt.imageLossStops.high / without.imageLossStops.high).toBeCloseTo(1, 0.7);
    expect(withIt.effectiveAge.value).toBeCloseTo(without.effectiveAge.value, 9);
  });
  test('an own time that was found on film as old as this comes back as it is', () => {
    const known = { timeMin: 13, temperatureC: 20, source: 'own', aged: true } as const;
    const answer = estimate(sampleRequest({ developer, ...age(40), knownTime: known }));
    expect(seconds(answer.timeMin)).toBe(780);
    expect(answer.lnSd).toBeLessThan(0.25);
  });
});
