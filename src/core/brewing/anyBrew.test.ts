import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { anyKit, anyWorkbench } from '../testing/anyWorkbench';
import { expectSoundBrew } from '../testing/brewInvariants';
import { fineKit, formFor } from '../testing/sampleBrew';
import { formularyIds } from './formulary';

const factors = fc.array(
  fc.oneof(
    { weight: 6, arbitrary: fc.double({ min: 0.5, max: 2, noNaN: true }) },
    { weight: 1, arbitrary: fc.constant(0) },
  ),
  { minLength: 1, maxLength: 20 },
);

describe('whatever hands leave on the workbench', () => {
  test.each(formularyIds.map((id) => [id]))('%s as it stands', (id) => {
    expect(expectSoundBrew(formFor(id), fineKit, () => 1)).toBe(true);
  });
  test('any recipe, any kit, any typing, any hands', () => {
    fc.assert(
      fc.property(anyWorkbench, anyKit, factors, (form, kit, hands) => {
        expectSoundBrew(form, kit, (index) => hands[index % hands.length] ?? 1);
      }),
      { numRuns: 300 },
    );
  });
});
