import * as z from 'zod';
import { ascorbicFormIds } from '../chemistry/ascorbicForms';
import { sodaFormIds } from '../chemistry/sodas';
import { substanceByName, substanceOf } from '../chemistry/substances';
import type { Developer } from './composition';
import { recipeUseIds, type Recipe, type RecipeLine } from './recipe';
import { organicAgents } from '../chemistry/organicAgents';
import { developerFamilies } from '../chemistry/developerFamilies';
import { typed } from '../schema/typed';

/** What lies in the cupboard as soda: one of the look-alikes, or baking soda that went through the oven. */
export const sodaChoices = [...sodaFormIds, 'oven'] as const;

/** One line of the workbench as typed; fields of other kinds rest. */
export const lineFormSchema = z.object({
  key: z.string(),
  kind: z.enum(['substance', 'concentrate', 'packet', 'own']),
  /** Empty for what Aetas does not know. */
  substanceId: z.string(),
  name: z.string().max(120),
  unit: z.enum(['g', 'ml']),
  perL: typed,
  /** Empty where the estimator does not follow it. */
  familyId: z.string(),
  concentrateParts: typed,
  waterParts: typed,
  dilutionText: z.string().max(100),
  packetG: typed,
  makesMl: typed,
});

export type LineForm = z.infer<typeof lineFormSchema>;

/** The workbench as typed. */
export const workbenchFormSchema = z.object({
  name: z.string().max(120),
  use: z.enum(recipeUseIds),
  note: z.string().max(2000),
  lines: z.array(lineFormSchema).max(12),
  /** Empty when it is mixed for no roll. */
  rollId: z.string(),
  measureBy: z.enum(['scale', 'spoons']),
  scaleTo: z.enum(['tank', 'bottle', 'scarcest']),
  reels: typed,
  /** Liquid that covers one reel, ml. */
  coverMl: typed,
  marginPercent: typed,
  bottleMl: typed,
  scarcestKey: z.string(),
  scarcestHave: typed,
  /** Whether it is kept as a recipe for one jug of this volume. */
  oneJug: z.boolean().default(false),
  sodaForm: z.enum(sodaChoices),
  ascorbicForm: z.enum(ascorbicFormIds),
  tabletMg: typed,
  tabletG: typed,
  targetC: typed,
  hotC: typed,
  coldC: typed,
  roomC: typed,
  /** A jug that stands and waits. */
  jugC: typed,
  /** What it was laid out from, so that a plan that changed since starts a new sheet. */
  from: z.string(),
  /** The roll that the address named when it was opened; empty for none. */
  openedFor: z.string(),
});

export type WorkbenchForm = z.infer<typeof workbenchFormSchema>;

const emptyLine: Omit<LineForm, 'key' | 'kind'> = {
  substanceId: '',
  name: '',
  unit: 'g',
  perL: '',
  familyId: '',
  concentrateParts: 1,
  waterParts: 0,
  dilutionText: '',
  packetG: '',
  makesMl: 1000,
};

/** A recipe's line as the workbench types it. */
export function lineFormOf(line: RecipeLine, key: string): LineForm {
  switch (line.kind) {
    case 'substance': {
      const { name, unit } = substanceOf(line.substanceId);
      return { ...emptyLine, key, kind: 'substance', substanceId: line.substanceId, name, unit, perL: line.perL };
    }
    case 'concentrate':
      return {
        ...emptyLine,
        key,
        kind: 'concentrate',
        name: line.name,
        unit: 'ml',
        familyId: line.familyId ?? '',
        concentrateParts: line.parts.concentrate,
        waterParts: line.parts.water,
      };
    case 'packet':
      return {
        ...emptyLine,
        key,
        kind: 'packet',
        name: line.name,
        familyId: line.familyId ?? '',
        packetG: line.packetG ?? '',
        makesMl: line.makesMl,
      };
    case 'own':
      return { ...emptyLine, key, kind: 'own', name: line.name, unit: line.unit, perL: line.perL };
  }
}

/**
 * A line for a name that somebody typed: a known substance, or one of its own.
 * @param name as typed; at least one letter
 * @param key key of the new line
 * @returns the line, at its usual amount where there is one
 */
export function lineForName(name: string, key: string): LineForm {
  const substanceId = substanceByName(name);
  if (substanceId === null) return { ...emptyLine, key, kind: 'own', name: name.trim() };
  const { agentId } = substanceOf(substanceId);
  return {
    ...lineFormOf({ kind: 'substance', substanceId, perL: 0 }, key),
    perL: agentId === null ? '' : organicAgents[agentId].usualPerL,
  };
}

/** What a name can stand for that is no substance. */
export type OtherKind = 'own' | 'concentrate' | 'packet';

/**
 * A line of another kind for a name: something weighed, a concentrate that is diluted, a packet of which a part is taken.
 * @param name as typed; at least one letter
 * @param kind what it is
 * @param key key of the new line
 * @param familyId class of developer that the estimator follows; empty for any other bath
 */
export function lineOfKind(name: string, kind: OtherKind, key: string, familyId = ''): LineForm {
  const parts =
    familyId in developerFamilies
      ? developerFamilies[familyId as keyof typeof developerFamilies].referenceParts
      : { concentrate: 1, water: 9 };
  return {
    ...emptyLine,
    key,
    kind,
    name: name.trim(),
    unit: kind === 'concentrate' ? 'ml' : 'g',
    familyId,
    concentrateParts: parts.concentrate,
    waterParts: parts.water,
  };
}

/** A key for one more line, which no other has. */
export function freeKey(lines: readonly { key: string }[]): string {
  let at = lines.length;
  while (lines.some(({ key }) => key === `line-${at}`)) at += 1;
  return `line-${at}`;
}

/** What a sheet is laid out for. */
export interface SheetFor {
  rollId: string;
  coverMl: number;
  targetC: number;
  /** Volume that a plan has decided, ml; it goes before reels and margin. */
  volumeMl?: number;
}

/** Margin over what covers the film. Source: common practice (10 to 20 %), no source. */
const USUAL_MARGIN_PERCENT = 10;

/**
 * The workbench as it first opens for a recipe.
 * @param recipe the recipe
 * @param sheetFor the roll and its tank; null when it is mixed for no roll
 */
export function initialWorkbench(recipe: Recipe, sheetFor: SheetFor | null): WorkbenchForm {
  const coverMl = sheetFor?.coverMl ?? 300;
  return {
    name: recipe.name,
    use: recipe.use,
    note: recipe.note,
    lines: recipe.lines.map((line, index) => lineFormOf(line, `line-${index}`)),
    rollId: sheetFor?.rollId ?? '',
    measureBy: 'scale',
    // A bath for the shelf fills a bottle; a developer fills the tank.
    scaleTo:
      sheetFor?.volumeMl === undefined && recipe.makesMl === undefined && recipe.use === 'film-developer'
        ? 'tank'
        : 'bottle',
    reels: 1,
    coverMl,
    marginPercent: USUAL_MARGIN_PERCENT,
    bottleMl: sheetFor?.volumeMl ?? recipe.makesMl ?? 1000,
    scarcestKey: recipe.lines.length === 0 ? '' : 'line-0',
    scarcestHave: '',
    oneJug: recipe.makesMl !== undefined,
    sodaForm: 'anhydrous',
    ascorbicForm: 'powder',
    tabletMg: 1000,
    tabletG: 4.5,
    targetC: sheetFor?.targetC ?? 20,
    hotC: 60,
    coldC: 12,
    roomC: 20,
    jugC: '',
    from: fingerprint(recipe),
    openedFor: sheetFor?.rollId ?? '',
  };
}

/**
 * The workbench that opens again: what was typed stays, except where the recipe or the roll is another one now.
 * @param before as it was kept; null for one that opens first
 * @param recipe the recipe as it is now
 * @param sheetFor the roll that the address names; null for none
 */
export function reopenedWorkbench(
  before: WorkbenchForm | null,
  recipe: Recipe,
  sheetFor: SheetFor | null,
): WorkbenchForm {
  const fresh = initialWorkbench(recipe, sheetFor);
  if (before === null) return fresh;
  const { name, use, note, lines, scarcestKey, from, openedFor, rollId, coverMl, bottleMl, scaleTo, targetC } = fresh;
  const { oneJug } = fresh;
  const tank = sheetFor === null || (openedFor === before.openedFor && from === before.from) ? {} : { rollId, coverMl };
  // A recipe that has changed since brings its own lines; the kitchen around it stays as typed.
  if (before.from !== from)
    return {
      ...before,
      name,
      use,
      note,
      lines,
      scarcestKey,
      oneJug,
      from,
      openedFor,
      ...tank,
      ...(sheetFor === null ? {} : { targetC }),
      // Only a volume that somebody decided takes the place of the one on the workbench.
      ...(sheetFor?.volumeMl === undefined && recipe.makesMl === undefined ? {} : { bottleMl, scaleTo }),
    };
  return { ...before, openedFor, ...tank };
}

/** Tells one recipe from another, for drafts. */
export function fingerprint(recipe: Recipe): string {
  return JSON.stringify([recipe.name, recipe.lines, ...(recipe.makesMl === undefined ? [] : [recipe.makesMl])]);
}

/**
 * The recipe of a plan's developer.
 * @param name its name
 * @param developer what the plan decided
 * @param bromideGPerL potassium bromide, g/l
 */
export function recipeOfDeveloper(name: string, developer: Developer, bromideGPerL: number): Recipe {
  const bromide: RecipeLine[] =
    bromideGPerL > 0 ? [{ kind: 'substance', substanceId: 'bromide', perL: bromideGPerL }] : [];
  return {
    name: name.slice(0, 120),
    use: 'film-developer',
    note: '',
    lines: [...developerLines(developer), ...bromide],
  };
}

function developerLines(developer: Developer): RecipeLine[] {
  switch (developer.kind) {
    case 'other':
      // What is in it, its owner knows.
      return [];
    case 'concentrate':
      return [
        {
          kind: 'concentrate',
          name: developerFamilies[developer.familyId].name,
          familyId: developer.familyId,
          parts: developer.parts,
        },
      ];
    case 'one-bath':
      return ['First part of the kit', 'Second part of the kit'].map((name) => ({
        kind: 'packet',
        name,
        familyId: 'one-bath',
        packetG: null,
        makesMl: 1000,
      }));
    case 'improvised': {
      const { agents, sodaGPerL, ascorbicGPerL, others } = developer;
      const main: RecipeLine[] = [
        { kind: 'substance', substanceId: 'soda-anhydrous', perL: sodaGPerL },
        { kind: 'substance', substanceId: 'ascorbic-acid', perL: ascorbicGPerL },
        ...agents.map(({ agentId, amountPerL }): RecipeLine => ({
          kind: 'substance',
          substanceId: agentId,
          perL: amountPerL,
        })),
        ...others.map(({ substanceId, amountPerL }): RecipeLine => ({
          kind: 'substance',
          substanceId,
          perL: amountPerL,
        })),
      ];
      return main.filter((line) => line.kind !== 'substance' || line.perL > 0);
    }
  }
}
