import { expect, test } from 'vitest';
import { PATCH, eyePatch, eyeScales, type EyeScaleId } from './eyePatches';

const spread = (values: readonly number[]): number => {
  const mean = values.reduce((sum, one) => sum + one, 0) / values.length;
  return Math.sqrt(values.reduce((sum, one) => sum + (one - mean) ** 2, 0) / values.length);
};

test.each(Object.keys(eyeScales) as EyeScaleId[])(
  '%s: each step is told from the one before, and is the same each time',
  (id) => {
    const spreads = eyeScales[id].map((_, step) => {
      const patch = eyePatch(id, step);
      expect(patch).toHaveLength(PATCH.width * PATCH.height);
      expect(eyePatch(id, step)).toEqual(patch);
      expect(Math.min(...patch)).toBeGreaterThanOrEqual(0);
      expect(Math.max(...patch)).toBeLessThanOrEqual(255);
      return spread(patch);
    });
    for (let step = 1; step < spreads.length; step++)
      expect(spreads[step]).toBeGreaterThan((spreads[step - 1] ?? 0) + 1);
  },
);
