import { describe, expect, test } from 'vitest';
import { defaultSettings } from '../records/tables';
import { kitFormSchema, readKit } from './kitForm';

const { kit } = defaultSettings;

describe('the kit as typed', () => {
  test('a sound kit reads as itself', () => {
    expect(readKit(kit)).toEqual({ ok: true, value: kit });
  });
  test('a number that is half typed is a form, and no kit yet; the fault names its field', () => {
    const form = { ...kit, scaleStepG: '0.' };
    expect(kitFormSchema.safeParse(form).success).toBe(true);
    const read = readKit(form);
    expect(read.ok).toBe(false);
    expect(read.ok ? [] : read.problems.map(({ path }) => path)).toEqual(['scaleStepG']);
  });
  test('what is no kit at all is no form either', () => {
    for (const odd of [null, 7, 'kit', {}, { ...kit, spoons: 'ladles' }])
      expect(kitFormSchema.safeParse(odd).success).toBe(false);
  });
});
