import { describe, expect, test } from 'vitest';
import { BLACK_FOG_D } from '../outcome/grades';
import { sampleRequest } from '../testing/sampleRequest';
import { completeRequest, estimate, fitOf } from './estimate';
import type { EvidenceInput } from './evidenceSchema';
import type { EstimateRequest } from './request';

const old: Parameters<typeof sampleRequest>[0] = {
  age: { storage: [{ years: 40, temperatureC: 21, temperatureSdC: 4 }], yearsSd: 6 },
  rollId: 'this one',
  stockId: 'a stock',
};

const asked = (lotId: string | undefined, evidence: EvidenceInput[] = []): EstimateRequest =>
  completeRequest(sampleRequest({ ...old, lotId, evidence }));

const black = (lotId: string | undefined): EvidenceInput => ({
  kind: 'fog',
  id: 'black',
  setting: { rollId: 'its sister', brewId: 'another brew', lotId },
  timeMin: 12,
  baseFogD: 0.27 + BLACK_FOG_D,
  method: 'eye',
  atLeast: true,
});

const found = (request: EstimateRequest) => estimate(request, fitOf(request));

describe('rolls of one box', () => {
  test('a box by itself says nothing: time and likely range are those of a roll that came alone', () => {
    const [alone, boxed] = [found(asked(undefined)), found(asked('attic'))];
    expect(boxed.timeMin).toBeCloseTo(alone.timeMin, 6);
    expect(boxed.lnSd / alone.lnSd).toBeCloseTo(1, 1.5);
    expect(boxed.baseFogD.value).toBeCloseTo(alone.baseFogD.value, 6);
  });
  test('a sister that came out black tells of fog and of age, far more than another roll of the stock does', () => {
    const before = found(asked('attic'));
    const other = found(asked('attic', [black(undefined)]));
    const sister = found(asked('attic', [black('attic')]));
    const fog = ({ baseFogD }: typeof before): number => baseFogD.value - before.baseFogD.value;
    expect(fog(other)).toBeGreaterThan(0.02);
    expect(fog(sister)).toBeGreaterThan(1.8 * fog(other));
    expect(other.effectiveAge.value).toBeCloseTo(before.effectiveAge.value, 6);
    expect(sister.effectiveAge.value).toBeGreaterThan(before.effectiveAge.value + 1);
    expect(sister.imageLossStops.value).toBeGreaterThan(before.imageLossStops.value);
  });
  test('black film that surprises leaves more open than its covariance says; one that was to be expected, or is past belief, does not', () => {
    const young = (timeMin: number) => {
      const request = completeRequest(
        sampleRequest({
          ...old,
          age: { storage: [{ years: 15, temperatureC: 21, temperatureSdC: 2 }], yearsSd: 2 },
          lotId: 'attic',
          evidence: [{ ...black('attic'), timeMin } as EvidenceInput],
        }),
      );
      return fitOf(request);
    };
    const widest = (fit: ReturnType<typeof fitOf>): number =>
      Math.max(...(fit.observed[0]?.keys ?? []).map((key) => fit.looseness(key)));
    expect(widest(young(12))).toBeGreaterThan(1.1);
    // Two hours in the developer blacken any old film; black after half a minute is no measurement.
    expect(widest(fitOf(asked('attic', [{ ...black('attic'), timeMin: 120 } as EvidenceInput])))).toBe(1);
    const impossible = young(0.5);
    expect(impossible.conflicts).toHaveLength(1);
    expect(widest(impossible)).toBeLessThan(widest(young(12)));
    expect(young(12).looseness('an unknown of nobody')).toBe(1);
  });
  test('another roll that is named without its box is of no box', () => {
    const { setting, ...rest } = black(undefined);
    const unnamed = { ...rest, setting: { rollId: setting?.rollId, brewId: setting?.brewId } } as EvidenceInput;
    expect(found(asked('attic', [unnamed])).timeMin).toBe(found(asked('attic', [black(undefined)])).timeMin);
  });
});
