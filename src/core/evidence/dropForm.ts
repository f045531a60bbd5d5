import * as z from 'zod';
import { developerFamilies, developerFamilyIds } from '../chemistry/developerFamilies';
import { partsSchema } from '../chemistry/partsSchema';
import { problemsFromZod } from '../schema/problemsFromZod';
import { failure, success, type Result } from '../schema/result';
import { stripPairSchema } from './dropTest';
import { findingSchema, type Finding } from './evidenceRecord';
import { typed } from '../schema/typed';

const instantMs = z.number().nullable();

/** A drop test under way: which known developer, the strips timed so far, and the clocks that run. */
export const dropFormSchema = z.object({
  familyId: z.enum(developerFamilyIds),
  concentrateParts: typed,
  waterParts: typed,
  pairs: z.array(stripPairSchema),
  /** Instants: the drops went on, the brew's strip was dark, the known one's was. */
  startMs: instantMs,
  brewMs: instantMs,
  knownMs: instantMs,
});

export type DropForm = z.infer<typeof dropFormSchema>;

/** A drop test as it first opens. */
export function initialDropForm(): DropForm {
  const familyId = 'p-aminophenol';
  return { ...withFamily(familyId), pairs: [], startMs: null, brewMs: null, knownMs: null };
}

/** A known developer at its usual dilution. */
export function withFamily(
  familyId: DropForm['familyId'],
): Pick<DropForm, 'familyId' | 'concentrateParts' | 'waterParts'> {
  const { concentrate, water } = developerFamilies[familyId].referenceParts;
  return { familyId, concentrateParts: concentrate, waterParts: water };
}

/**
 * Stops a clock; once both have stopped, the pair is kept and the clocks are ready for the next.
 * @param form the test
 * @param which whose strip is dark
 * @param nowMs this instant
 * @returns what changes; nothing when the clocks do not run or this one has stopped
 */
export function stopClock(form: DropForm, which: 'brewMs' | 'knownMs', nowMs: number): Partial<DropForm> {
  if (form.startMs === null || form[which] !== null) return {};
  const stopped = { brewMs: form.brewMs, knownMs: form.knownMs, [which]: nowMs };
  if (stopped.brewMs === null || stopped.knownMs === null) return { [which]: nowMs };
  const tookS = (atMs: number): number => Math.round((atMs - (form.startMs ?? atMs)) / 100) / 10;
  return {
    pairs: [...form.pairs, { brewS: tookS(stopped.brewMs), knownS: tookS(stopped.knownMs) }],
    startMs: null,
    brewMs: null,
    knownMs: null,
  };
}

/** Reads a drop test as a finding, or says what is wrong. */
export function readDropForm(form: DropForm): Result<Finding> {
  const parts = partsSchema.safeParse({ concentrate: form.concentrateParts, water: form.waterParts });
  if (!parts.success)
    return failure(
      ...problemsFromZod(parts.error.issues).map((p) => ({
        ...p,
        path: p.path === 'water' ? 'waterParts' : 'concentrateParts',
      })),
    );
  const read = findingSchema.safeParse({
    kind: 'drop',
    pairs: form.pairs,
    known: { kind: 'concentrate', familyId: form.familyId, parts: parts.data },
  });
  return read.success ? success(read.data) : failure(...problemsFromZod(read.error.issues));
}
