import { soundCondition } from '@/core/films/conditionFacts';
import { filmFormats } from '@/core/films/filmFormats';
import { hintsOf, noOwnPriors, type RollForm } from '@/core/plan/rollForm';
import { stayAt } from '@/core/films/storageStay';
import type { PlanChoices, PlanForm } from '@/core/plan/planForm';
import type { Pinned, Roll, Stock } from '@/core/records/records';
import { database } from './database';
import { makeBox } from './boxes';
import { MOST_AT_ONCE, nothingOnIt } from './rollsAtOnce';
import { askToPersist } from './storageRoom';
import { planDraftKey } from './plans';
import { act, newStamps, type Writer } from './act';
import { dropDraft, type TypedUpTo } from './drafts';

/** Key of the draft of a roll's form; 'new' for a roll that is not stored yet. */
export function rollDraftKey(rollId: string): string {
  return `roll:${rollId}`;
}

/**
 * Stores new rolls of one purchase, and their stock when it is new, and forgets the draft. Several came in one box.
 * @param form what is said of all of them
 * @param count how many there are; 1 to 30
 * @returns the first new roll's id
 */
export async function addRolls(form: RollForm, count: number): Promise<string> {
  const several = Math.max(1, Math.min(MOST_AT_ONCE, Math.round(count)));
  if (several === 1) return addRoll(form);
  const boxId = await act('box:new', (writer) => makeBox(writer, form.label || form.stockName || 'Rolls'));
  const ids: string[] = [];
  // The last first, so that the first stands on top.
  for (let n = several; n >= 1; n--) ids.unshift(await addRoll(numbered(form, n, several), null, boxId));
  return ids[0] ?? '';
}

function numbered(form: RollForm, n: number, of: number): RollForm {
  const name = form.label || form.stockName;
  return { ...form, label: `${name === '' ? 'Roll' : name}, ${n} of ${of}`.slice(0, 120) };
}

/**
 * Puts a roll like another on the bench: what is known of its past goes with it, its frames, photographs and plans do not.
 * @returns the new roll's id
 */
export async function duplicateRoll(roll: Roll): Promise<string> {
  const stamps = newStamps();
  const of = /^(.*) \((\d+)\)$/.exec(roll.label);
  const name = roll.label === '' ? 'Roll' : (of?.[1] ?? roll.label);
  await act('roll:new', (writer) =>
    writer.put('rolls', {
      ...roll,
      ...stamps,
      label: `${name.slice(0, 112)} (${Number(of?.[2] ?? 1) + 1})`,
      ...nothingOnIt,
    }),
  );
  return stamps.id;
}

/** A plan that a new roll begins with: its form as it stands, and what is pinned of it where it is used at once. */
export interface FirstPlan {
  form: PlanForm;
  pin: { choices: PlanChoices; pinned: Pinned } | null;
}

/**
 * Stores a new roll, and its stock when it is new, and forgets the draft.
 * @param form what is said of it
 * @param first the plan that it begins with; without one it begins as its stock was done last
 * @param boxId the box that it came in; null for one that came alone
 * @returns the new roll's id
 */
export async function addRoll(
  form: RollForm,
  first: FirstPlan | null = null,
  boxId: string | null = null,
): Promise<string> {
  const stamps = newStamps();
  // Plans are heavy, and the bench shows without them; and nothing may be fetched within a transaction.
  const sameAgain = await import('@/core/plan/sameAgain');
  await act('roll:new', async (writer) => {
    const stockId = await stockFor(writer, form);
    await writer.put('rolls', {
      ...stamps,
      ...rollFields(form),
      stockId,
      hints: hintsOf(form, new Date().getFullYear()),
      storage: [stayAt(form.storageId)],
      xrayPasses: 0,
      condition: soundCondition,
      boxId,
      frames: [],
    });
    if (first === null) {
      await beginPlan(writer, stamps.id, sameAgain);
      await dropDraft(rollDraftKey('new'));
      return;
    }
    await writer.db.drafts.put({ id: planDraftKey(stamps.id), values: first.form, updatedMs: Date.now() });
    const { pin } = first;
    if (pin !== null)
      await writer.put('plans', { ...newStamps(), rollId: stamps.id, ...pin.choices, pinned: pin.pinned });
  });
  void askToPersist();
  return stamps.id;
}

/** A new roll begins as its stock was done last, else with the baths that its owner usually takes. */
async function beginPlan(
  writer: Writer,
  rollId: string,
  { formLike, usualBaths }: typeof import('@/core/plan/sameAgain'),
): Promise<void> {
  const { db } = writer;
  const roll = await db.rolls.get(rollId);
  const stock = roll === undefined ? undefined : await db.stocks.get(roll.stockId);
  if (roll === undefined || stock === undefined) return;
  const others = (await db.rolls.where({ stockId: stock.id }).primaryKeys()).filter((id) => id !== rollId);
  const plans = (await db.plans.where('rollId').anyOf(others).toArray()).filter(({ pinned }) => pinned !== null);
  const plan = plans.sort((a, b) => (a.pinned?.atMs ?? 0) - (b.pinned?.atMs ?? 0)).at(-1);
  const before = plan === undefined ? undefined : await db.rolls.get(plan.rollId);
  const values =
    plan !== undefined && before !== undefined
      ? formLike({ plan, roll: before }, roll, stock, await db.brews.toArray(), Date.now())
      : usualBaths(await db.habits.toArray());
  if (values !== null) await db.drafts.put({ id: planDraftKey(rollId), values, updatedMs: Date.now() });
}

/**
 * Stores what changed about a roll's basics, and forgets the draft. Fields that nobody touched stay as they are by now; so
 * do its age, storage and condition.
 * @param rollId the roll
 * @param changed the fields that were changed
 */
export function changeRoll(rollId: string, changed: Partial<RollForm>): Promise<void> {
  return act(`roll:${rollId}`, async (writer) => {
    const before = await writer.db.rolls.get(rollId);
    const stock = before === undefined ? undefined : await writer.db.stocks.get(before.stockId);
    if (before === undefined || stock === undefined) return;
    const form = { ...rollFormOf(before, stock), ...changed };
    const ofStock = ['stockName', 'familyId', 'iso', 'own'] as const;
    const stockId = ofStock.some((field) => field in changed) ? await stockFor(writer, form, stock) : stock.id;
    await writer.put('rolls', { ...before, ...rollFields(form), stockId, updatedMs: Date.now() });
    await dropDraft(rollDraftKey(rollId));
  });
}

/** Stores a part of a roll's dossier as it changes. */
export function changeDossier(
  rollId: string,
  part: Partial<Pick<Roll, 'hints' | 'storage' | 'xrayPasses' | 'condition' | 'frames' | 'archive'>>,
  typed?: TypedUpTo,
): Promise<void> {
  return act(
    `dossier:${rollId}:${Object.keys(part).join()}`,
    (writer) => writer.change('rolls', rollId, { ...part, updatedMs: Date.now() }),
    { typed },
  );
}

/**
 * Removes a roll with its plan, runs and verdicts; it can be undone.
 * @param rollId the roll
 * @param withoutCopy frees space although there is no room for a copy: then it cannot be undone
 */
export async function removeRoll(rollId: string, withoutCopy = false): Promise<void> {
  const label = (await database().rolls.get(rollId))?.label ?? '';
  await act(
    `remove:${rollId}`,
    async (writer) => {
      const runs = await writer.db.runs.where({ rollId }).primaryKeys();
      for (const runId of runs) await writer.removeAll('verdicts', 'runId', runId);
      await writer.removeAll('runs', 'rollId', rollId);
      await writer.removeAll('plans', 'rollId', rollId);
      await writer.removeAll('readings', 'rollId', rollId);
      await writer.removeAll('photos', 'rollId', rollId);
      await writer.removeAll('evidence', 'rollId', rollId);
      // What is being mixed stays: it may serve another roll.
      await writer.unlink('mixes', 'rollId', rollId);
      await writer.unlink('prints', 'rollId', rollId);
      await writer.remove('rolls', rollId);
    },
    { undo: `removing “${label}”`, withoutCopy },
  );
}

/** The form that a stored roll was made with. */
export function rollFormOf(roll: Roll, stock: Stock): RollForm {
  return {
    label: roll.label,
    stockName: stock.name,
    familyId: stock.familyId,
    iso: stock.iso,
    formatId: roll.formatId,
    expiredYear: null,
    dateSlackYears: 0,
    storageId: roll.storage[0]?.placeId ?? 'unknown',
    exposureState: roll.exposure.state,
    exposedYear: roll.exposure.year,
    exposureIndex: roll.exposure.index,
    note: roll.note,
    own: { ...noOwnPriors, ...stock.own },
  };
}

function rollFields(form: RollForm): Pick<Roll, 'label' | 'formatId' | 'exposure' | 'note'> {
  return {
    label: form.label || `A roll of ${filmFormats[form.formatId].name}`,
    formatId: form.formatId,
    exposure: { state: form.exposureState, year: form.exposedYear, index: form.exposureIndex },
    note: form.note,
  };
}

/** What a film is called that nobody can name. Each such film is a stock of its own: nothing says that two are alike. */
const UNNAMED = 'Unknown film';

/**
 * The stock of a roll's form: the one that is there under that name, with what was typed merged in, or a new one.
 * @param before the stock that the roll had, when it is changed
 */
async function stockFor(writer: Writer, form: RollForm, before?: Stock): Promise<string> {
  const name = form.stockName || UNNAMED;
  const typed = Object.fromEntries(Object.entries(form.own).filter(([, value]) => value !== null));
  const same =
    name === UNNAMED
      ? before?.name === UNNAMED && (await writer.db.rolls.where({ stockId: before.id }).count()) === 1
        ? before
        : undefined
      : await writer.db.stocks
          .where('name')
          .equals(name)
          .filter((stock) => stock.familyId === form.familyId && stock.iso === form.iso)
          .first();
  if (same === undefined) {
    const stock: Stock = { ...newStamps(), name, familyId: form.familyId, iso: form.iso, own: typed };
    await writer.put('stocks', stock);
    return stock.id;
  }
  // A form that edits this very stock can empty a number; any other form only adds what was typed.
  const own = before?.id === same.id ? typed : { ...same.own, ...typed };
  await writer.put('stocks', { ...same, familyId: form.familyId, iso: form.iso, own, updatedMs: Date.now() });
  return same.id;
}
