import * as z from 'zod';
import { developerFamilies, developerFamilyIds } from '../chemistry/developerFamilies';
import { organicAgentIds, organicAgents } from '../chemistry/organicAgents';
import { REFERENCE_COFFEE_BREW } from '../chemistry/improvisedStrength';
import { chartSourceIds } from '../estimate/chartSources';
import { estimateRequestSchema } from '../estimate/request';
import { CHART_AGITATION } from '../estimate/pieces';
import { developerKey } from '../estimate/situation';
import { partsSchema } from '../chemistry/partsSchema';
import { improvisedDeveloperSchema } from '../estimate/situationSchema';
import { planSchema, type Brew, type Plan } from '../records/records';
import type { Condition } from '../films/condition';
import { expectsRemJet, wantsLongSoak } from '../films/conditionFacts';
import { filmFormats, type FilmFormatId } from '../films/filmFormats';
import { stockFamilies, type StockFamilyId } from '../films/stockFamilies';
import { usualFixMin } from '../fixing/fixTime';
import { failure, success, type Result } from '../schema/result';
import { problemsFromZod } from '../schema/problemsFromZod';
import { bathFormSchema, bathFormsOf, readBathForms } from '../schedule/bathForm';
import { USUAL_POUR_IN, pourInSchema } from '../schedule/baths';
import { movementFormOf, movementFormSchema, readMovementForm } from '../schedule/movementForm';
import { bathsOf, usualWetChoice } from './wetProcess';
import { limited } from '../schema/fields';
import { within } from '../schema/within';
import { typed } from '../schema/typed';

/**
 * What else a kitchen brew holds: further agents and other substances. They come from a jug that was really mixed and is gone,
 * and stay in the plan until they are left out.
 */
const besidesSchema = z.object({
  agents: improvisedDeveloperSchema.shape.agents,
  others: improvisedDeveloperSchema.shape.others.unwrap(),
});
const nothingBesides: z.infer<typeof besidesSchema> = { agents: [], others: [] };

/** Fields that choosing a stand changes. */
const standFieldsSchema = z.object({
  agitationId: planSchema.shape.agitationId,
  movement: movementFormSchema.nullable().default(null),
  agentPerL: typed,
  ascorbicGPerL: typed,
  sodaGPerL: typed,
  besides: besidesSchema.default(nothingBesides),
  concentrateParts: typed,
  waterParts: typed,
  dilutionText: z.string().max(100).default(''),
});

/** What is said of a known time; it belongs to one developer. */
const knownTimeShape = {
  knownTimeOn: z.boolean(),
  knownTimeMin: typed,
  knownTimeC: typed,
  knownTimeSource: z.enum(chartSourceIds),
  /** How the tank was moved for it: `plan` for as it is planned here. */
  knownTimeAgitation: z.union([z.literal('plan'), planSchema.shape.agitationId]),
  knownTimeAged: z.boolean(),
  /** How the time was found out, in the user's words. */
  knownTimeNote: z.string().max(300, 'How it was found out: give 300 letters at most.'),
  /** Dilution that it is for. */
  knownConcentrate: typed,
  knownWater: typed,
  /** The developer that it is for, as it stood when the time was given; null for the plan's own. */
  knownTimeFor: planSchema.shape.developer.nullable().default(null),
};

/** A known time of another developer than the one that is chosen: it waits until that is chosen again. */
const knownElsewhereSchema = z.object({ ...knownTimeShape, key: z.string() });

/** Everything a user can say while choosing. Fields of the developer not chosen keep what was typed. */
export const planFormSchema = z.object({
  developerKind: z.enum(['improvised', 'concentrate', 'one-bath', 'jug', 'other']),
  agentId: z.enum(organicAgentIds),
  agentPerL: typed,
  ascorbicGPerL: typed,
  sodaGPerL: typed,
  besides: besidesSchema,
  concentrateFamilyId: z.enum(developerFamilyIds),
  concentrateParts: typed,
  waterParts: typed,
  /** The dilution as it was written somewhere; empty when it was given in parts. */
  dilutionText: z.string().max(100),
  brewId: z.string(),
  /** What it is developed in where Aetas has no time for it. */
  otherName: z.string().max(200),
  bromideGPerL: typed,
  temperatureC: typed,
  agitationId: planSchema.shape.agitationId,
  strategyId: planSchema.shape.strategy.shape.id,
  liftCap: z.boolean(),
  purpose: planSchema.shape.target.shape.purpose,
  pushStops: typed,
  ...knownTimeShape,
  knownElsewhere: z.array(knownElsewhereSchema).max(40).default([]),
  /** Whether amounts are shown and typed for this jug or for a litre. */
  amountsFor: z.enum(['litre', 'jug']).default('litre'),
  /** The volume that amounts for a jug hold for: the last one that read as a volume. */
  amountsMl: z.number().nullable().default(null),
  volumeMl: typed,
  /** Room temperature; empty for a bath that holds its temperature. */
  ambientC: typed,
  /** Evidence that is switched off. */
  muted: z.array(z.string()),
  /** The roll whose plan this one began with; null for one that began afresh. */
  sameAs: z.object({ label: z.string().max(200), atMs: z.number() }).nullable(),
  /** What a stand replaced, so that leaving it brings it back. */
  beforeStand: standFieldsSchema.nullable(),
  /** What it put there: what was changed since then stays. */
  standSet: standFieldsSchema.nullable().default(null),
  /** A time of the user's own, which goes before the estimate. */
  ownTimeOn: z.boolean(),
  ownTimeMin: typed,
  /** A movement of the user's own, which goes before the school. */
  movement: movementFormSchema.nullable(),
  baths: z.array(bathFormSchema).max(60),
  pourClock: pourInSchema.shape.clock,
  pourS: typed,
});

export type PlanForm = z.infer<typeof planFormSchema>;

/** No known time. */
export const initialKnownTime: Pick<PlanForm, keyof typeof knownTimeShape> = {
  knownTimeOn: false,
  knownTimeMin: '',
  knownTimeC: 20,
  knownTimeSource: 'somebody',
  knownTimeAgitation: CHART_AGITATION,
  knownTimeAged: false,
  knownTimeNote: '',
  knownConcentrate: '',
  knownWater: '',
  knownTimeFor: null,
};

/** What a plan decides, without its identity and without what was pinned. */
export type PlanChoices = Omit<Plan, 'id' | 'createdMs' | 'updatedMs' | 'rollId' | 'pinned'>;

/** Smallest tank volume offered above what covers the film: people fill up to the next 50 ml. Source: our choice. */
const TANK_STEP_ML = 50;

/**
 * The form as it first opens for a film.
 * @param film stock family, format and condition of the roll
 * @returns the standard coffee brew at 20 °C, Hold, for scanning
 */
export function initialPlanForm(film: {
  familyId: StockFamilyId;
  formatId: FilmFormatId;
  condition: Condition;
}): PlanForm {
  const fixMin = usualFixMin(film.familyId);
  const wet = usualWetChoice({
    remJet: expectsRemJet(film.condition, stockFamilies[film.familyId].remJet),
    longSoak: wantsLongSoak(film.condition),
    fixMin,
    carbonateBrew: true,
  });
  return {
    developerKind: 'improvised',
    agentId: 'instant-coffee',
    agentPerL: REFERENCE_COFFEE_BREW.coffeeGPerL,
    ascorbicGPerL: REFERENCE_COFFEE_BREW.ascorbicGPerL,
    sodaGPerL: REFERENCE_COFFEE_BREW.sodaGPerL,
    besides: nothingBesides,
    concentrateFamilyId: 'p-aminophenol',
    concentrateParts: developerFamilies['p-aminophenol'].referenceParts.concentrate,
    waterParts: developerFamilies['p-aminophenol'].referenceParts.water,
    dilutionText: '',
    brewId: '',
    otherName: '',
    bromideGPerL: 0,
    temperatureC: 20,
    agitationId: 'ten-each-minute',
    strategyId: 'hold',
    liftCap: false,
    purpose: 'scan',
    pushStops: 0,
    ...initialKnownTime,
    knownElsewhere: [],
    amountsFor: 'litre',
    amountsMl: null,
    volumeMl: Math.ceil(filmFormats[film.formatId].coverVolumeMl / TANK_STEP_ML) * TANK_STEP_ML,
    ambientC: '',
    muted: [],
    sameAs: null,
    beforeStand: null,
    standSet: null,
    ownTimeOn: false,
    ownTimeMin: '',
    movement: null,
    baths: bathFormsOf(bathsOf(wet)),
    pourClock: USUAL_POUR_IN.clock,
    pourS: USUAL_POUR_IN.seconds,
  };
}

/** The fields of the form that a developer fills. */
export function developerFields(developer: Plan['developer']): Partial<PlanForm> {
  switch (developer.kind) {
    case 'improvised':
      return {
        developerKind: 'improvised',
        ...(developer.agents[0] === undefined
          ? {}
          : { agentId: developer.agents[0].agentId, agentPerL: developer.agents[0].amountPerL }),
        ascorbicGPerL: developer.ascorbicGPerL,
        sodaGPerL: developer.sodaGPerL,
        besides: { agents: developer.agents.slice(1), others: developer.others },
      };
    case 'concentrate':
      return {
        developerKind: 'concentrate',
        concentrateFamilyId: developer.familyId,
        concentrateParts: developer.parts.concentrate,
        waterParts: developer.parts.water,
        dilutionText: '',
      };
    case 'one-bath':
      return { developerKind: 'one-bath' };
    case 'other':
      return { developerKind: 'other', otherName: developer.name };
  }
}

/** The form of a plan that was decided earlier, on top of the fields it does not use. */
export function planFormOf(plan: PlanChoices, initial: PlanForm): PlanForm {
  const { knownTime } = plan;
  return {
    ...initial,
    ...developerFields(plan.developer),
    ...(plan.brewId === null ? {} : { developerKind: 'jug' as const, brewId: plan.brewId }),
    bromideGPerL: plan.bromideGPerL,
    temperatureC: plan.temperatureC,
    agitationId: plan.agitationId,
    strategyId: plan.strategy.id,
    liftCap: plan.strategy.liftCap,
    ...plan.target,
    knownTimeOn: knownTime !== null,
    knownTimeMin: knownTime?.timeMin ?? '',
    knownTimeC: knownTime?.temperatureC ?? 20,
    knownTimeSource: knownTime?.source ?? 'somebody',
    knownTimeAgitation:
      knownTime?.movement !== undefined
        ? 'plan'
        : (knownTime?.agitationId ?? (knownTime?.source === 'own' ? 'plan' : CHART_AGITATION)),
    knownTimeAged: knownTime?.aged ?? false,
    knownTimeNote: knownTime?.note ?? '',
    knownConcentrate: knownTime?.parts?.concentrate ?? '',
    knownWater: knownTime?.parts?.water ?? '',
    knownTimeFor: knownTime?.developer ?? null,
    volumeMl: plan.volumeMl,
    ambientC: plan.ambientC ?? '',
    muted: plan.muted,
    ownTimeOn: plan.ownTimeMin !== null,
    ownTimeMin: plan.ownTimeMin ?? '',
    movement: plan.movement === null ? null : movementFormOf(plan.movement),
    baths: bathFormsOf(plan.baths),
    pourClock: plan.pourIn.clock,
    pourS: plan.pourIn.seconds,
  };
}

const request = estimateRequestSchema.shape;

/** The form's own fields, each with the sentence of the estimator's schema. */
const fieldsSchema = z.object({
  agentId: z.enum(organicAgentIds),
  bromideGPerL: request.bromideGPerL.unwrap(),
  temperatureC: request.temperatureC,
  pushStops: request.target.unwrap().shape.pushStops.unwrap(),
  volumeMl: limited('jugVolumeMl', 'Volume in the tank'),
  ambientC: request.ambientC,
  pourS: pourInSchema.shape.seconds,
});

/**
 * Reads the form as a plan.
 * @param form what was typed and chosen
 * @param film format of the roll, which must be covered by the volume
 * @param jugs brews on the bench, for a plan that uses one of them
 * @returns the choices, or every problem with the name of the field it belongs to
 */
export function readPlanForm(
  form: PlanForm,
  film: { formatId: FilmFormatId },
  jugs: readonly Brew[],
): Result<PlanChoices> {
  const fields = fieldsSchema.safeParse({
    ...form,
    ambientC: form.ambientC === '' ? undefined : form.ambientC,
    // What is not asked for does not stand in the way.
    pourS: form.pourClock === 'first-drop' ? form.pourS : USUAL_POUR_IN.seconds,
  });
  const problems = fields.success ? [] : problemsFromZod(fields.error.issues);
  const developer = readDeveloper(form, jugs);
  if (!developer.ok) problems.push(...developer.problems);
  const ownTime = readOwnTime(form, developer.ok && developer.value.developer.kind === 'other');
  if (!ownTime.ok) problems.push(...ownTime.problems);
  const movement = form.movement === null ? success(null) : readMovementForm(form.movement);
  if (!movement.ok)
    problems.push(...movement.problems.map(({ path, message }) => ({ path: `movement.${path}`, message })));
  const knownTime = readKnownTime(
    form,
    developer.ok ? developer.value.developer : null,
    movement.ok ? movement.value : null,
  );
  if (!knownTime.ok) problems.push(...knownTime.problems);
  const baths = bathsOfForm(form.baths);
  if (!baths.ok) problems.push(...baths.problems);
  const { name, coverVolumeMl } = filmFormats[film.formatId];
  if (fields.success && fields.data.volumeMl < coverVolumeMl) {
    problems.push({
      path: 'volumeMl',
      message: `${Math.round(fields.data.volumeMl)} ml does not cover ${name}: it needs about ${coverVolumeMl} ml. Fill more, or change the format.`,
    });
  }
  if (
    !fields.success ||
    !developer.ok ||
    !knownTime.ok ||
    !ownTime.ok ||
    !movement.ok ||
    !baths.ok ||
    problems.length > 0
  )
    return failure(...problems);
  const { bromideGPerL, temperatureC, pushStops, volumeMl, ambientC, pourS } = fields.data;
  return success({
    ...developer.value,
    bromideGPerL: developer.value.brewId === null ? bromideGPerL : developer.value.bromideGPerL,
    temperatureC,
    agitationId: form.agitationId,
    movement: movement.value,
    strategy: { id: form.strategyId, liftCap: form.liftCap },
    target: { purpose: form.purpose, pushStops },
    knownTime: knownTime.value,
    volumeMl,
    ambientC: ambientC ?? null,
    muted: form.muted,
    ownTimeMin: ownTime.value,
    baths: baths.value,
    pourIn: { clock: form.pourClock, seconds: pourS },
  });
}

/** Lists as they were read: while a slider moves the same one is asked for many times. */
const readLists = new WeakMap<PlanForm['baths'], ReturnType<typeof readBathForms>>();

function bathsOfForm(list: PlanForm['baths']): ReturnType<typeof readBathForms> {
  const before = readLists.get(list);
  if (before !== undefined) return before;
  const read = readBathForms(list);
  readLists.set(list, read);
  return read;
}

type DeveloperChoice = Pick<PlanChoices, 'developer' | 'brewId' | 'bromideGPerL'>;

/** Reads what it is developed in. */
export function readDeveloper(form: PlanForm, jugs: readonly Brew[]): Result<DeveloperChoice> {
  if (form.developerKind === 'jug') {
    const jug = jugs.find((brew) => brew.id === form.brewId);
    if (jug === undefined)
      return failure({ path: 'brewId', message: 'This jug is no longer on the bench: choose another developer.' });
    if (jug.developer === null && jug.use !== 'film-developer')
      return failure({ path: 'brewId', message: `“${jug.name}” is not a film developer: choose another jug.` });
    const developer = jug.developer ?? { kind: 'other' as const, name: jug.name };
    return success({ developer, brewId: jug.id, bromideGPerL: jug.bromideGPerL });
  }
  if (form.developerKind === 'concentrate') {
    // A dilution that does not read is no dilution, whatever stood there before.
    if (form.concentrateParts === '' && form.waterParts === '' && form.dilutionText.trim() !== '')
      return failure({
        path: 'dilutionText',
        message: 'Dilution: write it as on the bottle, such as 1+9, 1:31 or 15 in 500.',
      });
    const parts = partsSchema.safeParse({ concentrate: form.concentrateParts, water: form.waterParts });
    if (!parts.success) {
      return failure(
        ...problemsFromZod(parts.error.issues).map((p) => ({
          ...p,
          path: p.path === 'water' ? 'waterParts' : 'concentrateParts',
        })),
      );
    }
    return success({
      developer: { kind: 'concentrate', familyId: form.concentrateFamilyId, parts: parts.data },
      brewId: null,
      bromideGPerL: 0,
    });
  }
  if (form.developerKind === 'other') {
    const other = planSchema.shape.developer.safeParse({ kind: 'other', name: form.otherName });
    return other.success
      ? success({ developer: other.data, brewId: null, bromideGPerL: 0 })
      : failure({ path: 'otherName', message: 'Say what it is developed in: a name that you will know again.' });
  }
  if (form.developerKind === 'one-bath')
    return success({ developer: { kind: 'one-bath' }, brewId: null, bromideGPerL: 0 });
  const brew = planSchema.shape.developer.safeParse({
    kind: 'improvised',
    agents: [{ agentId: form.agentId, amountPerL: form.agentPerL }, ...form.besides.agents],
    ascorbicGPerL: form.ascorbicGPerL,
    sodaGPerL: form.sodaGPerL,
    others: form.besides.others,
  });
  if (brew.success) return success({ developer: brew.data, brewId: null, bromideGPerL: 0 });
  const agentName = organicAgents[form.agentId].name;
  return failure(
    ...problemsFromZod(brew.error.issues).map((problem) =>
      problem.path.startsWith('agents')
        ? { path: 'agentPerL', message: problem.message.replace('Amount per litre', agentName) }
        : problem,
    ),
  );
}

const ownTimeSchema = within('My time', 0.1, 1440, 'min');

function readOwnTime(form: PlanForm, required: boolean): Result<number | null> {
  if (!form.ownTimeOn && !required) return success(null);
  if (required && form.ownTimeMin === '')
    return failure({ path: 'ownTimeMin', message: 'Aetas has no time for this developer: type your own.' });
  const parsed = ownTimeSchema.safeParse(form.ownTimeMin);
  return parsed.success
    ? success(parsed.data)
    : failure(...problemsFromZod(parsed.error.issues).map(({ message }) => ({ path: 'ownTimeMin', message })));
}

/** A kitchen brew of the same agents in other amounts: its time is not quite this one's. */
function isOfOtherAmounts(known: Plan['developer'], planned: Plan['developer']): boolean {
  return (
    known.kind === 'improvised' &&
    developerKey(known) === developerKey(planned) &&
    JSON.stringify(known) !== JSON.stringify(planned)
  );
}

function readKnownTime(
  form: PlanForm,
  developer: Plan['developer'] | null,
  own: Plan['movement'],
): Result<PlanChoices['knownTime']> {
  // A time that is not typed yet says nothing, and stands in no way.
  if (!form.knownTimeOn || form.knownTimeMin === '') return success(null);
  const parsed = request.knownTime.unwrap().safeParse({
    timeMin: form.knownTimeMin,
    temperatureC: form.knownTimeC,
    source: form.knownTimeSource,
    agitationId: form.knownTimeAgitation === 'plan' ? form.agitationId : form.knownTimeAgitation,
    ...(form.knownTimeAgitation === 'plan' && own !== null ? { movement: own.movement } : {}),
    ...(form.knownTimeSource === 'own' && form.knownTimeAged ? { aged: true } : {}),
    ...(form.developerKind === 'concentrate' && (form.knownConcentrate !== '' || form.knownWater !== '')
      ? { parts: { concentrate: form.knownConcentrate, water: form.knownWater } }
      : {}),
    ...(developer !== null && form.knownTimeFor !== null && isOfOtherAmounts(form.knownTimeFor, developer)
      ? { developer: form.knownTimeFor }
      : {}),
  });
  const note = form.knownTimeNote.trim();
  if (parsed.success) return success(note === '' ? parsed.data : { ...parsed.data, note });
  const fieldOf: Record<string, string> = {
    timeMin: 'knownTimeMin',
    temperatureC: 'knownTimeC',
    'parts.concentrate': 'knownConcentrate',
    'parts.water': 'knownWater',
  };
  return failure(
    ...problemsFromZod(parsed.error.issues).map((problem) => ({
      ...problem,
      path: fieldOf[problem.path] ?? 'knownTimeSource',
    })),
  );
}
