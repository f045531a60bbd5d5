import { expect, test } from 'vitest';
import { completeRequest } from '@/core/estimate/estimate';
import { learnFrom } from '@/core/learning/learning';
import { bigBench } from '@/core/testing/bigBench';
import { sampleRequest } from '@/core/testing/sampleRequest';
import { demoRecords } from './demoRecords';

test('a log of many rolls whose age is in doubt is fitted to its minimum', () => {
  const log = bigBench(demoRecords(Date.UTC(2026, 5, 1)), 150, 60);
  expect(learnFrom(log, 2026).fitFor(completeRequest(sampleRequest({})), []).converged).toBe(true);
});
