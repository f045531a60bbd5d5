import { describe, expect, test } from 'vitest';
import { expectsRemJet, wantsLongSoak } from './films/conditionFacts';
import { familyRecognition } from './films/familyRecognition';
import { stockFamilyIds } from './films/stockFamilies';
import { storagePresets } from './films/storagePresets';
import { storagePresetSchema } from './films/storagePresetSchema';
import { stopSchoolSchema, stopSchools } from './fixing/stopSchools';
import { washSchoolSchema, washSchools } from './fixing/washSchools';
import { wettingBathSchema, wettingBaths } from './fixing/wettingBaths';
import { purposeSchema, purposes } from './kinetics/targets';
import { problemsFromZod } from './schema/problemsFromZod';
import { agitationSchoolSchema, agitationSchools } from './schedule/agitationSchools';
import { preSoakSchema, preSoaks } from './schedule/preSoaks';

describe('every table fits its schema', () => {
  test.each([
    ['storage', storagePresetSchema, storagePresets],
    ['stop', stopSchoolSchema, stopSchools],
    ['wash', washSchoolSchema, washSchools],
    ['wetting', wettingBathSchema, wettingBaths],
    ['purposes', purposeSchema, purposes],
    ['agitation', agitationSchoolSchema, agitationSchools],
    ['pre-soaks', preSoakSchema, preSoaks],
  ] as const)('%s', (_name, schema, table) => {
    for (const entry of Object.values(table)) expect(schema.safeParse(entry).error?.issues ?? []).toEqual([]);
  });
  test('every family can be recognised, and its years do not run backwards', () => {
    for (const id of stockFamilyIds) {
      const { yearsInUse, recognise, process, image } = familyRecognition[id];
      expect(yearsInUse.to ?? 9999).toBeGreaterThan(yearsInUse.from);
      for (const words of [recognise, process, image]) expect(words).toMatch(/\.$/);
    }
  });
});

describe('condition', () => {
  test('what was seen goes before what the family says', () => {
    expect(expectsRemJet({ backing: 'unknown', signs: [] }, true)).toBe(true);
    expect(expectsRemJet({ backing: 'absent', signs: [] }, true)).toBe(false);
    expect(expectsRemJet({ backing: 'present', signs: [] }, false)).toBe(true);
  });
  test('brittle, shrunken or stuck film soaks long; vinegar and mould alone do not ask for it', () => {
    for (const sign of ['brittle', 'shrunken', 'stuck-paper'] as const)
      expect(wantsLongSoak({ backing: 'unknown', signs: [sign] })).toBe(true);
    expect(wantsLongSoak({ backing: 'unknown', signs: ['vinegar', 'mould'] })).toBe(false);
  });
});

test('paths of problems read like the file they point into', () => {
  const problems = problemsFromZod([
    { code: 'custom', path: ['rolls', 2, 'hints', 0, 'year'], message: 'No.', input: undefined },
  ]);
  expect(problems).toEqual([{ path: 'rolls[2].hints[0].year', message: 'No.' }]);
});
