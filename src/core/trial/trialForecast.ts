import { filmNeed, filmWords } from './material';
import { measures, type MeasureId } from './measures';
import { smallestSeen } from './trialPower';
import type { TrialForm } from './trial';

/** What a trial would see. */
export interface Forecast {
  measureId: MeasureId;
  /** Smallest difference that is seen four times in five; null where none is. */
  seen: number | null;
  /** The same with one more strip of each level. */
  withOneMore: number | null;
  /** The same strips over one level less; null where two are compared, or nothing is seen then either. */
  withoutOne: number | null;
  /** Whether it would see what matters. */
  enough: boolean;
}

/** Strips of each level that a trial has; 0 where its fields do not read. */
export function repeatsOf({ levels, blocks, perBlock }: Pick<TrialForm, 'levels' | 'blocks' | 'perBlock'>): number {
  if (typeof blocks !== 'number' || typeof perBlock !== 'number' || levels.length < 2) return 0;
  const strips = Math.min(300, Math.round(blocks) * Math.round(perBlock));
  return strips < 0 ? 0 : Math.floor(strips / levels.length);
}

/**
 * The film that a trial takes, in words; null where its fields do not read.
 * @param form as typed
 */
export function trialFilm({ blocks, perBlock, levels, material, frames, filmM }: TrialForm): string | null {
  const number = (value: number | string): number => (typeof value === 'number' ? Math.round(value) : 0);
  const strips = number(blocks) * number(perBlock);
  if (strips <= 0) return null;
  const need = filmNeed(material, number(frames), strips, typeof filmM === 'number' ? filmM : null);
  return filmWords(need, strips, number(blocks), levels.length);
}

/**
 * What a trial would see before anything is mixed.
 * @param form as typed
 * @returns one for each thing that is looked at. Source: the scatters of `measures`; `smallestSeen`
 */
export function trialForecast(form: TrialForm): Forecast[] {
  const repeats = repeatsOf(form);
  const levels = form.levels.length;
  const fewer = repeatsOf({ ...form, levels: form.levels.slice(1) });
  return form.measures.map((measureId) => {
    const { stripSd, margin } = measures[measureId];
    const typed = form.margins[measureId];
    const wanted = typeof typed === 'number' ? typed : margin;
    const seen = smallestSeen(levels, repeats, stripSd);
    return {
      measureId,
      seen,
      withOneMore: smallestSeen(levels, repeats + 1, stripSd),
      withoutOne: levels > 2 ? smallestSeen(levels - 1, fewer, stripSd) : null,
      enough: seen !== null && seen <= wanted,
    };
  });
}
