import * as z from 'zod';
import { developerFamilyIds } from '../chemistry/developerFamilies';
import { chartSourceIds } from '../estimate/chartSources';
import { CHART_AGITATION } from '../estimate/pieces';
import { partsSchema } from '../chemistry/partsSchema';
import { situationShape } from '../estimate/situationSchema';
import { problemsFromZod } from '../schema/problemsFromZod';
import { failure, success, type Problem, type Result } from '../schema/result';
import { findingSchema, type Finding, type SettingRecord } from './evidenceRecord';
import { typed } from '../schema/typed';

/** A time from a chart: for the plan's developer, or for another one. */
export const chartFormSchema = z.object({
  timeMin: typed,
  source: z.enum(chartSourceIds),
  temperatureC: typed,
  developer: z.enum(['same', ...developerFamilyIds]),
  concentrateParts: typed,
  waterParts: typed,
});

export type ChartForm = z.infer<typeof chartFormSchema>;

/** A leaflet’s time as it first opens. */
export function initialChartForm(): ChartForm {
  return { timeMin: '', source: 'leaflet', temperatureC: 20, developer: 'same', concentrateParts: 1, waterParts: 0 };
}

/**
 * Reads a chart time as a finding with the setting that it holds for.
 * @param form what was typed
 * @param plan the plan's setting, for a time in the same developer
 */
export function readChartForm(
  form: ChartForm,
  plan: SettingRecord,
): Result<{ finding: Finding; setting: SettingRecord }> {
  const problems: Problem[] = [];
  const finding = findingSchema.safeParse({ kind: 'chart', timeMin: form.timeMin, source: form.source });
  if (!finding.success) problems.push(...problemsFromZod(finding.error.issues));
  const temperature = situationShape.temperatureC.safeParse(form.temperatureC);
  if (!temperature.success)
    problems.push(
      ...problemsFromZod(temperature.error.issues).map((problem) => ({ ...problem, path: 'temperatureC' })),
    );
  const parts =
    form.developer === 'same'
      ? null
      : partsSchema.safeParse({ concentrate: form.concentrateParts, water: form.waterParts });
  if (parts !== null && !parts.success)
    problems.push(
      ...problemsFromZod(parts.error.issues).map((p) => ({
        ...p,
        path: p.path === 'water' ? 'waterParts' : 'concentrateParts',
      })),
    );
  if (!finding.success || !temperature.success || parts?.success === false) return failure(...problems);
  const developer: SettingRecord['developer'] =
    form.developer === 'same' || parts === null
      ? plan.developer
      : { kind: 'concentrate', familyId: form.developer, parts: parts.data };
  return success({
    finding: finding.data,
    // A chart speaks of fresh brew without bromide, moved once a minute, at a temperature that holds.
    setting: {
      ...plan,
      developer,
      temperatureC: temperature.data,
      ambientC: null,
      bromideGPerL: 0,
      wear: { ...plan.wear, ageH: 0, films: 0 },
      agitationId: CHART_AGITATION,
      brewId: null,
      mixingLnSd: null,
    },
  });
}
