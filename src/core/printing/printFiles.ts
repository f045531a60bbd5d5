import { safeCsv } from '../formats/csv';
import { formatNumber } from '../units/quantity';
import type { PrintValues } from './print';
import type { JudgedPrint } from './printLikeness';
import { paperDevelopers } from './paperRange';
import { exposureOf, printPlan } from './printPlan';

/** A print with the day on which it was kept, and the name of its roll; empty where it is of none. */
export interface PrintToWrite extends PrintValues {
  createdMs: number;
  rollLabel: string;
}

const areasText = ({ areas }: Pick<PrintValues, 'areas'>): string =>
  areas.map(({ where, stops }) => `${where} ${stops > 0 ? '+' : ''}${stops}`).join('; ');

/** How a print looked by the eye, in a sentence. */
function judgedText({ stops, grades }: JudgedPrint): string {
  const dark =
    stops === 0 ? 'right' : `${Math.abs(stops) < 1 ? 'half a stop' : 'a stop'} too ${stops > 0 ? 'dark' : 'light'}`;
  const hard =
    grades === 0 ? 'right' : `${Math.abs(grades) < 2 ? 'a grade' : 'two grades'} too ${grades > 0 ? 'hard' : 'soft'}`;
  return `Judged: darkness ${dark}, contrast ${hard}.`;
}

/**
 * All prints, one a row: exposures in seconds, sizes in mm, areas in stops; how it looked, in stops too dark and grades too hard.
 * @returns CSV after RFC 4180, with a row of names; days are ISO 8601
 */
export function printsCsv(prints: readonly PrintToWrite[]): string {
  return safeCsv(
    prints.map((print) => ({
      day: new Date(print.createdMs).toISOString().slice(0, 10),
      name: print.name,
      roll: print.rollLabel,
      paper: print.paper,
      grade: print.grade,
      developer: print.developer ?? '',
      side_mm: print.sideMm,
      negative_mm: print.negativeMm,
      f_number: print.fNumber,
      exposure_s: print.baseS,
      dries_percent: print.dries ?? '',
      hard_filter_s: print.hardS ?? '',
      areas_stops: areasText(print),
      trays: print.trays,
      note: print.note,
      hangs: print.final ? 'yes' : 'no',
      too_dark_stops: print.judged?.stops ?? '',
      too_hard_grades: print.judged?.grades ?? '',
      grade_before: print.gradeStep?.from ?? '',
      grade_after: print.gradeStep?.to ?? '',
      times_as_long: print.gradeStep?.factor ?? '',
    })),
  );
}

/** One print as a note: what it is on, how it was exposed, and what the hands did. Markdown. */
export function printNote(print: PrintToWrite): string {
  const plan = printPlan(print.baseS, print.areas);
  const seconds = (value: number): string => `${value.toFixed(1)} s`;
  return [
    `# ${print.name}`,
    '',
    ...(print.rollLabel === '' ? [] : [`From: ${print.rollLabel}.`]),
    `Paper: ${print.paper || 'not said'}, grade ${print.grade || 'not said'}${print.developer === undefined ? '' : `, in ${paperDevelopers[print.developer]}`}. Long side ${print.sideMm} mm, of ${print.negativeMm} mm on the negative, at f/${print.fNumber}.`,
    '',
    `- The whole paper: ${seconds(print.baseS)}`,
    ...print.areas.map(
      ({ where, stops }) =>
        `- ${where}: ${stops > 0 ? '+' : '−'}${Math.abs(stops)} stops, ${seconds(exposureOf(plan, where))} in all`,
    ),
    ...(print.hardS === undefined ? [] : [`- Hard filter, the whole paper: ${seconds(print.hardS)}`]),
    '',
    ...(print.judged === undefined ? [] : [judgedText(print.judged)]),
    ...(print.gradeStep === undefined
      ? []
      : [
          `One grey took ${formatNumber(print.gradeStep.factor, 2)} × as long on grade ${print.gradeStep.to} as on ${print.gradeStep.from}.`,
        ]),
    ...(print.trays === '' ? [] : [`Trays: ${print.trays}`]),
    ...(print.note === '' ? [] : ['', print.note]),
    '',
  ].join('\n');
}

/**
 * Prints that have all words of a search in their name, paper, roll, trays or note.
 * @param prints all prints
 * @param wanted words, in any order; capitals do not matter
 */
export function printsMatching<T extends Pick<PrintToWrite, 'name' | 'paper' | 'rollLabel' | 'trays' | 'note'>>(
  prints: readonly T[],
  wanted: string,
): T[] {
  const words = wanted.toLowerCase().split(/\s+/).filter(Boolean);
  return prints.filter(({ name, paper, rollLabel, trays, note }) => {
    const text = [name, paper, rollLabel, trays, note].join(' ').toLowerCase();
    return words.every((word) => text.includes(word));
  });
}
