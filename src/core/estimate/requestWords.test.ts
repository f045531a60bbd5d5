import { describe, expect, test } from 'vitest';
import { roomYears, sampleRequest } from '../testing/sampleRequest';
import { estimateFrom } from './estimate';

type Level = Record<string, unknown>;

const problemsOf = (request: unknown): { path: string; message: string }[] => {
  const answer = estimateFrom(request);
  return answer.ok ? [] : answer.problems;
};
const good = sampleRequest({ age: roomYears(20), knownTime: { timeMin: 8, temperatureC: 20, source: 'leaflet' } });

/** A request with one value, anywhere in it, put in the place of another. */
function* spoiled(): Generator<unknown> {
  const walk = function* (level: Level, path: string[]): Generator<unknown> {
    for (const key of [...Object.keys(level), 'nonsense']) {
      for (const value of [undefined, null, 1, 'x', [], {}, true, Number.NaN]) {
        const copy = structuredClone(good) as unknown as Level;
        path.reduce((at, step) => at[step] as Level, copy)[key] = value;
        yield copy;
      }
      const inner = level[key];
      if (typeof inner === 'object' && inner !== null) yield* walk(inner as Level, [...path, key]);
    }
  };
  yield* walk(good as unknown as Level, []);
  yield* [null, 1, 'x', [], {}];
}

describe('what is wrong with a request', () => {
  test('is told in our words, wherever it stands and whatever it is', () => {
    let told = 0;
    for (const request of spoiled())
      for (const { message } of problemsOf(request)) {
        told += 1;
        expect(message).not.toMatch(/Invalid|expected|received|Unrecognized|Too (big|small)|No matching/);
        expect(message).toMatch(/\.$|\?$/);
      }
    expect(told).toBeGreaterThan(300);
  });
  test.each([
    [{ ...good, evidence: [{ kind: 'clip', id: 'c', timeMins: 9, gradient: 0.5, method: 'eye' }] }, 'timeMin?'],
    [{ ...good, temperatureF: 68 }, 'temperatureC?'],
    [{ ...good, agitationid: 'stand' }, 'agitationId?'],
  ])('a near name is proposed', (request, proposal) =>
    expect(
      problemsOf(request)
        .map(({ message }) => message)
        .join(' '),
    ).toContain(`Did you mean ${proposal}`),
  );
  test('a name that is near none is not guessed at', () =>
    expect(problemsOf({ ...good, watermelon: 1 })).toEqual([
      { path: 'watermelon', message: 'There is no field “watermelon” here. Leave it out.' },
    ]));
});
