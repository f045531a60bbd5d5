import * as z from 'zod';
import { limited } from '../schema/fields';
import { interpolate } from '../inference/interpolate';
import { LN_GRADIENT_PER_GRADE } from './grades';

/** What a tank has to know of its estimate once it runs: it must not ask anybody then. */
export const tankOutlookSchema = z.strictObject({
  /** Net gradient that is wanted. */
  targetGradient: z.number().positive().max(10),
  /** Net gradient by development time, in order of time. */
  curve: z
    .array(z.strictObject({ timeMin: limited('stepS'), net: z.number().min(-10).max(10) }))
    .min(2)
    .max(60),
  /** Rate at 30 °C ÷ rate at 20 °C. */
  q10: z.number().positive().max(20),
});

export type TankOutlook = z.infer<typeof tankOutlookSchema>;

/**
 * Net gradient after a time at the planned temperature.
 * @param curve samples in order of time
 * @param timeMin min; 0 or more
 * @returns the gradient, by straight lines between the samples; beyond the last one, that one's
 */
export function outlookGradient(curve: TankOutlook['curve'], timeMin: number): number {
  return interpolate(
    curve.length,
    (index) => (curve[index] as TankOutlook['curve'][number]).timeMin,
    (index) => (curve[index] as TankOutlook['curve'][number]).net,
    timeMin,
  );
}

/** Part of the half band up to which a slip of the hand counts as small. Source: our choice: it widens the band by 3 %. */
const SMALL_SHARE = 0.25;

/** What a late or early hand means for the film. */
export interface TimingError {
  /** Seconds late; below 0 for early. */
  seconds: number;
  /** Small beside the doubt of the estimate. */
  small: boolean;
  /** Change of contrast against the pinned time, grades; null where no curve is known. */
  grades: number | null;
}

/**
 * What it means that the developer was poured out late or early.
 * @param seconds late; below 0 for early. Counted at the planned temperature.
 * @param pinned the time that was pinned, and its 80 % band, min
 * @param curve net gradient by time; null where none was kept
 * @returns whether it is small beside the band, and the grades of contrast that it moves
 * Source: a grade is a factor of e^0.18 of gradient (our estimate, as for verdicts).
 */
export function timingError(
  seconds: number,
  pinned: { timeMin: number; lowMin: number; highMin: number },
  curve: TankOutlook['curve'] | null,
): TimingError {
  const { timeMin, lowMin, highMin } = pinned;
  const movedMin = Math.max(timeMin / 100, timeMin + seconds / 60);
  const half = Math.log(seconds >= 0 ? highMin / timeMin : timeMin / lowMin);
  const before = curve === null ? 0 : outlookGradient(curve, timeMin);
  const after = curve === null ? 0 : outlookGradient(curve, movedMin);
  return {
    seconds,
    // A time of one's own beyond the band has no doubt on that side to hide behind.
    small: half > 0 && Math.abs(Math.log(movedMin / timeMin)) <= SMALL_SHARE * half,
    grades: before > 0 && after > 0 ? Math.log(after / before) / LN_GRADIENT_PER_GRADE : null,
  };
}
