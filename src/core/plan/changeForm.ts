import { developerKey } from '../estimate/situation';
import type { Brew } from '../records/records';
import { initialKnownTime, readDeveloper, type PlanForm } from './planForm';
import { withStrategy } from './withStrategy';

/** Amounts that are in a litre, whatever they are shown for. */
const AMOUNTS = ['agentPerL', 'ascorbicGPerL', 'sodaGPerL', 'bromideGPerL'] as const;

/**
 * The form after a change of some of its fields: what was said of one developer stays with it, and amounts that were said for a
 * jug stay the jug's.
 * @param form the form as it stands
 * @param part fields with their new values
 * @param jugs brews on the bench
 * @returns the whole form
 */
export function changeForm(form: PlanForm, part: Partial<PlanForm>, jugs: readonly Brew[]): PlanForm {
  if (form.strategyId === 'stand' && part.strategyId === undefined && !('beforeStand' in part)) {
    const before = formDeveloperKey(form, jugs);
    const moved = changed(form, part, jugs);
    // A stand proposes anew for another developer: what it proposed for the one before goes back with that.
    return before === formDeveloperKey(moved, jugs)
      ? moved
      : withStrategy(changed(withStrategy(form, 'hold', jugs), part, jugs), 'stand', jugs);
  }
  return changed(form, part, jugs);
}

function changed(form: PlanForm, part: Partial<PlanForm>, jugs: readonly Brew[]): PlanForm {
  return withOwnKnownTime(form, withHeldAmounts(form, { ...form, ...part }, part), part, jugs);
}

/** Where amounts are the jug's, another volume makes another strength. */
function withHeldAmounts(form: PlanForm, next: PlanForm, part: Partial<PlanForm>): PlanForm {
  const nowMl = typeof next.volumeMl === 'number' && next.volumeMl > 0 ? next.volumeMl : form.amountsMl;
  if (next.amountsFor === 'litre') return { ...next, amountsMl: null };
  const heldMl = form.amountsMl ?? (typeof form.volumeMl === 'number' && form.volumeMl > 0 ? form.volumeMl : nowMl);
  if (nowMl === null || heldMl === null || form.amountsFor === 'litre' || nowMl === heldMl)
    return { ...next, amountsMl: nowMl };
  const scaled = AMOUNTS.flatMap((name) => {
    const value = next[name];
    return name in part || typeof value !== 'number' ? [] : [[name, (value * heldMl) / nowMl]];
  });
  return { ...next, ...Object.fromEntries(scaled), amountsMl: nowMl };
}

/** A known time belongs to film and developer: in another developer it waits until that one is chosen again. */
function withOwnKnownTime(form: PlanForm, next: PlanForm, part: Partial<PlanForm>, jugs: readonly Brew[]): PlanForm {
  const before = formDeveloperKey(form, jugs);
  const key = formDeveloperKey(next, jugs);
  // A form that is taken whole brings its own.
  if (before !== key && !('knownElsewhere' in part)) {
    const said = knownTimeOf(form);
    const others = form.knownElsewhere.filter((one) => one.key !== before && one.key !== key);
    const waiting = form.knownElsewhere.find((one) => one.key === key);
    const isSaid = said.knownTimeOn || said.knownTimeMin !== '';
    return {
      ...next,
      ...(waiting === undefined ? initialKnownTime : knownTimeOf(waiting)),
      knownElsewhere: isSaid ? [...others, { ...said, key: before }] : others,
    };
  }
  const given = part.knownTimeOn === true || part.knownTimeMin !== undefined;
  return given && next.knownTimeFor === null ? { ...next, ...knownTimeForNow(next, jugs) } : next;
}

/**
 * The fields that tie a known time to the developer as it stands.
 * @returns the developer, and its dilution where none was typed; nothing while the developer does not read
 */
export function knownTimeForNow(form: PlanForm, jugs: readonly Brew[]): Partial<PlanForm> {
  const read = readDeveloper(form, jugs);
  if (!read.ok) return {};
  const { developer } = read.value;
  const isOpen = form.knownConcentrate === '' && form.knownWater === '';
  return {
    knownTimeFor: developer,
    ...(developer.kind === 'concentrate' && isOpen
      ? { knownConcentrate: developer.parts.concentrate, knownWater: developer.parts.water }
      : {}),
  };
}

function knownTimeOf(from: typeof initialKnownTime): typeof initialKnownTime {
  const names = Object.keys(initialKnownTime) as (keyof typeof initialKnownTime)[];
  return Object.fromEntries(names.map((name) => [name, from[name]])) as typeof initialKnownTime;
}

/**
 * Which developer a form has chosen, whether or not its amounts read: its class, or its set of agents.
 * @returns a name as `developerKey` gives it
 */
export function formDeveloperKey(form: PlanForm, jugs: readonly Brew[]): string {
  switch (form.developerKind) {
    case 'concentrate':
      return form.concentrateFamilyId;
    case 'one-bath':
      return 'one-bath';
    case 'other':
      return 'other';
    case 'improvised':
      return [
        form.agentId,
        ...form.besides.agents.filter(({ amountPerL }) => amountPerL > 0).map(({ agentId }) => agentId),
      ]
        .sort()
        .join('+');
    case 'jug': {
      const jug = jugs.find(({ id }) => id === form.brewId);
      return jug?.developer == null ? `jug ${form.brewId}` : developerKey(jug.developer);
    }
  }
}
