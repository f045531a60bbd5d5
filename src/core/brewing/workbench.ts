import { acidSlows } from '../chemistry/acidAgainstSoda';
import {
  ascorbicPowder,
  tabletContents,
  sodaEatenByTablets,
  tabletsFor,
  type Tablet,
} from '../chemistry/ascorbicForms';
import { LEAST_DEVELOPING_PH, REFERENCE_BREW_PH } from '../chemistry/ph/brewPh';
import { bisect } from '../inference/bisection';
import { bakingSodaForOven, sameCarbonate, sodaForms } from '../chemistry/sodas';
import { molesIn, substanceOf, substances, type SubstanceId } from '../chemistry/substances';
import { limits } from '../schema/limits';
import { within } from '../schema/within';
import { asShown, readingLnSd, thermometerTrouble, tooCoarse, type ThermometerTrouble } from '../kit/readable';
import type { Kit } from '../kit/kit';
import { failure, success, type Problem, type Result } from '../schema/result';
import { waitingFor, type Waiting } from '../thermal/jugCooling';
import type { Batch } from './batch';
import { brewRate, mixingLnSd } from './brewRate';
import { compositionOf, estimableDeveloper, phOf, type Composition, type Developer } from './composition';
import { ionisedShares, type IonisedShare } from './ionisedShares';
import type { BrewPart } from './part';
import { readLines, type KeyedLine } from './readLines';
import { amountPerL, lineName, unitOf } from './recipe';
import { countText } from '../units/language';
import { inSpoons, type Spoonful } from './spoons';
import { undissolved, workWater, type Undissolved, type WorkedWater } from './waterPlan';
import type { WorkbenchForm } from './workbenchForm';

/** A stock solution by which a small amount is measured as a volume. */
export interface WayOut {
  /** Weigh this much into 100 ml. */
  per100MlG: number;
  /** Take this much of it. */
  takeMl: number;
}

/** One line of the sheet, worked out. */
export interface WorkedRow {
  part: BrewPart;
  /** The amount as scale or cylinder can show it. */
  shown: number;
  decimals: number;
  /** Null for what nobody spoons. */
  spoons: Spoonful | null;
  /** Set when the scale is too coarse: the stock solution that helps; null within when none does. */
  coarse: { wayOut: WayOut | null } | null;
  undissolved: Undissolved | null;
  /** What a row says besides: an oven first, soda that tablets eat. */
  ovenBakingG: number | null;
  tabletsEatSodaG: number | null;
}

/** Why a brew is stopped, and how it is mended. */
export interface Stopped {
  ph: number;
  /** Baking soda stands where washing soda belongs. */
  bakingSoda: boolean;
  /** Washing soda that brings it to the reference brew's pH, g/l anhydrous; null when no amount does. */
  mendSodaGPerL: number | null;
}

/** Everything that follows from the workbench. */
export interface Sheet {
  batch: Batch;
  rows: WorkedRow[];
  composition: Composition;
  solution: { ph: number; ionicStrength: number } | null;
  shares: IonisedShare[];
  /** Rate against the reference; null for what develops nothing. */
  rate: number | null;
  mixingLnSd: number | null;
  developer: Developer | null;
  /** Washing soda to go along with 10 g more ascorbic acid, g, where more of the acid alone would slow the brew; else null. */
  acidSlows: number | null;
  stopped: Stopped | null;
  water: WorkedWater;
  thermometer: ThermometerTrouble | null;
  waiting: Waiting;
}

/** The workbench read and worked out: what is wrong, and the sheet when nothing is. */
export interface Workbench {
  problems: Problem[];
  volumeMl: number | null;
  sheet: Sheet | null;
}

const numbers = {
  reels: within('Reels', 1, 20),
  coverMl: within('To cover one reel', 20, 20000, 'ml'),
  marginPercent: within('Margin', 0, 200, '%'),
  bottleMl: within('Volume', 20, 100000, 'ml'),
  scarcestHave: within('What is left', 0.01, 100000),
  tabletMg: within('Active in one tablet', 1, 5000, 'mg'),
  tabletG: within('Weight of one tablet', 0.05, 30, 'g'),
  targetC: within('Temperature wanted', 5, 60, '°C'),
  hotC: within('Hot water', 1, 100, '°C'),
  coldC: within('Cold water', 0, 60, '°C'),
  roomC: within('Room', -10, 45, '°C'),
  jugC: within('The jug now', 0, 100, '°C'),
} as const;

type NumberField = keyof typeof numbers;

/** Volumes between which a sheet makes sense, ml. Source: our choice. */
const { min: LEAST_ML, max: MOST_ML } = limits.sheetMl;

/**
 * Works out a workbench.
 * @param form as typed
 * @param kit what the user measures with
 * @returns every problem with its field, and the sheet when there is none. Everything is computed anew in well under 4 ms.
 */
export function workbench(form: WorkbenchForm, kit: Kit): Workbench {
  const problems: Problem[] = [];
  const read = (field: NumberField): number => {
    const parsed = numbers[field].safeParse(form[field]);
    if (parsed.success) return parsed.data;
    problems.push({ path: field, message: parsed.error.issues[0]?.message ?? '' });
    return Number.NaN;
  };
  const waters = { targetC: read('targetC'), hotC: read('hotC'), coldC: read('coldC'), roomC: read('roomC') };
  const jugC = form.jugC === '' ? waters.hotC : read('jugC');
  const tablets = form.ascorbicForm === 'tablets' || form.ascorbicForm === 'effervescent';
  const tablet: Tablet = tablets
    ? { activeMg: read('tabletMg'), massG: read('tabletG') }
    : { activeMg: 1000, massG: 1 };
  if (tablet.activeMg / 1000 > tablet.massG)
    problems.push({
      path: 'tabletG',
      message: `A tablet of ${tablet.massG} g cannot hold ${tablet.activeMg} mg: weigh ten of them.`,
    });
  const lines = readLines(form);
  problems.push(...(lines.ok ? tooMuchLiquid(lines.value) : lines.problems));
  const volume = volumeOf(form, read, lines.ok ? lines.value : null);
  if (!volume.ok) problems.push(...volume.problems);
  const volumeMl = volume.ok ? volume.value : null;
  if (problems.length > 0 || !lines.ok || volumeMl === null) return { problems, volumeMl, sheet: null };
  const sheet = sheetOf(form, lines.value, volumeMl, waters, jugC, tablet, kit);
  problems.push(...tooMuchToWeigh(sheet, lines.value));
  return { problems, volumeMl, sheet: problems.length > 0 ? null : sheet };
}

/** Amounts that nobody weighs, and no record holds. */
function tooMuchToWeigh({ rows }: Sheet, lines: readonly KeyedLine[]): Problem[] {
  const { max } = limits.amount;
  return rows.flatMap(({ part: { target, unit, name } }, index): Problem[] => {
    const line = lines[index];
    if (line === undefined || target <= max) return [];
    const amount = countText(Math.ceil(target));
    return [
      {
        path: `lines.${line.key}.${line.line.kind === 'packet' ? 'packetG' : 'perL'}`,
        message: `“${name}” comes to ${amount} ${unit} in this volume, and ${countText(max)} are the most: check its amount, or make less.`,
      },
    ];
  });
}

/** Liquids that would not fit into what they are to make. */
function tooMuchLiquid(lines: readonly KeyedLine[]): Problem[] {
  const liquids = lines.filter(({ line }) => unitOf(line) === 'ml');
  const perL = liquids.reduce((sum, { line }) => sum + amountPerL(line), 0);
  if (perL <= 1000 * (1 + 1e-9)) return [];
  const largest = liquids.reduce((most, one) => (amountPerL(one.line) > amountPerL(most.line) ? one : most));
  return [
    {
      path: `lines.${largest.key}.${largest.line.kind === 'concentrate' ? 'concentrateParts' : 'perL'}`,
      message: `${lineName(largest.line)}: the liquids alone make ${Math.round(perL)} ml of each litre. Use less of one, so that they fit into 1000 ml.`,
    },
  ];
}

/** The volume that a sheet is scaled to. */
function volumeOf(
  form: WorkbenchForm,
  read: (field: NumberField) => number,
  lines: readonly KeyedLine[] | null,
): Result<number> {
  const checked = (volumeMl: number, path: string): Result<number> => {
    if (volumeMl >= LEAST_ML && volumeMl <= MOST_ML) return success(volumeMl);
    return failure({
      path,
      message: `That comes to ${Number(volumeMl.toPrecision(3))} ml, and a sheet is made for ${LEAST_ML} to ${MOST_ML} ml.`,
    });
  };
  switch (form.scaleTo) {
    case 'tank': {
      const volumeMl = read('reels') * read('coverMl') * (1 + read('marginPercent') / 100);
      return Number.isNaN(volumeMl) ? failure() : checked(volumeMl, 'reels');
    }
    case 'bottle': {
      const volumeMl = read('bottleMl');
      return Number.isNaN(volumeMl) ? failure() : checked(volumeMl, 'bottleMl');
    }
    case 'scarcest': {
      const have = read('scarcestHave');
      if (lines === null || Number.isNaN(have)) return failure();
      const line = lines.find(({ key }) => key === form.scarcestKey);
      if (line === undefined)
        return failure({ path: 'scarcestKey', message: 'Choose the ingredient you have least of.' });
      const perL = amountPerL(line.line);
      if (perL === 0)
        return failure({
          path: 'scarcestKey',
          message: `There is no ${lineName(line.line)} in this recipe, so it cannot be what is scarce: choose another, or give its amount per litre.`,
        });
      return checked((have / perL) * 1000, 'scarcestHave');
    }
  }
}

function sheetOf(
  form: WorkbenchForm,
  lines: readonly KeyedLine[],
  volumeMl: number,
  waters: { targetC: number; hotC: number; coldC: number; roomC: number },
  jugC: number,
  tablet: Tablet,
  kit: Kit,
): Sheet {
  const rows = lines.map((line) => rowOf(line, volumeMl, form, tablet, kit));
  const parts = rows.map(({ part }) => part);
  const composition = compositionOf(parts, volumeMl);
  const solution = phOf(composition);
  const developer = form.use === 'film-developer' ? estimableDeveloper(composition) : null;
  const rate = brewRate(composition, solution?.ph ?? null);
  const water = workWater(parts, volumeMl, waters);
  const lacking = undissolved(parts, volumeMl);
  const { targetC, roomC } = waters;
  const { thermometerStepC, thermometerLowC, thermometerHighC } = kit;
  return {
    batch: {
      recipeName: form.name.trim() || 'Brew without a name',
      use: form.use,
      volumeMl,
      targetC,
      roomC,
      parts,
      water: water.plan,
      scaleStepG: kit.scaleStepG,
      cylinderStepMl: kit.cylinderStepMl,
    },
    rows: rows.map((row) => ({ ...row, undissolved: lacking.find(({ key }) => key === row.part.key) ?? null })),
    composition,
    solution,
    shares: solution === null ? [] : ionisedShares(composition, solution),
    rate,
    mixingLnSd: mixingLnSd(parts, volumeMl),
    developer,
    acidSlows: developer?.kind === 'improvised' ? acidSlows(developer) : null,
    stopped: stoppedOf(form, composition, solution?.ph ?? null),
    water,
    thermometer: thermometerTrouble(targetC, {
      stepC: thermometerStepC,
      lowC: thermometerLowC,
      highC: thermometerHighC,
    }),
    waiting: waitingFor(jugC, targetC, roomC, volumeMl),
  };
}

/** Relative spread of the declared mass of a tablet. Source: our estimate. */
const TABLET_LN_SD = 0.03;

function rowOf({ key, line }: KeyedLine, volumeMl: number, form: WorkbenchForm, tablet: Tablet, kit: Kit): WorkedRow {
  const amount = (amountPerL(line) * volumeMl) / 1000;
  const base = { key, actual: null } as const;
  switch (line.kind) {
    case 'concentrate':
      return measured(
        {
          ...base,
          name: line.name,
          unit: 'ml',
          target: amount,
          makeup: { kind: 'concentrate', familyId: line.familyId },
        },
        null,
        form,
        kit,
      );
    case 'packet':
      return measured(
        {
          ...base,
          name: line.name,
          unit: 'g',
          target: amount,
          makeup: { kind: 'packet', familyId: line.familyId, packetG: line.packetG ?? 0, makesMl: line.makesMl },
        },
        null,
        form,
        kit,
      );
    case 'own':
      return measured(
        { ...base, name: line.name, unit: line.unit, target: amount, makeup: { kind: 'own' } },
        null,
        form,
        kit,
      );
    case 'substance':
      return substanceRow(base, line.substanceId, amount, form, tablet, kit);
  }
}

type Base = { key: string; actual: null };

function substanceRow(
  base: Base,
  id: SubstanceId,
  amount: number,
  form: WorkbenchForm,
  tablet: Tablet,
  kit: Kit,
): WorkedRow {
  const weigh = (substanceId: SubstanceId, target: number): WorkedRow => {
    const { name, unit } = substances[substanceId];
    return measured(
      { ...base, name, unit, target, makeup: { kind: 'substance', substanceId } },
      substanceId,
      form,
      kit,
    );
  };
  if (id === 'soda-anhydrous') {
    if (form.sodaForm === 'oven') return { ...weigh(id, amount), ovenBakingG: bakingSodaForOven(amount) };
    // Baking soda in its place is taken gram for gram, as somebody does who takes one for the other.
    if (form.sodaForm === 'baking') return weigh('baking-soda', amount);
    return weigh(sodaForms[form.sodaForm].substanceId, sameCarbonate(amount, 'anhydrous', form.sodaForm));
  }
  if (id !== 'ascorbic-acid' || form.ascorbicForm === 'powder') return weigh(id, amount);
  const powder = ascorbicPowder[form.ascorbicForm];
  if (powder !== null) return weigh(powder, molesIn('ascorbic-acid', amount) / molesIn(powder, 1));
  const effervescent = form.ascorbicForm === 'effervescent';
  const count = tabletsFor(amount, tablet);
  const part: BrewPart = {
    ...base,
    name: effervescent ? 'Effervescent tablets of vitamin C' : 'Tablets of vitamin C',
    unit: 'tablets',
    target: count,
    how: 'target',
    lnSd: count === 0 ? 0 : TABLET_LN_SD,
    makeup: { kind: 'tablets', ...tablet, effervescent },
  };
  return {
    part,
    shown: count,
    decimals: 1,
    spoons: null,
    coarse: null,
    undissolved: null,
    ovenBakingG: null,
    tabletsEatSodaG: effervescent ? sodaEatenByTablets(tabletContents(count, tablet, true)) : null,
  };
}

/** A row that is weighed, spooned or measured by volume. */
function measured(
  part: Omit<BrewPart, 'how' | 'lnSd'>,
  id: SubstanceId | null,
  form: WorkbenchForm,
  kit: Kit,
): WorkedRow {
  const { target, unit } = part;
  const step = unit === 'ml' ? kit.cylinderStepMl : kit.scaleStepG;
  const spoons = id === null || unit === 'ml' ? null : inSpoons(id, target, kit.spoons, kit.coffeeSpoon, kit.teaspoons);
  const bySpoon = form.measureBy === 'spoons' && spoons !== null && spoons.massG > 0;
  const lnSd = target === 0 ? 0 : bySpoon ? spoons.lnSd : readingLnSd(target, step);
  const dissolves = id !== null && unit === 'g' && substanceOf(id).agentId === null;
  const coarse = !bySpoon && tooCoarse(target, step) ? { wayOut: dissolves ? wayOut(target, kit, id) : null } : null;
  return {
    part: { ...part, target: bySpoon ? spoons.massG : target, how: bySpoon ? 'spoons' : 'target', lnSd },
    ...asShown(target, step),
    spoons,
    coarse,
    undissolved: null,
    ovenBakingG: null,
    tabletsEatSodaG: null,
  };
}

/** Strengths of stock solutions, g in 100 ml, strongest first. Source: common practice for 10 %. */
const STOCK_STRENGTHS = [10, 1];

/** A stock solution that the scale can weigh, of which the cylinder can measure the share. */
function wayOut(targetG: number, kit: Kit, id: SubstanceId): WayOut | null {
  const { solubilityGPer100Ml } = substanceOf(id);
  const ways = STOCK_STRENGTHS.map((per100MlG) => ({ per100MlG, takeMl: (targetG / per100MlG) * 100 }));
  return (
    ways.find(
      ({ per100MlG, takeMl }) =>
        !tooCoarse(per100MlG, kit.scaleStepG) &&
        !tooCoarse(takeMl, kit.cylinderStepMl) &&
        per100MlG <= (solubilityGPer100Ml ?? Infinity),
    ) ?? null
  );
}

/** Soda is looked for up to here, g/l, and this finely. */
const MOST_SODA_G_PER_L = 200;
const HALVINGS = 24;

function stoppedOf({ use, sodaForm }: WorkbenchForm, composition: Composition, ph: number | null): Stopped | null {
  const develops = use === 'film-developer' || use === 'paper-developer';
  const bought = composition.concentrate !== null || composition.oneBath;
  if (!develops || bought || ph === null || ph >= LEAST_DEVELOPING_PH) return null;
  return {
    ph,
    bakingSoda: sodaForm === 'baking',
    mendSodaGPerL: sodaForPh(composition, REFERENCE_BREW_PH) ?? sodaForPh(composition, LEAST_DEVELOPING_PH),
  };
}

/**
 * Washing soda that brings a brew to a pH.
 * @param composition what is in a litre
 * @param wantedPh pH wanted
 * @returns g/l anhydrous, or null when 200 g/l do not bring it there. Source: solvePh, by halving: pH only rises with soda.
 */
export function sodaForPh(composition: Composition, wantedPh: number): number | null {
  const others = composition.others.filter(({ substanceId }) => substanceId !== 'baking-soda');
  const phAt = (sodaGPerL: number): number => phOf({ ...composition, others, sodaGPerL })?.ph ?? 7;
  if (phAt(MOST_SODA_G_PER_L) < wantedPh) return null;
  return bisect(phAt, wantedPh, 0, MOST_SODA_G_PER_L, HALVINGS);
}
