import fc from 'fast-check';
import { expect, test } from 'vitest';
import { anyKit, anyWorkbench } from '../testing/anyWorkbench';
import { expectSoundBrew } from '../testing/brewInvariants';
import { sweep } from '../testing/cases';

const CASES = sweep(10_000);

test(`${CASES} workbenches, each sound or told what is wrong with it`, { timeout: 600_000 }, () => {
  const hands = fc.array(fc.double({ min: 0, max: 3, noNaN: true }), { minLength: 1, maxLength: 20 });
  let sheets = 0;
  fc.assert(
    fc.property(anyWorkbench, anyKit, hands, (form, kit, factors) => {
      sheets += Number(expectSoundBrew(form, kit, (index) => factors[index % factors.length] ?? 1));
    }),
    { numRuns: CASES },
  );
  // Enough of them got as far as a sheet for the soak to mean something.
  expect(sheets).toBeGreaterThan(0.15 * CASES);
});
