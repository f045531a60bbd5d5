import { fahrenheitToCelsius } from '../units/temperature';
import { describe, expect, test } from 'vitest';
import { roomYears, sampleRequest } from '../testing/sampleRequest';
import { estimate, fitOf, workOut } from './estimate';
import type { EstimateRequestInput } from './request';
import { STAND_LONGEST_MIN, STAND_SHORTEST_MIN, standDeveloper, standTime } from './stand';
import { compareStrategies } from './strategies';
import { analysis } from './analysis';

const compare = (part: Partial<EstimateRequestInput>) => {
  const request = sampleRequest(part);
  const fit = fitOf(request);
  return compareStrategies(request, workOut(request, fit), fit);
};
const aminophenol = (water: number): EstimateRequestInput['developer'] => ({
  kind: 'concentrate',
  familyId: 'p-aminophenol',
  parts: { concentrate: 1, water },
});

describe('the recommendation', () => {
  test.each<[string, Partial<EstimateRequestInput>, string, string]>([
    ['fresh film is held', {}, 'hold', 'fresh'],
    ['old film of known exposure is extended', { age: roomYears(15) }, 'extend', 'win-back'],
    ['unknown exposures stand', { age: roomYears(15), exposure: 'unknown' }, 'stand', 'mixed-exposures'],
    ['mixed exposures stand', { exposure: 'mixed' }, 'stand', 'mixed-exposures'],
    [
      'heavy fog is held, whatever the exposures',
      { film: { familyId: 'pan-cubic-very-fast', iso: 1600 }, age: roomYears(60), exposure: 'unknown' },
      'hold',
      'heavy-fog',
    ],
    ['a one-bath runs to its end', { developer: { kind: 'one-bath' }, exposure: 'unknown' }, 'hold', 'one-bath'],
  ])('%s', (_what, part, recommended, reason) => expect(compare(part)).toMatchObject({ recommended, reason }));
});

describe('side by side', () => {
  const { outlooks, freshDensities } = compare({ age: roomYears(25), developer: aminophenol(25) });
  const [hold, extend, stand] = outlooks;
  test('Extend takes longer than Hold for more gradient and more fog', () => {
    expect(extend?.timeMin).toBeGreaterThan(hold?.timeMin ?? 0);
    expect(extend?.netGradient).toBeGreaterThan(hold?.netGradient ?? 0);
    expect(extend?.baseFogD).toBeGreaterThan(hold?.baseFogD ?? 0);
    expect(extend?.shadows?.separationD).toBeGreaterThan(hold?.shadows?.separationD ?? 0);
  });
  test('Stand is thin, long, wide, and keeps its highlights low', () => {
    expect(stand?.developer).toMatchObject({ parts: { concentrate: 1, water: 77 } });
    expect(stand?.timeMin).toBeGreaterThanOrEqual(STAND_SHORTEST_MIN);
    expect(stand?.timeMin).toBeLessThanOrEqual(STAND_LONGEST_MIN);
    const width = (one: typeof stand) => Math.log((one?.highMin ?? 1) / (one?.lowMin ?? 1));
    expect(width(stand)).toBeGreaterThan(width(hold));
    expect(stand?.densities.at(-1)).toBeLessThan(hold?.densities.at(-1) ?? 0);
  });
  test('aged film starts higher than fresh film and ends lower', () => {
    expect(hold?.densities[0]).toBeGreaterThan(freshDensities[0] ?? 0);
    expect(hold?.densities.at(-1)).toBeLessThan(freshDensities.at(-1) ?? 0);
  });
});

describe('standing', () => {
  test('a time is held between 45 and 75 min (common practice)', () => {
    expect([20, 60, 200].map(standTime)).toEqual([45, 60, 75]);
  });
  test('a developer that is thin enough stays, and thinning twice changes nothing', () => {
    const thin = standDeveloper({
      kind: 'concentrate',
      familyId: 'p-aminophenol',
      parts: { concentrate: 1, water: 100 },
    });
    expect(thin).toMatchObject({ parts: { water: 100 } });
    const brew = standDeveloper(sampleRequest().developer);
    expect(standDeveloper(brew)).toEqual(brew);
  });
});

describe('a one-bath', () => {
  const time = (part: Partial<EstimateRequestInput>) =>
    estimate(sampleRequest({ developer: { kind: 'one-bath' }, agitationId: 'gentle', ...part })).timeMin;
  // Source: common practice, no source.
  test.each([
    [22, 6],
    [fahrenheitToCelsius(75), 4],
    [27, 3],
  ])('at %d °C: %d min', (temperatureC, minutes) => expect(time({ temperatureC })).toBeCloseTo(minutes, 6));
  test('each film through a litre takes 15 s more', () => {
    expect(time({ temperatureC: 24, wear: { films: 4, volumeMl: 1000 } }) - time({ temperatureC: 24 })).toBeCloseTo(
      1,
      6,
    );
    expect(time({ temperatureC: 24, wear: { films: 1, volumeMl: 500 } }) - time({ temperatureC: 24 })).toBeCloseTo(
      0.5,
      6,
    );
  });
  test('a push does not move its time, and no strategy does', () => {
    expect(time({ temperatureC: 24, target: { purpose: 'scan', pushStops: 2 } })).toBeCloseTo(4, 6);
    expect(time({ temperatureC: 24, strategy: { id: 'extend' } })).toBeCloseTo(4, 6);
  });
  test('longer than its time does little', () => {
    const { prediction } = workOut(sampleRequest({ developer: { kind: 'one-bath' }, temperatureC: 24 }));
    const { film, timeMin } = prediction;
    expect(film.gradientAt(timeMin * 2) / film.gradientAt(timeMin)).toBeLessThan(1.06);
    expect(film.gradientAt(timeMin / 2) / film.gradientAt(timeMin)).toBeLessThan(0.9);
  });
});

describe('a drifting bath', () => {
  test('a cold room lengthens the time, and the ledger still multiplies out', () => {
    const still = estimate(sampleRequest({ temperatureC: 24 }));
    const drifting = estimate(sampleRequest({ temperatureC: 24, ambientC: 16 }));
    expect(drifting.timeMin).toBeGreaterThan(still.timeMin * 1.03);
    const product = drifting.ledger.reduce(
      (running, row) => (row.ratio === null ? row.timeMin : running * row.ratio),
      1,
    );
    expect(product / drifting.timeMin).toBeCloseTo(1, 9);
  });
  test('its gradient at the time is the one aimed at', () =>
    expect(estimate(sampleRequest({ temperatureC: 24, ambientC: 16 })).gradient.net).toBeCloseTo(0.58, 6));
});

test('an analysis carries everything that is shown, with the marks of its own readings', () => {
  const whole = analysis(
    sampleRequest({
      age: roomYears(20),
      evidence: [{ kind: 'clip', id: 'c', timeMin: 10, gradient: 0.4, method: 'eye', setting: { temperatureC: 24 } }],
    }),
  );
  expect(whole.effects).toHaveLength(1);
  // Four degrees warmer counts for more time on a curve at 20 °C.
  expect(whole.marks[0]?.timeMin).toBeGreaterThan(13);
  expect(whole.curve.timesMin).toHaveLength(whole.curve.net.length);
});
