import type { RowSource } from '@/core/formats/benchFile';
import type { TableName } from '@/core/records/records';
import { database } from './database';
import { planDraftKey } from './plans';

/**
 * What a roll needs on another device: itself, its stock, box and plan with what is typed into it, the jugs of its baths, its runs
 * and verdicts, and the rolls that share its tank. Photographs stay.
 * @param rollId the roll
 * @returns null when there is no such roll; else its records for a file, and how many they are
 */
export async function rollAlong(rollId: string): Promise<{ source: RowSource; total: number; label: string } | null> {
  const db = database();
  const roll = await db.rolls.get(rollId);
  if (roll === undefined) return null;
  const own = await db.runs.where({ rollId }).toArray();
  const rollIds = [...new Set([rollId, ...own.flatMap((run) => (run.alongside ?? []).map((other) => other.rollId))])];
  const [rolls, plans, runs, evidence] = await Promise.all([
    db.rolls.bulkGet(rollIds).then((found) => found.filter((one) => one !== undefined)),
    db.plans.where('rollId').anyOf(rollIds).toArray(),
    db.runs.where('rollId').anyOf(rollIds).toArray(),
    db.evidence.where('rollId').anyOf(rollIds).toArray(),
  ]);
  const verdicts = await db.verdicts
    .where('runId')
    .anyOf(runs.map(({ id }) => id))
    .toArray();
  const ids = (list: (string | null | undefined)[]): string[] => [...new Set(list.filter((id) => id != null))];
  const brewIds = ids([
    ...plans.map(({ brewId }) => brewId),
    ...runs.flatMap(({ brewId, jugs }) => [brewId, jugs?.stop, jugs?.fix]),
  ]);
  const found = async (table: 'stocks' | 'boxes' | 'brews' | 'drafts', wanted: string[]): Promise<unknown[]> =>
    (await db.table<unknown, string>(table).bulkGet(wanted)).filter((one) => one !== undefined);
  const records: Partial<Record<TableName, readonly unknown[]>> = {
    stocks: await found('stocks', ids(rolls.map(({ stockId }) => stockId))),
    boxes: await found('boxes', ids(rolls.map(({ boxId }) => boxId))),
    brews: await found('brews', brewIds),
    drafts: await found('drafts', rollIds.map(planDraftKey)),
    rolls,
    plans,
    runs,
    verdicts,
    evidence,
  };
  return {
    source: (table, after) => (after === 0 ? (records[table] ?? []) : []),
    total: Object.values(records).reduce((sum, list) => sum + list.length, 0),
    label: roll.label,
  };
}
