import { lowerFirst } from '../units/lowerFirst';
import { problemsFromZod } from '../schema/problemsFromZod';
import { failure, success, type Problem, type Result } from '../schema/result';
import { recipeLineSchema, type RecipeLine } from './recipe';
import type { LineForm, WorkbenchForm } from './workbenchForm';

/** A recipe's line with the key of its row. */
export interface KeyedLine {
  key: string;
  line: RecipeLine;
}

/** Which field of a line a schema's path means. */
const fieldOf: Record<string, string> = { 'parts.concentrate': 'concentrateParts', 'parts.water': 'waterParts' };

/**
 * Reads the lines of a workbench.
 * @param form the workbench as typed
 * @returns lines with their keys, or every problem at `lines.KEY.FIELD`
 */
export function readLines({ lines }: Pick<WorkbenchForm, 'lines'>): Result<KeyedLine[]> {
  const problems: Problem[] = [];
  const read: KeyedLine[] = [];
  for (const form of lines) {
    const parsed = recipeLineSchema.safeParse(lineOf(form));
    if (!parsed.success) {
      problems.push(
        ...problemsFromZod(parsed.error.issues).map(({ path, message }) => ({
          path: `lines.${form.key}.${fieldOf[path] ?? path}`,
          message: `${form.name || 'This line'}: ${lowerFirst(message)}`,
        })),
      );
    } else if (parsed.data.kind === 'packet' && parsed.data.packetG === null) {
      problems.push({
        path: `lines.${form.key}.packetG`,
        message: `${form.name}: type the weight printed on your packet.`,
      });
    } else if ('perL' in parsed.data && parsed.data.perL === 0) {
      problems.push({
        path: `lines.${form.key}.perL`,
        message: `${form.name}: 0 means nothing to weigh. Give an amount above 0, or delete the line.`,
      });
    } else read.push({ key: form.key, line: parsed.data });
  }
  return problems.length > 0 ? failure(...problems) : success(read);
}

/** A typed line in the shape of a recipe's; what does not fit is found by the schema. */
function lineOf(form: LineForm): unknown {
  const familyId = form.familyId === '' ? null : form.familyId;
  switch (form.kind) {
    case 'substance':
      return { kind: 'substance', substanceId: form.substanceId, perL: form.perL };
    case 'concentrate':
      return {
        kind: 'concentrate',
        name: form.name,
        familyId,
        parts: { concentrate: form.concentrateParts, water: form.waterParts },
      };
    case 'packet':
      return {
        kind: 'packet',
        name: form.name,
        familyId,
        packetG: form.packetG === '' ? null : form.packetG,
        makesMl: form.makesMl,
      };
    case 'own':
      return { kind: 'own', name: form.name, unit: form.unit, perL: form.perL };
  }
}
