import { describe, expect, test } from 'vitest';
import { cautionNoteSchema } from './cautionNote';
import { cautionRules, cautionsFor, type CautionFacts } from './cautions';
import { soundCondition } from '../films/conditionFacts';
import { filmFormatIds, type FilmFormatId } from '../films/filmFormats';
import { stockFamilyIds, type StockFamilyId } from '../films/stockFamilies';
import { dateRoll } from '../films/rollDating';
import type { UserHint } from '../films/userHint';
import { nitrateRisk, type NitrateRisk } from './nitrate';

const ids = (facts: CautionFacts): string[] => cautionsFor(facts).map(({ id }) => id);

describe('cautions stand where they bite', () => {
  test.each<[string, CautionFacts, string]>([
    ['35 mm cine from 1951', { nitrate: 'likely' }, 'nitrate'],
    ['roll film of the forties', { nitrate: 'possible' }, 'possible-nitrate'],
    ['12 °C', { temperatureC: 12 }, 'cold'],
    ['26 °C and old', { temperatureC: 26, ageRoomYears: 40 }, 'warm-old-gelatin'],
    ['26 °C and fresh', { temperatureC: 26, ageRoomYears: 0 }, 'warm'],
    ['3 ml of syrup', { concentrate: { mlPerFilm: 3, leastMl: 6 } }, 'too-little-concentrate'],
    ['powders', { powders: true }, 'powder-dust'],
    ['kitchen things', { kitchenIngredients: true }, 'not-a-drink'],
    ['acid on carbonate', { acidStop: true, carbonateBrew: true }, 'acid-on-carbonate'],
    ['fixer', { fixer: true }, 'spent-baths'],
    ['rem-jet', { remJet: true }, 'rem-jet'],
  ])('%s', (_what, facts, id) => expect(ids(facts)).toContain(id));

  test('nothing is said about what is not there', () => {
    expect(ids({})).toEqual([]);
    expect(ids({ temperatureC: 20, ageRoomYears: 40 })).toEqual([]);
    expect(ids({ acidStop: true })).not.toContain('acid-on-carbonate');
  });
  test('every rule is a whole sentence with an id of its own', () => {
    expect(new Set(cautionRules.map(({ id }) => id)).size).toBe(cautionRules.length);
    for (const { id, at, severity, text } of cautionRules) {
      expect(cautionNoteSchema.safeParse({ id, at, severity, text }).success).toBe(true);
      expect(text).toMatch(/\.$/);
    }
  });
});

const hint = (year: number, slackYears = 0): UserHint => ({ kind: 'stamp', year, slackYears });
const used = (from: number, to: number): UserHint => ({ kind: 'use', what: '', from, to });

describe('nitrate', () => {
  test.each<[string, FilmFormatId, StockFamilyId, UserHint[], NitrateRisk]>([
    ['35 mm cine dated 1950', 'cine35', 'cine-monochrome-negative', [hint(1950)], 'likely'],
    ['35 mm cine of nobody knows when', 'cine35', 'cine-monochrome-negative', [], 'likely'],
    ['35 mm cine dated 1960', 'cine35', 'cine-monochrome-negative', [hint(1960)], 'none'],
    ['colour cine', 'cine35', 'cine-colour-negative', [], 'none'],
    ['16 mm of the thirties', 'cine16', 'cine-monochrome-negative', [hint(1936)], 'none'],
    ['paper-backed film used 1965 to 1975', '120', 'pan-cubic-medium', [used(1965, 1975)], 'none'],
    ['paper-backed film used 1955 to 1975', '120', 'pan-cubic-medium', [used(1955, 1975)], 'possible'],
    ['chromogenic film of 1965 to 1972', '120', 'chromogenic-monochrome', [used(1965, 1972)], 'none'],
    ['obsolete colour negative of the forties', '120', 'colour-negative-obsolete', [hint(1951, 7)], 'none'],
    ['roll film dated 1944', '120', 'orthochromatic', [hint(1944)], 'possible'],
    ['undated roll film', '120', 'pan-cubic-medium', [], 'possible'],
    ['sheet film dated 1938', 'sheet-9x12', 'orthochromatic', [hint(1938)], 'possible'],
    ['roll film dated 1971', '120', 'pan-cubic-medium', [hint(1971, 3)], 'none'],
  ])('%s', (_what, formatId, familyId, hints, risk) =>
    expect(nitrateRisk({ formatId, familyId, hints, condition: soundCondition })).toBe(risk),
  );
  test('the print along the edge settles it either way; that there is none settles nothing', () => {
    const cine = { formatId: 'cine35', familyId: 'cine-monochrome-negative', hints: [hint(1950)] } as const;
    expect(nitrateRisk({ ...cine, condition: { ...soundCondition, edge: 'safety' } })).toBe('none');
    expect(nitrateRisk({ ...cine, condition: { ...soundCondition, edge: 'neither' } })).toBe('likely');
    const roll = { formatId: '120', familyId: 'pan-cubic-medium', hints: [hint(1980)] } as const;
    expect(nitrateRisk({ ...roll, condition: { ...soundCondition, edge: 'nitrate' } })).toBe('likely');
  });
  test('hints that bring a roll past the nitrate years never take it away', () => {
    for (let year = 1958; year <= 1990; year++)
      for (const formatId of filmFormatIds)
        for (const familyId of stockFamilyIds)
          if (dateRoll({ formatId, familyId, hints: [hint(year)] }, 2026).ok)
            expect(nitrateRisk({ formatId, familyId, hints: [hint(year)], condition: soundCondition })).toBe('none');
  });
});
