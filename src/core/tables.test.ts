import { describe, expect, test } from 'vitest';
import { expectsRemJet, wantsLongSoak } from './films/conditionFacts';
import { familyRecognition } from './films/familyRecognition';
import { stockFamilyIds } from './films/stockFamilies';
import { storagePresets } from './films/storagePresets';
import { storagePresetSchema } from './films/storagePresetSchema';
import { stopSchools } from './fixing/stopSchools';
import { washSchools } from './fixing/washSchools';
import { wettingBaths } from './fixing/wettingBaths';
import { purposeSchema, purposes } from './kinetics/targets';
import { problemsFromZod } from './schema/problemsFromZod';
import { agitationSchools } from './schedule/agitationSchools';
import { bathSchema, readyBaths } from './schedule/baths';
import { movementSchema } from './schedule/movement';
import { preSoaks } from './schedule/preSoaks';

describe('every table fits its schema', () => {
  test.each([
    ['storage', storagePresetSchema, storagePresets],
    ['purposes', purposeSchema, purposes],
  ] as const)('%s', (_name, schema, table) => {
    for (const entry of Object.values(table)) expect(schema.safeParse(entry).error?.issues ?? []).toEqual([]);
  });
  test('every school is made of baths and movements that a plan may hold', () => {
    const schools = [stopSchools, washSchools, wettingBaths, preSoaks].flatMap((table) => Object.values(table));
    for (const bath of [...schools.flatMap(({ baths }) => [...baths]), ...Object.values(readyBaths)])
      expect(bathSchema.safeParse(bath).error?.issues ?? []).toEqual([]);
    for (const { movement } of Object.values(agitationSchools))
      expect(movementSchema.safeParse(movement).error?.issues ?? []).toEqual([]);
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
