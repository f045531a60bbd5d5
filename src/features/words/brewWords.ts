import { LEAST_DEVELOPING_PH } from '@/core/chemistry/ph/brewPh';
import { OVEN_RECIPE } from '@/core/chemistry/sodas';
import { biohazardIn } from '@/core/brewing/animalMatter';
import type { Difference } from '@/core/brewing/finishMix';
import { amountDigits, type BrewPart } from '@/core/brewing/part';
import { inSpoons, type Spoonful } from '@/core/brewing/spoons';
import type { Stopped, WorkedRow } from '@/core/brewing/workbench';
import type { WaterPlan } from '@/core/brewing/batch';
import { PACKET_WATER_C, type WorkedWater } from '@/core/brewing/waterPlan';
import type { SubstanceId } from '@/core/chemistry/substances';
import type { ThermometerTrouble } from '@/core/kit/readable';
import type { Kit } from '@/core/kit/kit';
import { decimalsOf, toStep } from '@/core/kit/readable';
import { DROP_ML } from '@/core/units/measures';
import { mlToUsFluidOunces } from '@/core/units/volume';
import { BIOHAZARD } from '@/core/brewing/mixCautions';
import type { Waiting } from '@/core/thermal/jugCooling';
import { formatNumber, formatQuantity, type UnitChoice } from '@/core/units/quantity';
import { inAJug } from '@/core/units/perLitre';
import { threeFigures } from '@/core/units/threeFigures';

/** An amount with its unit, at a number of digits. Volumes follow the user's setting. */
export function amountWords(amount: number, unit: BrewPart['unit'], decimals: number, units: UnitChoice): string {
  switch (unit) {
    case 'g':
      return `${formatNumber(amount, decimals)} g`;
    case 'ml':
      return formatQuantity(amount, 'volume', units, units.volume === 'ml' ? decimals : undefined);
    case 'tablets':
      return `${formatNumber(amount, Number.isInteger(amount) ? 0 : 1)} ${amount === 1 ? 'tablet' : 'tablets'}`;
  }
}

/** The amount of a row as its instrument shows it. */
export function rowAmountWords({ part, shown, decimals }: WorkedRow, units: UnitChoice): string {
  return amountWords(
    part.how === 'spoons' ? part.target : shown,
    part.unit,
    part.how === 'spoons' ? amountDigits(part.target, part.unit) : decimals,
    units,
  );
}

const fractions: Record<number, string> = { 0.25: '¼', 0.5: '½', 0.75: '¾' };

/** Level spoons in words: 4 tbsp + ½ tsp. */
export function spoonWords({ tablespoons, teaspoons }: Pick<Spoonful, 'tablespoons' | 'teaspoons'>): string {
  const whole = Math.floor(teaspoons);
  const rest = fractions[teaspoons - whole] ?? '';
  const tea = teaspoons === 0 ? '' : `${whole > 0 ? whole : ''}${rest} tsp`;
  const table = tablespoons === 0 ? '' : `${tablespoons} tbsp`;
  return [table, tea].filter((text) => text !== '').join(' + ') || 'less than ¼ tsp';
}

const fills: Record<'level' | 'rounded' | 'heaped', string> = { level: 'level', rounded: 'rounded', heaped: 'heaped' };

/** How spoons of a substance are filled; level where it is none that is known. */
export function spoonFillWords(id: SubstanceId | null, kit: Pick<Kit, 'coffeeSpoon'>): string {
  return fills[id === 'instant-coffee' ? (kit.coffeeSpoon ?? 'level') : 'level'];
}

/**
 * What an amount is beside the way it is shown: in the jug where it stands for a litre and the other way round, and in spoons.
 * @param perL amount in a litre, g or ml
 */
export function amountBeside(
  perL: number,
  {
    unit,
    inJug,
    volumeMl,
    substanceId,
    kit,
  }: { unit: 'g' | 'ml'; inJug: boolean; volumeMl: number; substanceId: SubstanceId; kit: Kit },
): string {
  const amount = inAJug(perL, volumeMl);
  const figures = (value: number): string => formatNumber(value, Math.min(1, threeFigures(value)));
  const other = inJug ? `${figures(perL)} ${unit}/l` : `${figures(amount)} ${unit} in this jug`;
  const spoons = unit === 'g' ? inSpoons(substanceId, amount, kit.spoons, kit.coffeeSpoon, kit.teaspoons) : null;
  return spoons === null || spoons.massG === 0 ? other : `${other}, about ${spoonWords(spoons)}`;
}

/** A spread of a natural log as a percentage. */
export function percentWords(lnSd: number): string {
  return `±\u00a0${Math.max(1, Math.round(lnSd * 100))}\u00a0%`;
}

/** What a row says under its name. Problems first. */
export function rowNotes(
  { part, coarse, undissolved, ovenBakingG, tabletsEatSodaG }: WorkedRow,
  volumeMl: number,
  kit: Pick<Kit, 'scaleStepG' | 'scaleMostG' | 'cylinderStepMl'>,
  units: UnitChoice,
): { text: string; bad: boolean }[] {
  const notes: { text: string; bad: boolean }[] = [];
  const digits = threeFigures(part.target);
  const volume = (ml: number, decimals?: number): string => amountWords(ml, 'ml', decimals ?? 0, units);
  if (undissolved !== null) {
    notes.push({
      bad: true,
      text: `${formatNumber(part.target, digits)} g does not dissolve in ${volume(volumeMl)}: at ${formatQuantity(20, 'temperature', units, 0)} that takes ${formatNumber(undissolved.takesG, 1)} g. Take at least ${volume(Math.ceil(undissolved.leastMl))}, or less of it.`,
    });
  }
  if (coarse !== null && part.unit === 'ml') {
    notes.push({
      bad: true,
      text: `A cylinder in steps of ${volume(kit.cylinderStepMl, decimalsOf(kit.cylinderStepMl))} is too coarse for ${volume(part.target, digits)}: measure it with a syringe.`,
    });
  } else if (coarse !== null) {
    const step = `${formatNumber(kit.scaleStepG, decimalsOf(kit.scaleStepG))} g`;
    notes.push({
      bad: true,
      text:
        coarse.wayOut === null
          ? `A scale in steps of ${step} is too coarse for ${formatNumber(part.target, digits)} g. Borrow a finer one, or mix more at once.`
          : `A scale in steps of ${step} is too coarse for ${formatNumber(part.target, digits)} g: dissolve ${coarse.wayOut.per100MlG} g in water to make ${volume(100)}, and take ${volume(coarse.wayOut.takeMl, threeFigures(coarse.wayOut.takeMl))} of that.`,
    });
  }
  if (part.unit === 'g' && part.target > kit.scaleMostG)
    notes.push({
      bad: false,
      text: `Your scale takes ${formatNumber(kit.scaleMostG, 0)} g: weigh it in ${Math.ceil(part.target / kit.scaleMostG)} portions.`,
    });
  if (ovenBakingG !== null)
    notes.push({ bad: false, text: `From ${formatNumber(ovenBakingG, 0)} g of baking soda. ${OVEN_RECIPE}` });
  if (tabletsEatSodaG !== null && tabletsEatSodaG >= 0.1)
    notes.push({
      bad: false,
      text: `Their citric acid uses up ${formatNumber(tabletsEatSodaG, 1)} g of washing soda; the pH shown allows for it.`,
    });
  if (part.makeup.kind === 'packet')
    notes.push({ bad: false, text: `${formatNumber((part.target / part.makeup.packetG) * 100, 0)} % of the packet.` });
  if (biohazardIn([part.name]).length > 0) notes.push({ bad: true, text: BIOHAZARD });
  if (part.makeup.kind === 'own')
    notes.push({
      bad: false,
      text: 'Aetas does not know this one: it is weighed and recorded, but does not count towards pH or time.',
    });
  return notes;
}

/** Why a brew is stopped, and how it is mended. */
export function stoppedWords({ ph, bakingSoda, mendSodaGPerL }: Stopped): string {
  const why = `This brew comes to about pH ${formatNumber(ph, 1)}, and below ${LEAST_DEVELOPING_PH} it hardly develops.`;
  if (bakingSoda)
    return `${why} Baking soda is not washing soda: it has spent half of its alkali already. Dry it in the oven first, or get washing soda.`;
  if (mendSodaGPerL === null) return `${why} No amount of soda can make up for so much acid: leave the acid out.`;
  return `${why} Its acids use up the soda: ${formatNumber(mendSodaGPerL, 0)} g/l of washing soda would bring it to the usual pH.`;
}

/** What a thermometer cannot do, and what to do. */
export function thermometerWords(trouble: ThermometerTrouble, targetC: number, units: UnitChoice): string {
  const target = formatQuantity(targetC, 'temperature', units);
  if (trouble.kind === 'out-of-range')
    return `Your thermometer does not reach ${target}. Use another, or check the kit.`;
  return `Your thermometer cannot show ${target}: its nearest mark is ${formatQuantity(trouble.nearestC, 'temperature', units)}. Choose that temperature, or use a finer one.`;
}

/** A stretch of waiting, as people say it. */
export function waitWords(minutes: number): string {
  if (minutes < 1) return 'no time';
  if (minutes < 90) return `${Math.round(minutes)} min`;
  return `${formatNumber(minutes / 60, 1)} h`;
}

/** The water in sentences: how much, how warm, what dissolving does, what goes in last. */
export function waterWords(
  { plan, dissolvingC, dissolvedC, heatUnknown }: WorkedWater,
  targetC: number,
  units: UnitChoice,
): string[] {
  const volume = (ml: number): string => formatQuantity(ml, 'volume', units);
  const degrees = (c: number): string => formatQuantity(c, 'temperature', units);
  const first =
    plan.liquidC !== undefined
      ? `The liquids are the water here: bring them to ${degrees(plan.liquidC)} first.`
      : plan.firstMl === 0
        ? 'No water goes in first: the liquids replace it.'
        : plan.firstC === null
          ? `Steep in ${volume(plan.firstMl)} of boiling water, and let it cool.`
          : `Start with ${volume(plan.firstMl)} at ${degrees(plan.firstC)}${plan.hotMl === null || plan.coldMl === null ? '' : `: ${volume(plan.hotMl)} hot and ${coldWords(plan, units)} cold`}.`;
  const moves =
    Math.abs(dissolvingC) < 0.1
      ? ''
      : `Dissolving ${dissolvingC > 0 ? 'warms' : 'cools'} the jug by ${degreesOf(Math.abs(dissolvingC), units)}${dissolvedC === null ? '' : `, so that it stands at ${degrees(dissolvedC)} before the last water`}.`;
  const last =
    plan.lastMl > 0
      ? `Top up with ${volume(plan.lastMl)} at ${degrees(plan.lastC)}, last${plan.firstC === null && plan.liquidC === undefined ? '.' : `: it ends at ${degrees(plan.coolsFromC ?? targetC)}.`}`
      : '';
  const cools =
    plan.coolsFromC === undefined || plan.coolsFromC <= targetC
      ? ''
      : `Powder from a packet dissolves warm, at ${degrees(PACKET_WATER_C)} or what the packet says. Cool the jug to ${degrees(targetC)} afterwards.`;
  const unknown =
    heatUnknown.length > 0
      ? `What ${heatUnknown.join(' and ').toLowerCase()} does to the temperature is not included.`
      : '';
  return [first, moves, last, cools, unknown].filter((text) => text !== '');
}

/** The cold part of the first water, so that the two add up as they are shown. */
export function coldWords({ firstMl, hotMl }: WaterPlan, units: UnitChoice): string {
  const shown = (ml: number): number => (units.volume === 'ml' ? Math.round(ml) : ml);
  return formatQuantity(Math.max(0, shown(firstMl) - shown(hotMl ?? 0)), 'volume', units);
}

/** Quarters of a fluid ounce, as a measuring cup has them. */
const QUARTERS = ['', '¼', '½', '¾'];

/**
 * A volume as a kitchen jug shows it: to the step of the cylinder, or to the quarter of a fluid ounce; the exact figure beside it, where
 * they differ.
 */
export function jugVolume(ml: number, stepMl: number, units: UnitChoice): { shown: string; exact: string | null } {
  const exact = formatQuantity(ml, 'volume', units);
  if (units.volume === 'ml') {
    const shown = formatQuantity(toStep(ml, stepMl) || ml, 'volume', units);
    return { shown, exact: shown === exact ? null : exact };
  }
  const quarters = Math.max(1, Math.round(mlToUsFluidOunces(ml) * 4));
  const whole = Math.floor(quarters / 4);
  const shown = `${whole > 0 ? whole : ''}${QUARTERS[quarters % 4] ?? ''} fl oz`;
  return { shown, exact };
}

/** Millilitres below which drops are told. Source: our choice. */
const DROPS_BELOW_ML = 2;

/** A small volume in drops, twenty a ml; empty for any other. */
export function dropWords(ml: number): string {
  return ml > 0 && ml < DROPS_BELOW_ML ? `about ${Math.max(1, Math.round(ml / DROP_ML))} drops` : '';
}

/** A difference of temperatures. */
function degreesOf(differenceC: number, units: UnitChoice): string {
  return units.temperature === 'F' ? `${formatNumber(differenceC * 1.8, 1)} °F` : `${formatNumber(differenceC, 1)} °C`;
}

/** How long a jug takes by itself, and whether a bath is quicker. */
export function waitingWords(
  { inAirMin, inBathMin, bathIsQuicker }: Waiting,
  targetC: number,
  units: UnitChoice,
): string {
  const target = formatQuantity(targetC, 'temperature', units);
  if (inAirMin === 0) return `It is at ${target} already.`;
  const bath = `In a bath of ${target} it takes ${waitWords(inBathMin)}`;
  if (inAirMin === null) return `In this room it never reaches ${target} by itself. ${bath}.`;
  return `It reaches ${target} in ${waitWords(inAirMin)} standing in air. ${bath}${bathIsQuicker ? ', so the bath is quicker' : ', which saves hardly any time'}.`;
}

/** A name within a sentence, up to its comma. */
function lowerFirst(name: string): string {
  const short = name.split(',')[0] ?? name;
  return short.charAt(0).toLowerCase() + short.slice(1);
}

/** What differs between what was wanted and what went in, in a few words. */
export function differenceWords({ name, unit, target, actual }: Difference, units: UnitChoice): string {
  const amount = (value: number): string => amountWords(value, unit, target >= 1 ? 1 : 2, units);
  return `${amount(actual)} ${lowerFirst(name)} for ${amount(target)}`;
}
