import { expect, test } from 'vitest';
import { printNote, printsCsv, printsMatching, type PrintToWrite } from './printFiles';

const print: PrintToWrite = {
  rollId: 'past-09',
  rollLabel: 'Hut dog',
  name: 'Frame 3, the dog',
  paper: 'Resin-coated, pearl',
  grade: '3',
  developer: 'coffee',
  sideMm: 240,
  negativeMm: 36,
  fNumber: 8,
  baseS: 12,
  hardS: 5,
  dryDown: 0,
  areas: [
    { where: 'sky', stops: 1 },
    { where: 'face', stops: -0.5 },
  ],
  trays: 'Coffee, 5 min',
  note: '=keeps its edges',
  final: true,
  createdMs: Date.parse('2026-11-30T20:00:00Z'),
};

test('prints go out as a table, a row each, and no text runs as a formula', () => {
  const [head, row] = printsCsv([print]).split('\r\n');
  expect(head).toBe(
    'day,name,roll,paper,grade,developer,side_mm,negative_mm,f_number,exposure_s,dries_percent,hard_filter_s,areas_stops,trays,note,hangs,too_dark_stops,too_hard_grades,grade_before,grade_after,times_as_long',
  );
  expect(row).toContain('2026-11-30,"Frame 3, the dog",Hut dog');
  expect(row).toContain('sky +1; face -0.5');
  expect(row).toContain("'=keeps its edges");
});

test('how a print looked, and what another grade took, goes along', () => {
  const judged = { ...print, judged: { stops: 0.5, grades: -1 }, gradeStep: { from: '2', to: '3', factor: 1.25 } };
  expect(printsCsv([judged]).split('\r\n')[1]).toMatch(/,yes,0\.5,-1,2,3,1\.25$/);
  expect(printNote(judged)).toContain('Judged: darkness half a stop too dark, contrast a grade too soft.');
  expect(printNote(judged)).toContain('One grey took 1.25 × as long on grade 3 as on 2.');
  expect(printNote(print)).not.toContain('Judged');
});

test('a note has what each area had in all: a stop more is twice, half a stop less 0.71 of it (worked by hand)', () => {
  const note = printNote(print);
  expect(note).toContain('- The whole paper: 12.0 s');
  expect(note).toContain('- sky: +1 stops, 24.0 s in all');
  expect(note).toContain('- face: −0.5 stops, 8.5 s in all');
  expect(note).toContain('- Hard filter, the whole paper: 5.0 s');
});

test('a search finds prints by words of any of their fields, in any order', () => {
  const other = { ...print, name: 'The stove', rollLabel: '', note: '' };
  expect(printsMatching([print, other], 'DOG pearl')).toEqual([print]);
  expect(printsMatching([print, other], 'coffee')).toHaveLength(2);
  expect(printsMatching([print, other], '')).toHaveLength(2);
  expect(printsMatching([print, other], 'tea')).toEqual([]);
});
