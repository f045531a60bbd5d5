import { contrastGrades, fogGrades, shadowGrades } from '../outcome/grades';
import { bathsOf, type RunFacts } from './runFacts';

/** One row of a comparison: the same thing of every run. */
export interface ComparedRow {
  name: string;
  values: string[];
  /** Whether the runs differ in it. */
  differs: boolean;
}

/** Runs that may lie side by side. Source: our choice, what a screen can hold. */
export const MOST_COMPARED = 6;

/**
 * Runs side by side: what was the same, and what was not.
 * @param runs two to six runs
 * @returns rows in the order of the work; a row that no run has is left out
 */
export function compareRuns(runs: readonly RunFacts[]): ComparedRow[] {
  const row = (name: string, of: (run: RunFacts) => string): ComparedRow => {
    const values = runs.map(of);
    return { name, values, differs: new Set(values).size > 1 };
  };
  return [
    row('Film', ({ film }) => film),
    row('Developer', ({ run }) => run.developerName),
    row('Bromide', ({ run }) => (run.setup === null ? '' : `${run.setup.bromideGPerL} g/l`)),
    row('Temperature', ({ run }) => `${run.temperatureC} °C`),
    row('Measured', ({ measuredC }) => (measuredC === null ? '' : `${measuredC.toFixed(1)} °C`)),
    row('Agitation', ({ run }) => run.movementName ?? ''),
    row('Volume', ({ run }) => (run.volumeMl === undefined ? '' : `${Math.round(run.volumeMl)} ml`)),
    row('Films before', ({ run }) => (run.setup === null ? '' : String(run.setup.wear.films))),
    row('Planned', ({ planned }) => planned),
    row('Developed', ({ developed }) => developed),
    row('Other baths', (facts) => bathsOf(facts)),
    row('Contrast', ({ verdict }) =>
      verdict === undefined ? '' : contrastGrades[String(verdict.contrast) as keyof typeof contrastGrades],
    ),
    row('Fog', ({ verdict }) => (verdict === undefined ? '' : fogGrades[verdict.fog])),
    row('Shadows', ({ verdict }) => (verdict === undefined ? '' : shadowGrades[verdict.shadows])),
  ].filter(({ values }) => values.some((value) => value !== ''));
}
