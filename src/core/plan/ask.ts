import * as z from 'zod';
import { developerFamilies, developerFamilyIds, type DeveloperFamilyId } from '../chemistry/developerFamilies';
import { organicAgentIds, organicAgents, type OrganicAgentId } from '../chemistry/organicAgents';
import { recommendedStrategy } from '../estimate/strategies';
import { strategyIds } from '../estimate/strategyIds';
import type { EstimateRequest } from '../estimate/request';
import { soundCondition } from '../films/conditionFacts';
import { filmFormats, type FilmFormatId } from '../films/filmFormats';
import { stockFamilies, type StockFamilyId } from '../films/stockFamilies';
import { storagePresetIds } from '../films/storagePresets';
import { stayAt } from '../films/storageStay';
import { exposureStates, type Brew, type ExposureState, type Roll, type Stock } from '../records/records';
import { limits } from '../schema/limits';
import { changeForm } from './changeForm';
import { estimateRequestFor } from './estimateRequestFor';
import { initialPlanForm, readPlanForm, type PlanChoices, type PlanForm } from './planForm';
import { hintsOf, noOwnPriors, slackOfAnswer, type RollForm } from './rollForm';
import { withStrategy } from './withStrategy';

/** What a film is developed in, as one word of the question: a kitchen source, a class of developer, a one-bath, or a jug on the bench. */
export type AskedDeveloper = OrganicAgentId | DeveloperFamilyId | 'one-bath' | 'unknown' | `jug:${string}`;

const developerWords = [...organicAgentIds, ...developerFamilyIds, 'one-bath'] as const;

/** Most years past its date that are asked for: film is no older. */
export const MOST_YEARS_PAST = 120;

const keysOf = <K extends string>(table: Record<K, unknown>): [K, ...K[]] => Object.keys(table) as [K, ...K[]];

/** Temperatures that a bath may have: what the plan takes, no more. */
const degrees = z.number().min(limits.bathC.min).max(limits.bathC.max);

/**
 * The question: a film, its past, and what is at hand to develop it in. Every word has an answer from the beginning.
 */
export const askSchema = z.strictObject({
  familyId: z.enum(keysOf<StockFamilyId>(stockFamilies)),
  /** `unknown` counts as the usual cassette: it moves the volume alone. */
  formatId: z.enum([...keysOf<FilmFormatId>(filmFormats), 'unknown']),
  /** Years past its date; `new` for film bought new, `unknown` where nobody knows. */
  past: z.union([z.enum(['new', 'unknown']), z.number().int().min(0).max(MOST_YEARS_PAST)]),
  storageId: z.enum(storagePresetIds),
  exposure: z.enum(keysOf<ExposureState>(exposureStates)),
  /** `unknown` stands for coffee, which every kitchen has. */
  developer: z.union([z.enum([...developerWords, 'unknown']), z.templateLiteral(['jug:', z.string().min(1).max(200)])]),
  /** Null where nobody measured it: a bath that is neither warm nor cold to the hand. */
  temperatureC: degrees.nullable(),
  /** A time that is known for fresh film of this kind in this developer, min, at `knownC`; null for none. */
  knownMin: z.number().min(0.5).max(180).nullable(),
  knownC: degrees,
  /** How old film is treated; `advised` follows the recommendation. */
  strategy: z.enum(['advised', ...strategyIds]),
});

export type Ask = z.infer<typeof askSchema>;

/** The question as it first stands. */
export const firstAsk: Ask = {
  familyId: 'pan-cubic-fast',
  formatId: '135',
  past: 25,
  storageId: 'room',
  exposure: 'known',
  developer: 'instant-coffee',
  temperatureC: 20,
  knownMin: null,
  knownC: 20,
  strategy: 'advised',
};

/** Times that were given for other films or developers than the one that is asked about, by `knownKey`. */
export type KnownElsewhere = Readonly<Record<string, Pick<Ask, 'knownMin' | 'knownC'>>>;

/** What a known time belongs to: a film in a developer. */
export function knownKey({ familyId, developer }: Pick<Ask, 'familyId' | 'developer'>): string {
  return `${familyId} ${developer}`;
}

/**
 * Changes a question. A known time belongs to its film and developer: with another one it waits until both are chosen again.
 * @param ask the question as it stands
 * @param part what is to be different
 * @param elsewhere known times that wait
 * @returns the question, and the known times that wait now
 */
export function changeAsk(
  ask: Ask,
  part: Partial<Ask>,
  elsewhere: KnownElsewhere = {},
): { ask: Ask; elsewhere: KnownElsewhere } {
  const next = { ...ask, ...part };
  const [from, to] = [knownKey(ask), knownKey(next)];
  if (from === to || part.knownMin !== undefined) return { ask: next, elsewhere };
  const others = Object.fromEntries(Object.entries(elsewhere).filter(([key]) => key !== from && key !== to));
  const waiting = elsewhere[to];
  const { knownMin, knownC } = ask;
  return {
    ask: { ...next, ...(waiting ?? { knownMin: null, knownC: firstAsk.knownC }) },
    elsewhere: knownMin === null ? others : { ...others, [from]: { knownMin, knownC } },
  };
}

/** Name of each part in an address. */
const letters = {
  familyId: 'film',
  formatId: 'size',
  past: 'past',
  storageId: 'kept',
  exposure: 'exposed',
  developer: 'in',
  temperatureC: 'at',
  knownMin: 'known',
  knownC: 'knownat',
  strategy: 'way',
} as const satisfies Record<keyof Ask, string>;

/** Version of the address: a later one may say more than is read here. */
const ASK_VERSION = 1;

/** Parts that are numbers, or words that stand for one. */
const NUMBERS: readonly (keyof Ask)[] = ['past', 'temperatureC', 'knownMin', 'knownC'];

/**
 * The question as an address: what follows `#`. A jug goes by its id, which another bench does not know.
 * @example askToFragment(firstAsk) // 'ask=1&film=pan-cubic-fast&size=135&…'
 */
export function askToFragment(ask: Ask): string {
  const parts = new URLSearchParams({ ask: String(ASK_VERSION) });
  for (const [field, letter] of Object.entries(letters) as [keyof Ask, string][]) {
    const value = ask[field];
    if (field === 'temperatureC' && value === null) parts.set(letter, 'unknown');
    else if (value !== null) parts.set(letter, String(value));
  }
  return parts.toString();
}

/** A question that was read from an address, and what of it could not be read, by its name there. */
export interface ReadAsk {
  ask: Ask;
  unread: string[];
  /** Whether the address is of a later version. */
  newer: boolean;
}

/**
 * Reads a question from an address.
 * @param fragment what follows `#`, with or without it
 * @param before what stands where the address says nothing
 * @returns null for an address that is no question
 */
export function askFromFragment(fragment: string, before: Ask = firstAsk): ReadAsk | null {
  const parts = new URLSearchParams(fragment.replace(/^#/, ''));
  const version = parts.get('ask');
  if (version === null) return null;
  const unread: string[] = [];
  let ask = before;
  for (const [field, letter] of Object.entries(letters) as [keyof Ask, string][]) {
    const text = parts.get(letter);
    if (text === null) continue;
    const number = Number(text);
    const value =
      field === 'temperatureC' && text === 'unknown'
        ? null
        : NUMBERS.includes(field) && text.trim() !== '' && Number.isFinite(number)
          ? number
          : text;
    const read = askSchema.shape[field].safeParse(value);
    if (read.success) ask = { ...ask, [field]: read.data };
    else unread.push(letter);
  }
  const known = new Set<string>(['ask', ...Object.values(letters)]);
  for (const name of parts.keys()) if (!known.has(name)) unread.push(name.slice(0, 40));
  return { ask, unread: [...new Set(unread)], newer: Number(version) !== ASK_VERSION };
}

/** The roll's form that the question fills. */
export function rollFormOfAsk(ask: Ask, nowYear: number): RollForm {
  const dated = typeof ask.past === 'number';
  return {
    label: '',
    stockName: '',
    familyId: ask.familyId,
    iso: stockFamilies[ask.familyId].usualIso,
    formatId: ask.formatId === 'unknown' ? USUAL_FORMAT : ask.formatId,
    expiredYear: dated ? nowYear - (ask.past as number) : null,
    // A round number of years is a decade's guess more than a date.
    dateSlackYears: ask.past === 'new' || ask.past === 'unknown' ? slackOfAnswer(ask.past) : ABOUT_YEARS,
    storageId: ask.storageId,
    exposureState: ask.exposure,
    exposedYear: null,
    exposureIndex: null,
    note: '',
    own: noOwnPriors,
  };
}

const USUAL_FORMAT: FilmFormatId = '135';

/** Temperature that is planned where nobody says one, °C. Source: common practice. */
const USUAL_C = 20;

/** “About so many years past its date”: within a few years. */
const ABOUT_YEARS = 3;

/** Roll and stock that the question speaks of, as they would be kept. */
export function rollOfAsk(ask: Ask, nowMs: number): { roll: Roll; stock: Stock } {
  const form = rollFormOfAsk(ask, new Date(nowMs).getFullYear());
  const stamps = { createdMs: nowMs, updatedMs: nowMs };
  return {
    stock: { id: ASKED_STOCK, ...stamps, name: 'Unknown film', familyId: form.familyId, iso: form.iso, own: {} },
    roll: {
      id: ASKED_ROLL,
      ...stamps,
      label: '',
      stockId: ASKED_STOCK,
      formatId: form.formatId,
      hints: hintsOf(form, new Date(nowMs).getFullYear()),
      storage: [stayAt(form.storageId)],
      xrayPasses: 0,
      condition: soundCondition,
      exposure: { state: form.exposureState, year: null, index: null },
      frames: [],
      note: '',
    },
  };
}

const ASKED_STOCK = 'asked stock';
const ASKED_ROLL = 'asked roll';

/**
 * The plan's form that the question fills: the one that the roll has once it is on the bench.
 * @param ask the question
 * @param jugs brews on the bench
 * @param nowMs this instant, ms since the epoch
 */
export function planFormOfAsk(ask: Ask, jugs: readonly Brew[], nowMs: number): PlanForm {
  const { roll, stock } = rollOfAsk(ask, nowMs);
  const initial = initialPlanForm({ familyId: stock.familyId, formatId: roll.formatId, condition: roll.condition });
  let form = changeForm(initial, { ...developerPart(ask.developer), temperatureC: ask.temperatureC ?? USUAL_C }, jugs);
  if (ask.knownMin !== null)
    form = changeForm(
      form,
      { knownTimeOn: true, knownTimeMin: ask.knownMin, knownTimeC: ask.knownC, knownTimeSource: 'leaflet' },
      jugs,
    );
  if (ask.strategy !== 'advised') return withStrategy(form, ask.strategy, jugs);
  const request = requestOfForm(form, roll, stock, jugs, nowMs);
  return request === null ? form : withStrategy(form, recommendedStrategy(request), jugs);
}

function developerPart(developer: AskedDeveloper): Partial<PlanForm> {
  if (developer === 'unknown') return {};
  if (developer.startsWith('jug:')) return { developerKind: 'jug', brewId: developer.slice(4) };
  if (developer === 'one-bath') return { developerKind: 'one-bath' };
  if (developer in organicAgents) {
    const agentId = developer as OrganicAgentId;
    return { developerKind: 'improvised', agentId, agentPerL: organicAgents[agentId].usualPerL };
  }
  const familyId = developer as DeveloperFamilyId;
  const { concentrate, water } = developerFamilies[familyId].referenceParts;
  return {
    developerKind: 'concentrate',
    concentrateFamilyId: familyId,
    concentrateParts: concentrate,
    waterParts: water,
    dilutionText: '',
  };
}

/** A question as the estimator takes it. */
export interface AskedRequest {
  request: EstimateRequest;
  choices: PlanChoices;
  form: PlanForm;
}

/**
 * The request of a question, by the same way as that of a roll on the bench.
 * @returns null where the question makes no plan: a jug that is gone
 */
export function requestOfAsk(ask: Ask, jugs: readonly Brew[], nowMs: number): AskedRequest | null {
  const { roll, stock } = rollOfAsk(ask, nowMs);
  const form = planFormOfAsk(ask, jugs, nowMs);
  const read = readPlanForm(form, { formatId: roll.formatId }, jugs);
  const request = requestOfForm(form, roll, stock, jugs, nowMs);
  return read.ok && request !== null ? { request, choices: read.value, form } : null;
}

function requestOfForm(
  form: PlanForm,
  roll: Roll,
  stock: Stock,
  jugs: readonly Brew[],
  nowMs: number,
): EstimateRequest | null {
  const read = readPlanForm(form, { formatId: roll.formatId }, jugs);
  if (!read.ok) return null;
  const brew = jugs.find(({ id }) => id === read.value.brewId) ?? null;
  return estimateRequestFor(roll, stock, read.value, brew, nowMs);
}
