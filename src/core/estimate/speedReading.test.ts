import { describe, expect, test } from 'vitest';
import { coffeeRequest, roomYears, sampleRequest } from '../testing/sampleRequest';
import type { EvidenceInput } from './evidenceSchema';
import { estimate, estimateFrom } from './estimate';

const strip = (index: number | null, ownFrames = false): EvidenceInput => ({
  kind: 'clip',
  id: 'strip',
  timeMin: 10,
  gradient: 0.5,
  method: 'densities',
  ...(index === null ? {} : { speed: { index, ownFrames } }),
});
const answer = (...evidence: EvidenceInput[]) => estimate(sampleRequest({ age: roomYears(30), evidence }));

describe('the index of a bracket moves the speed, and leaves the time to the gradient', () => {
  const { value: iso } = answer(strip(null)).exposureIndex;
  test('a slow one lowers the index to expose at, a fast one raises it, and both narrow its band', () => {
    const [slow, fast] = [answer(strip(iso / 2)), answer(strip(iso * 1.5))];
    expect(slow.exposureIndex.value).toBeLessThan(iso);
    expect(fast.exposureIndex.value).toBeGreaterThan(iso);
    const width = ({ exposureIndex: { low, high } }: typeof slow) => Math.log(high / low);
    expect(width(slow)).toBeLessThan(width(answer(strip(null))));
  });
  test('the time moves by less than a tenth, by what ageing shares: a bracket is not a clock', () => {
    expect(Math.abs(Math.log(answer(strip(iso / 2)).timeMin / answer(strip(null)).timeMin))).toBeLessThan(0.1);
  });
  test('frames of the roll’s own count the fading of their image in', () => {
    const loss = (ownFrames: boolean) => answer(strip(iso / 2, ownFrames)).imageLossStops.value;
    expect(loss(true)).toBeGreaterThan(answer(strip(null)).imageLossStops.value);
    expect(loss(false)).toBeGreaterThan(answer(strip(null)).imageLossStops.value);
  });
  test('an index that cannot be is refused by its path', () => {
    const read = estimateFrom({ ...coffeeRequest, evidence: [strip(-3)] });
    expect(read.ok ? '' : read.problems[0]?.path).toMatch(/evidence.*speed/);
  });
});
