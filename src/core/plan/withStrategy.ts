import { standDeveloper } from '../estimate/stand';
import type { Brew } from '../records/records';
import { readDeveloper, type PlanForm } from './planForm';

type StandFields = NonNullable<PlanForm['beforeStand']>;

/**
 * The form with another strategy: the one way to change it, whoever does. A stand proposes a thinner developer and leaves the
 * tank alone; leaving it brings back what it replaced, and keeps what was changed since. A jug is as it is.
 * @param form the form as it stands
 * @param strategyId the strategy chosen
 * @param jugs brews on the bench
 */
export function withStrategy(form: PlanForm, strategyId: PlanForm['strategyId'], jugs: readonly Brew[]): PlanForm {
  if (strategyId !== 'stand') return { ...form, ...restored(form), strategyId, beforeStand: null, standSet: null };
  if (form.strategyId === 'stand' || form.developerKind === 'one-bath') return { ...form, strategyId };
  const beforeStand = standFieldsOf(form);
  const set: StandFields = { ...beforeStand, agitationId: 'stand', movement: null, ...thinner(form, jugs) };
  // A time that was known with the tank moved as planned was known with the tank moved as it was planned until now.
  const known =
    form.knownTimeAgitation === 'plan' && form.knownTimeMin !== '' ? { knownTimeAgitation: form.agitationId } : {};
  return { ...form, ...set, ...known, strategyId, beforeStand, standSet: set };
}

/** The fields that a stand changes, as they stand. */
function standFieldsOf(form: PlanForm): StandFields {
  const { agitationId, movement, agentPerL, ascorbicGPerL, sodaGPerL, besides, concentrateParts, waterParts } = form;
  const { dilutionText } = form;
  return {
    agitationId,
    movement,
    agentPerL,
    ascorbicGPerL,
    sodaGPerL,
    besides,
    concentrateParts,
    waterParts,
    dilutionText,
  };
}

/** What a stand proposes in place of the developer: nothing where it is thin enough, and for a jug. */
function thinner(form: PlanForm, jugs: readonly Brew[]): Partial<StandFields> {
  const read = readDeveloper(form, jugs);
  if (!read.ok || form.developerKind === 'jug') return {};
  const { developer } = read.value;
  const thin = standDeveloper(developer);
  if (thin === developer) return {};
  if (thin.kind === 'concentrate')
    return { concentrateParts: thin.parts.concentrate, waterParts: thin.parts.water, dilutionText: '' };
  if (thin.kind !== 'improvised') return {};
  return {
    agentPerL: thin.agents[0]?.amountPerL ?? form.agentPerL,
    ascorbicGPerL: thin.ascorbicGPerL,
    sodaGPerL: thin.sodaGPerL,
    besides: { agents: thin.agents.slice(1), others: thin.others },
  };
}

/** What comes back when a stand is left: each field that still is as the stand set it. */
function restored(form: PlanForm): Partial<StandFields> {
  const { beforeStand, standSet } = form;
  if (beforeStand === null) return {};
  if (standSet === null) return beforeStand;
  const names = Object.keys(beforeStand) as (keyof StandFields)[];
  return Object.fromEntries(
    names.flatMap((name) =>
      JSON.stringify(form[name]) === JSON.stringify(standSet[name]) ? [[name, beforeStand[name]]] : [],
    ),
  );
}

/** Fields of the developer that a stand may have thinned. */
const DEVELOPER_FIELDS = [
  'agentPerL',
  'ascorbicGPerL',
  'sodaGPerL',
  'besides',
  'concentrateParts',
  'waterParts',
  'dilutionText',
] as const satisfies readonly (keyof StandFields)[];

/**
 * What a stand proposed in place of the developer, where it is taken as proposed.
 * @returns the fields as they were before, to be taken back in one tap; null where the developer is the user's own
 */
export function thinnedFrom({ strategyId, beforeStand, standSet, ...form }: PlanForm): Partial<PlanForm> | null {
  if (strategyId !== 'stand' || beforeStand === null || standSet === null) return null;
  const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);
  const isProposed = DEVELOPER_FIELDS.every((name) => same(form[name], standSet[name]));
  const differs = DEVELOPER_FIELDS.some((name) => !same(standSet[name], beforeStand[name]));
  if (!isProposed || !differs) return null;
  return Object.fromEntries(DEVELOPER_FIELDS.map((name) => [name, beforeStand[name]]));
}
