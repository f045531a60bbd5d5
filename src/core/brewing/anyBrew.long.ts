import fc from 'fast-check';
import { test } from 'vitest';
import { anyKit, anyWorkbench } from '../testing/anyWorkbench';
import { expectSoundBrew } from '../testing/brewInvariants';

test('ten thousand workbenches, each sound or told what is wrong with it', { timeout: 600_000 }, () => {
  const hands = fc.array(fc.double({ min: 0, max: 3, noNaN: true }), { minLength: 1, maxLength: 20 });
  fc.assert(
    fc.property(anyWorkbench, anyKit, hands, (form, kit, factors) => expectSoundBrew(form, kit, (index) => factors[index % factors.length] ?? 1)),
    { numRuns: 10_000 },
  );
});
