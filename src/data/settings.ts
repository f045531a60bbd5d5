import type { Settings } from '@/core/records/records';
import { defaultSettings } from '@/core/records/tables';
import { database } from './database';
import { putRecord } from './putRecord';
import { guardedWrite } from './write';

/** Changes some of the bench's settings. */
export async function changeSettings(change: Partial<Omit<Settings, 'id'>>): Promise<void> {
  await guardedWrite(async () => {
    const before = (await database().settings.get('bench')) ?? defaultSettings;
    await putRecord('settings', { ...before, ...change });
  });
}
