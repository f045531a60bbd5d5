import fc from 'fast-check';
import { expect, test } from 'vitest';
import { anyEvidence, anyRequest } from '../testing/anyRequest';
import { estimate, estimateFrom } from './estimate';
import { estimateSchema } from './result';
import { sweep } from '../testing/cases';

const CASES = sweep(10_000);

test(`${CASES} estimates: finite, whole, and the ledger multiplies out`, () => {
  fc.assert(
    fc.property(anyRequest, (request) => {
      const answer = estimate(request);
      expect(estimateSchema.safeParse(answer).success).toBe(true);
      const product = answer.ledger.reduce(
        (running, row) => (row.ratio === null ? row.timeMin : running * row.ratio),
        1,
      );
      expect(Math.abs(product / answer.timeMin - 1)).toBeLessThan(1e-9);
    }),
    { numRuns: CASES },
  );
});

test(`${CASES} requests with one value spoilt: a problem with a path, or finite numbers`, () => {
  const spoilt = fc.oneof(
    fc.constant(Number.NaN),
    fc.constant(null),
    fc.double(),
    fc.string(),
    fc.array(fc.integer()),
    fc.object(),
  );
  fc.assert(
    fc.property(anyRequest, fc.nat(), spoilt, (request, which, value) => {
      const keys = Object.keys(request);
      const answer = estimateFrom({ ...request, [keys[which % keys.length] ?? 'film']: value });
      if (answer.ok)
        expect(Number.isFinite(answer.value.timeMin) && Number.isFinite(answer.value.band.highMin)).toBe(true);
      else for (const problem of answer.problems) expect(problem.message.length).toBeGreaterThan(0);
    }),
    { numRuns: CASES },
  );
});

test(`${CASES} requests with up to four pieces of evidence, sound, absurd or contradictory: finite, whole, and the ledger multiplies out`, () => {
  fc.assert(
    fc.property(anyRequest, fc.array(anyEvidence, { minLength: 1, maxLength: 4 }), (request, evidence) => {
      const answer = estimate({ ...request, evidence: evidence.map((piece, index) => ({ ...piece, id: `${index}` })) });
      expect(estimateSchema.safeParse(answer).success).toBe(true);
      const product = answer.ledger.reduce(
        (running, row) => (row.ratio === null ? row.timeMin : running * row.ratio),
        1,
      );
      expect(Math.abs(product / answer.timeMin - 1)).toBeLessThan(1e-9);
    }),
    { numRuns: CASES },
  );
});

test(`${CASES} requests with one value of their evidence spoilt: a problem with a path, never a number that is not one`, () => {
  const spoilt = fc.oneof(
    fc.constant(Number.NaN),
    fc.constant(-1),
    fc.constant(1e300),
    fc.constant(null),
    fc.double(),
    fc.string(),
    fc.object(),
  );
  fc.assert(
    fc.property(anyRequest, anyEvidence, fc.nat(), spoilt, (request, evidence, which, value) => {
      const keys = Object.keys(evidence).filter((key) => key !== 'id');
      const answer = estimateFrom({
        ...request,
        evidence: [{ ...evidence, [keys[which % keys.length] ?? 'kind']: value }],
      });
      if (answer.ok)
        expect([answer.value.timeMin, answer.value.band.lowMin, answer.value.band.highMin].every(Number.isFinite)).toBe(
          true,
        );
      else for (const problem of answer.problems) expect(problem.path).toMatch(/^evidence/);
    }),
    { numRuns: CASES },
  );
});
