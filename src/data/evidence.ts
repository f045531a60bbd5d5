import { useLiveQuery } from 'dexie-react-hooks';
import type { SettingRecord } from '@/core/evidence/evidenceRecord';
import type { EvidenceRecord } from '@/core/records/records';
import { act, newStamps } from './act';
import { database } from './database';
import { dropDraft } from './drafts';

/** Key of the draft of a test that is being taken on a roll. */
export function evidenceDraftKey(rollId: string, kind: EvidenceRecord['finding']['kind']): string {
  return `evidence:${rollId}:${kind}`;
}

/**
 * Keeps what was found, and forgets the draft it was typed in.
 * @returns the record's id
 */
export function keepEvidence(
  rollId: string,
  setting: SettingRecord,
  finding: EvidenceRecord['finding'],
  note = '',
): Promise<string> {
  return act(`evidence:${rollId}`, async (writer) => {
    const record: EvidenceRecord = { ...newStamps(), rollId, setting, finding, note };
    await writer.put('evidence', record);
    await dropDraft(evidenceDraftKey(rollId, finding.kind));
    return record.id;
  });
}

/** What was noted with some pieces, by id; pieces without a note, and verdicts, are left out. */
export function useEvidenceNotes(ids: readonly string[]): ReadonlyMap<string, string> {
  const found = useLiveQuery(
    async () =>
      new Map(
        (await database().evidence.bulkGet([...ids])).flatMap((one) =>
          one === undefined || one.note === '' ? [] : [[one.id, one.note] as const],
        ),
      ),
    [ids.join(' ')],
  );
  return found ?? NO_NOTES;
}

const NO_NOTES: ReadonlyMap<string, string> = new Map();

/** Takes a piece away; returns it, so that the page can put it back. */
export async function dropEvidence(id: string): Promise<EvidenceRecord | undefined> {
  const record = await database().evidence.get(id);
  await act(`evidence:${record?.rollId ?? ''}`, (writer) => writer.remove('evidence', id));
  return record;
}

/** Puts a piece back that was taken away. */
export async function restoreEvidence(record: EvidenceRecord): Promise<void> {
  await act(`evidence:${record.rollId}`, (writer) => writer.put('evidence', record));
}
