import { soundCondition } from '@/core/films/conditionFacts';
import { filmFormats } from '@/core/films/filmFormats';
import { noOwnPriors, type RollForm } from '@/core/plan/rollForm';
import { stayAt } from '@/core/films/storageStay';
import type { Roll, Stock } from '@/core/records/records';
import { database } from './database';
import { dropDraft } from './drafts';
import { keepSafe } from './safekeeping';
import { putRecord } from './putRecord';
import { guardedWrite, newStamps } from './write';

/** Key of the draft of a roll's form; 'new' for a roll that is not stored yet. */
export function rollDraftKey(rollId: string): string {
  return `roll:${rollId}`;
}

/**
 * Stores a new roll, and its stock when it is new, and forgets the draft.
 * @returns the new roll's id
 */
export async function addRoll(form: RollForm): Promise<string> {
  return guardedWrite(async () => {
    const db = database();
    const stamps = newStamps();
    await db.transaction('rw', db.rolls, db.stocks, db.drafts, async () => {
      const stockId = await stockFor(form);
      const hints: Roll['hints'] =
        form.expiredYear === null ? [] : [{ kind: 'stamp', year: form.expiredYear, slackYears: form.dateSlackYears }];
      await putRecord('rolls', {
        ...stamps,
        ...rollFields(form),
        stockId,
        hints,
        storage: [stayAt(form.storageId)],
        xrayPasses: 0,
        condition: soundCondition,
        frames: [],
      });
      await dropDraft(rollDraftKey('new'));
    });
    void globalThis.navigator?.storage?.persist?.();
    return stamps.id;
  });
}

/** Stores what changed about a roll's basics, and forgets the draft; its age, storage and condition stay. */
export async function changeRoll(rollId: string, form: RollForm): Promise<void> {
  await guardedWrite(async () => {
    const db = database();
    await db.transaction('rw', db.rolls, db.stocks, db.drafts, async () => {
      const before = await db.rolls.get(rollId);
      if (before === undefined) return;
      const stockId = await stockFor(form);
      await putRecord('rolls', { ...before, ...rollFields(form), stockId, updatedMs: Date.now() });
      await dropDraft(rollDraftKey(rollId));
    });
  });
}

/** Stores a part of a roll's dossier as it changes. */
export async function changeDossier(
  rollId: string,
  part: Partial<Pick<Roll, 'hints' | 'storage' | 'xrayPasses' | 'condition' | 'frames'>>,
): Promise<void> {
  await guardedWrite(async () => {
    const db = database();
    await db.transaction('rw', db.rolls, async () => {
      const before = await db.rolls.get(rollId);
      if (before !== undefined) await putRecord('rolls', { ...before, ...part, updatedMs: Date.now() });
    });
  });
}

/** Removes a roll with its plan, runs and verdicts; `undoLast` brings it back. */
export async function removeRoll(rollId: string): Promise<void> {
  await guardedWrite(async () => {
    const db = database();
    const label = (await db.rolls.get(rollId))?.label ?? '';
    await keepSafe(`removing “${label}”`);
    await db.transaction(
      'rw',
      [db.rolls, db.plans, db.runs, db.verdicts, db.photos, db.evidence, db.mixes],
      async () => {
        await db.rolls.delete(rollId);
        await db.plans.where({ rollId }).delete();
        await db.runs.where({ rollId }).delete();
        await db.verdicts.where({ rollId }).delete();
        await db.photos.where({ rollId }).delete();
        await db.evidence.where({ rollId }).delete();
        // What is being mixed stays: it may serve another roll.
        await db.mixes.filter((mix) => mix.rollId === rollId).modify({ rollId: null });
      },
    );
  });
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

async function stockFor(form: RollForm): Promise<string> {
  const db = database();
  const name = form.stockName || 'Unknown film';
  const own = Object.fromEntries(Object.entries(form.own).filter(([, value]) => value !== null));
  const same = await db.stocks
    .where('name')
    .equals(name)
    .filter((stock) => stock.familyId === form.familyId && stock.iso === form.iso)
    .first();
  if (same !== undefined) {
    await putRecord('stocks', { ...same, own, updatedMs: Date.now() });
    return same.id;
  }
  const stock: Stock = { ...newStamps(), name, familyId: form.familyId, iso: form.iso, own };
  await putRecord('stocks', stock);
  return stock.id;
}
