import * as z from 'zod';
import type { DeveloperFamilyId } from '../chemistry/developerFamilies';
import { concentrateFraction, type Parts } from '../chemistry/dilution';
import { partsSchema } from '../chemistry/partsSchema';
import { readDilution } from '../chemistry/readDilution';
import { problemsFromZod } from '../schema/problemsFromZod';
import { failure, success, type Result } from '../schema/result';
import { typed } from '../schema/typed';
import { limited, nameField } from '../schema/fields';
import type { Developer } from './composition';

/** A time that a bottle's leaflet gives for a film. */
export const leafletTimeSchema = z.strictObject({
  film: nameField('Film'),
  parts: partsSchema,
  temperatureC: limited('bathC'),
  timeMin: limited('timeMin', 'Leaflet’s time'),
});
export type LeafletTime = z.infer<typeof leafletTimeSchema>;

/** Most times of one bottle. Source: our choice. */
export const MOST_LEAFLET_TIMES = 60;

/** A leaflet's time as it is typed. */
export const leafletFormSchema = z.object({
  film: z.string().max(300),
  dilution: z.string().max(60),
  temperatureC: typed,
  timeMin: typed,
});
export type LeafletForm = z.infer<typeof leafletFormSchema>;

/**
 * Reads a leaflet's time.
 * @param form as typed; its dilution is a letter of the bottle, a dilution such as 1+31, or empty for the usual one
 * @param letters dilutions that are noted on the bottle
 * @param usual the usual dilution of its class
 * @returns the time; else every problem with its field
 */
export function readLeafletTime(
  form: LeafletForm,
  letters: readonly { letter: string; parts: Parts }[],
  usual: Parts,
): Result<LeafletTime> {
  const written = form.dilution.trim();
  const lettered = letters.find(({ letter }) => letter.toLowerCase() === written.toLowerCase())?.parts;
  const plainly = written === '' ? success({ parts: usual }) : readDilution(written, usual, {});
  const read = leafletTimeSchema.safeParse({
    film: form.film.trim(),
    parts: lettered ?? (plainly.ok ? plainly.value.parts : null),
    temperatureC: form.temperatureC,
    timeMin: form.timeMin,
  });
  if (read.success) return success(read.data);
  return failure(
    ...problemsFromZod(read.error.issues).map((problem) =>
      problem.path.startsWith('parts')
        ? { path: 'dilution', message: 'Diluted: give it as 1+31, or its letter.' }
        : problem,
    ),
  );
}

/** Dilutions closer than this are the same, ln of the share. Source: our choice. */
const SAME_DILUTION_LN = 0.01;

interface WithTimes {
  name: string;
  developer: Developer | null;
  bottle?: { times?: readonly LeafletTime[] | undefined } | undefined;
}

const plain = (name: string): string => name.trim().toLowerCase().replaceAll(/\s+/g, ' ');

/**
 * What the leaflets on the shelf say of a film in a developer.
 * @param shelf bottles, with the times that were typed from their leaflets
 * @param film name of the film; capitals and spaces do not matter
 * @param familyId class of the developer
 * @param parts its dilution
 * @param exact whether times of other dilutions are left out: a jug is as strong as it is
 * @returns the time for that dilution, else for the nearest one that has a time; null where none is known
 */
export function leafletTimeFor(
  shelf: readonly WithTimes[],
  film: string,
  familyId: DeveloperFamilyId,
  parts: Parts,
  exact = false,
): { time: LeafletTime; bottle: string } | null {
  const wanted = Math.log(concentrateFraction(parts));
  const [nearest] = shelf
    .filter(({ developer }) => developer?.kind === 'concentrate' && developer.familyId === familyId)
    .flatMap(({ name, bottle }) => (bottle?.times ?? []).map((time) => ({ time, bottle: name })))
    .filter(({ time }) => plain(time.film) === plain(film))
    .map((one) => ({ ...one, off: Math.abs(Math.log(concentrateFraction(one.time.parts)) - wanted) }))
    .filter(({ off }) => !exact || off < SAME_DILUTION_LN)
    .sort((a, b) => a.off - b.off);
  return nearest === undefined ? null : { time: nearest.time, bottle: nearest.bottle };
}
