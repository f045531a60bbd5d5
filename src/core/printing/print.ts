import * as z from 'zod';
import { idField, nameField, text } from '../schema/fields';
import { typed } from '../schema/typed';
import { gradeStepSchema } from './gradeCost';
import { ownRangeSchema, paperDeveloperIds } from './paperRange';
import { judgedPrintSchema } from './printLikeness';
import { areaPlaceSchema } from './printMap';
import { within } from '../schema/within';
import { problemsFromZod } from '../schema/problemsFromZod';
import { failure, success, type Result } from '../schema/result';

const size = within('Size', 10, 2000, 'mm');

/** A print: what of, on what, how exposed. */
export const printShape = {
  /** The roll that it is of; null for a picture from elsewhere. */
  rollId: idField.nullable(),
  name: nameField('What is on it'),
  paper: text('Paper', 120),
  grade: text('Grade or filter', 40),
  /** What it was developed in; missing where nobody said. */
  developer: z.enum(paperDeveloperIds).optional(),
  /** Long side of the print, and of what is printed on the negative, mm. */
  sideMm: size,
  negativeMm: size,
  fNumber: within('Aperture', 1, 90),
  /** Base exposure, s. */
  baseS: within('Exposure', 0.1, 3600, 's'),
  /** The second exposure, with a hard filter, s; missing where one filter does. */
  hardS: within('Hard filter', 0.1, 3600, 's').optional(),
  /** What it darkens while it dries, % of the exposure; 0 once that was taken off. */
  dryDown: within('Dries darker', 0, 30, '%'),
  /** What was taken off for its drying, %; missing where nothing was. */
  dries: within('Dries darker', 0, 30, '%').optional(),
  /** The print that this one was made after; missing or null for a first one. */
  afterId: idField.nullable().optional(),
  areas: z
    .array(
      z.strictObject({
        where: nameField('Area', 80),
        stops: within('Stops', -3, 4),
        /** Where it lies on the picture; missing where nobody drew it. */
        at: areaPlaceSchema.optional(),
      }),
    )
    .max(12),
  trays: text('Trays', 1000),
  note: text('Note', 2000),
  /** What a strip without a negative told of this paper on this grade; missing where none was made. */
  ownRange: ownRangeSchema.optional(),
  /** What another grade cost in time, by one grey on both; missing where nobody compared. */
  gradeStep: gradeStepSchema.optional(),
  /** The picture that areas are drawn on: a scan of the print, or of its frame; missing or null for a plain frame. */
  pictureId: idField.nullable().optional(),
  /** How it looked, by the eye; missing while nobody judged it. */
  judged: judgedPrintSchema.optional(),
  /** Whether it is the one that hangs. */
  final: z.boolean(),
};
export const printSchema = z.strictObject(printShape);
export type PrintValues = z.infer<typeof printSchema>;

/** The same as typed. */
export const printFormSchema = z.object({
  name: z.string().max(400),
  paper: z.string().max(400),
  grade: z.string().max(100),
  developer: z.enum(['', ...paperDeveloperIds]).default(''),
  sideMm: typed,
  negativeMm: typed,
  fNumber: typed,
  baseS: typed,
  hardS: typed.default(''),
  dryDown: typed,
  dries: z.number().nullable().default(null),
  afterId: z.string().max(100).nullable().default(null),
  areas: z.array(z.object({ where: z.string().max(200), stops: typed, at: areaPlaceSchema.optional() })).max(12),
  trays: z.string().max(2000),
  note: z.string().max(4000),
  ownRange: ownRangeSchema.nullable().default(null),
  gradeStep: gradeStepSchema.nullable().default(null),
  pictureId: z.string().max(100).nullable().default(null),
  judged: judgedPrintSchema.nullable().default(null),
});
export type PrintForm = z.infer<typeof printFormSchema>;

/** As it first opens. Source: common practice, no source. */
export const emptyPrint: PrintForm = {
  name: '',
  paper: '',
  grade: '2',
  developer: '',
  sideMm: 240,
  negativeMm: 36,
  fNumber: 8,
  baseS: 12,
  hardS: '',
  dryDown: 0,
  dries: null,
  afterId: null,
  areas: [],
  trays: '',
  note: '',
  ownRange: null,
  gradeStep: null,
  pictureId: null,
  judged: null,
};

/** A contact sheet as it first opens: frames as large as they are, on a sheet of 8 × 10 inches. Source: common practice, no source. */
export const contactPrint: PrintForm = { ...emptyPrint, name: 'Contact sheet', sideMm: 254, negativeMm: 254 };

/**
 * The same print once more, to be changed: what was said of the one that is there stays with it.
 * @param form the print that is there
 * @param afterId its id
 */
export function printAgain(form: PrintForm, afterId: string): PrintForm {
  return { ...form, afterId, ownRange: null, gradeStep: null, pictureId: null, judged: null };
}

/** Reads a print; else every problem with its field. Areas that nobody named yet are left out. */
export function readPrint(form: PrintForm, rollId: string | null, final: boolean): Result<PrintValues> {
  const areas = form.areas.filter(
    ({ where, stops, at }) => where.trim() !== '' || (stops !== '' && stops !== 0) || at !== undefined,
  );
  const read = printSchema.safeParse({
    ...form,
    hardS: form.hardS === '' ? undefined : form.hardS,
    developer: form.developer === '' ? undefined : form.developer,
    dries: form.dries ?? undefined,
    afterId: form.afterId ?? undefined,
    ownRange: form.ownRange ?? undefined,
    gradeStep: form.gradeStep ?? undefined,
    judged: form.judged ?? undefined,
    name: form.name.trim(),
    areas,
    rollId,
    final,
  });
  return read.success ? success(read.data) : failure(...problemsFromZod(read.error.issues));
}
