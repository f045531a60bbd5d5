import * as z from 'zod';
import type { SettingRecord } from '../evidence/evidenceRecord';
import { findingSchema, type Finding } from '../evidence/evidenceRecord';
import type { Brew } from '../records/records';
import { brewWear } from '../plan/estimateRequestFor';
import { agitationSchoolIds } from '../schedule/agitationSchools';
import { limited } from '../schema/fields';
import { failure, success, type Problem, type Result } from '../schema/result';
import { typed } from '../schema/typed';
import { within } from '../schema/within';
import { LOG_EXPOSURE_PER_STOP } from '../units/stops';
import { conditionsOf, levelConditionsShape, variedIds } from './levelConditions';
import { MOST_BLOCKS, MOST_LEVELS, type TrialStrip, type TrialValues } from './trial';

/** What a trial has to be told before estimates can learn from it: which roll each row came from, and what each level was. */
export const lessonFormSchema = z.object({
  /** The roll of each row; empty where it is none on the bench. */
  rollIds: z.array(z.string().max(100)).max(MOST_BLOCKS),
  /** What each level was developed in, and for how long; an empty jug leaves the level out. */
  levels: z.array(z.object({ brewId: z.string().max(100), timeMin: typed, ...levelConditionsShape })).max(MOST_LEVELS),
  /** What differed from level to level beside brew and time; the roll of a level stands there where it was the film. */
  varied: z.enum(variedIds).default('brew'),
  temperatureC: typed,
  agitationId: z.enum(agitationSchoolIds),
});
export type LessonForm = z.infer<typeof lessonFormSchema>;

/** The form as it first opens. */
export function emptyLessons({ levels, blocks }: Pick<TrialValues, 'levels' | 'blocks'>): LessonForm {
  return {
    rollIds: Array.from({ length: blocks }, () => ''),
    levels: levels.map(() => ({ brewId: '', timeMin: '' })),
    varied: 'brew',
    temperatureC: 20,
    agitationId: 'ten-each-minute',
  };
}

/** What one strip teaches. */
export interface TrialLesson {
  code: string;
  rollId: string;
  setting: SettingRecord;
  finding: Finding;
  note: string;
}

/** Stops over which an average gradient is written as two tones. Only their ratio counts. Source: our choice. */
const TONE_STOPS = 2;

/**
 * Strips that can teach: those with a gradient and base + fog. An eye's grade tells one strip from another, and no gradient.
 * @param trial the trial
 */
export function teachingStrips(trial: Pick<TrialValues, 'strips'>): TrialStrip[] {
  return trial.strips.filter(
    ({ lost, values }) => lost === undefined && values.gradient !== undefined && values.fog !== undefined,
  );
}

const time = within('Time', 0.1, 300, 'min');

/**
 * What a trial teaches the estimates, a clip a strip. Strips of one roll share its age, and strips of one jug what was off in it, as
 * everywhere: they are no independent proofs. Each jug counts as fresh.
 * @param trial the trial, read
 * @param form which roll, jug and time each strip had
 * @param brews jugs on the bench
 * @returns lessons in the order of the strips; else every problem with its field
 */
export function trialLessons(trial: TrialValues, form: LessonForm, brews: readonly Brew[]): Result<TrialLesson[]> {
  const problems: Problem[] = [];
  const shared = limited('bathC').safeParse(form.temperatureC);
  if (!shared.success && form.varied !== 'temperature')
    problems.push({ path: 'temperatureC', message: shared.error.issues[0]?.message ?? 'Temperature: give a number.' });
  const settings = form.levels.map(({ brewId, timeMin }, level) => {
    if (brewId === '') return null;
    const brew = brews.find(({ id }) => id === brewId);
    const minutes = time.safeParse(timeMin);
    const { agitationId, ...typedConditions } = conditionsOf({ ...form, rollId: '' }, level);
    const temperature = limited('bathC').safeParse(typedConditions.temperatureC);
    if (!temperature.success && form.varied === 'temperature')
      problems.push({
        path: `levels.${level}.temperatureC`,
        message: `“${trial.levels[level]}”: give its temperature, 5 to 40 °C.`,
      });
    if (brew?.developer == null)
      problems.push({
        path: `levels.${level}.brewId`,
        message: `“${trial.levels[level]}”: Aetas knows no developer in that jug.`,
      });
    if (!minutes.success)
      problems.push({
        path: `levels.${level}.timeMin`,
        message: `“${trial.levels[level]}”: give its time, 0.1 to 300 min.`,
      });
    if (brew?.developer == null || !minutes.success || !temperature.success) return null;
    const setting: SettingRecord = {
      developer: brew.developer,
      bromideGPerL: brew.bromideGPerL,
      wear: brewWear(undefined, brew.volumeMl, 0),
      temperatureC: temperature.data,
      ambientC: null,
      agitationId,
      brewId: brew.id,
      mixingLnSd: brew.mixingLnSd,
    };
    return {
      setting,
      timeMin: minutes.data,
      rollId: form.varied === 'film' ? (form.levels[level]?.rollId ?? '') : null,
    };
  });
  if (problems.length > 0) return failure(...problems);
  const lessons = teachingStrips(trial).flatMap(({ code, level, block, values, curve }): TrialLesson[] => {
    const known = settings[level];
    const rollId = known?.rollId ?? form.rollIds[block] ?? '';
    if (rollId === '' || known == null) return [];
    const finding = findingSchema.parse({
      kind: 'clip',
      timeMin: known.timeMin,
      method: 'densities',
      baseFogD: values.fog,
      shadowD: 0,
      highlightD: (values.gradient ?? 0) * TONE_STOPS * LOG_EXPOSURE_PER_STOP,
      stopsBetween: TONE_STOPS,
      ...(curve?.doubt === undefined ? {} : { doubt: curve.doubt }),
    });
    return [{ code, rollId, setting: known.setting, finding, note: `Strip ${code} of the trial “${trial.name}”` }];
  });
  if (lessons.length === 0)
    return failure({
      path: 'levels',
      message:
        'Nothing to learn yet: name a roll for a row and a jug for a level whose strips have a gradient and base + fog.',
    });
  return success(lessons);
}
