import * as z from 'zod';
import type { Brew } from '../records/records';
import { typed } from '../schema/typed';
import { SHEET_M2, factorialS, trayMinutes, trayOfJug } from './printPlan';
import { paperFixer, type PaperFixer } from './wetPrint';

/** The developer's tray as typed. */
export const trayFormSchema = z.object({
  freshMin: typed,
  litres: typed,
  sheets: typed,
  imageS: typed,
  factor: typed,
  /** The jug that the tray is poured from; empty for one of no jug. */
  jugId: z.string().max(100).default(''),
});
export type TrayForm = z.infer<typeof trayFormSchema>;

/** Source: common practice for a coffee tray, no source; a factor belongs to its developer. */
export const emptyTray: TrayForm = { freshMin: 4.5, litres: 1, sheets: 0, imageS: '', factor: 8, jugId: '' };

/** The baths after it as typed. */
export const wetFormSchema = z.object({
  base: z.enum(['coated', 'fibre']),
  way: z.enum(['one', 'two']),
  aid: z.boolean(),
  litres: typed,
  sheets: typed,
  jugId: z.string().max(100).default(''),
});
export type WetForm = z.infer<typeof wetFormSchema>;
export const emptyWet: WetForm = { base: 'coated', way: 'one', aid: true, litres: 1, sheets: 0, jugId: '' };

/** Fields of a tray: the smallest figure that reads, and as what each is typed. */
export const trayFields = {
  litres: { least: 0.1, kind: 'gradient' },
  sheets: { least: 0, kind: 'gradient' },
  freshMin: { least: 0.1, kind: 'minutes' },
  imageS: { least: 1, kind: 'seconds' },
  factor: { least: 1, kind: 'gradient' },
} as const;
export type TrayField = keyof typeof trayFields;

/** Whether a field of a tray reads. */
export function isEnough(field: TrayField, value: number | string): value is number {
  return typeof value === 'number' && value >= trayFields[field].least;
}

type Jug = Pick<Brew, 'id' | 'volumeMl' | 'films'>;
type Poured = Pick<TrayForm, 'jugId' | 'litres' | 'sheets'>;

/** What a tray holds: its jug's volume and sheets, else as typed. */
function contents({ jugId, litres, sheets }: Poured, jugs: readonly Jug[]): Pick<TrayForm, 'litres' | 'sheets'> {
  const jug = jugs.find(({ id }) => id === jugId);
  return jug === undefined ? { litres, sheets } : trayOfJug(jug);
}

/** How long a sheet stays in the developer. */
export interface TrayTimes {
  /** By what was printed in it, min; null where a figure is missing. */
  byAreaMin: number | null;
  /** By its first image, s; null where nobody timed it. */
  byImageS: number | null;
  /** The time that is to be expected, min: by area, else as it was fresh. */
  developMin: number | null;
}

/**
 * @param form the tray as typed
 * @param jugs jugs that it may be poured from
 * Sources: see `trayMinutes` and `factorialS`
 */
export function trayTimes(form: TrayForm, jugs: readonly Jug[]): TrayTimes {
  const { freshMin, imageS, factor } = form;
  const { litres, sheets } = contents(form, jugs);
  const fresh = isEnough('freshMin', freshMin) ? freshMin : null;
  const byAreaMin =
    fresh !== null && isEnough('litres', litres) && isEnough('sheets', sheets)
      ? trayMinutes(fresh, sheets * SHEET_M2, litres)
      : null;
  return {
    byAreaMin,
    byImageS: isEnough('imageS', imageS) && isEnough('factor', factor) ? factorialS(imageS, factor) : null,
    developMin: byAreaMin ?? fresh,
  };
}

/** What is left of the fixer in its tray; null where a figure is missing. */
export function fixerLeft(form: WetForm, jugs: readonly Jug[]): PaperFixer | null {
  const { litres, sheets } = contents(form, jugs);
  return isEnough('litres', litres) && isEnough('sheets', sheets)
    ? paperFixer(form.base, form.way, litres, sheets)
    : null;
}
