import type { Settings } from '@/core/records/records';
import { defaultSettings } from '@/core/records/tables';
import { act, type Writer } from './act';
import type { TypedUpTo } from './drafts';

/** Changes some of the bench's settings. */
export function changeSettings(change: Partial<Omit<Settings, 'id'>>): Promise<void> {
  return act('settings', async (writer) => {
    const before = (await writer.db.settings.get('bench')) ?? defaultSettings;
    await writer.put('settings', { ...before, ...change });
  });
}

/** Changes some of the kit; the rest of it stays as another tab may have left it. */
export function changeKit(change: Partial<Settings['kit']>, typed?: TypedUpTo): Promise<void> {
  const write = async (writer: Writer): Promise<void> => {
    const before = (await writer.db.settings.get('bench')) ?? defaultSettings;
    await writer.put('settings', { ...before, kit: { ...before.kit, ...change } });
  };
  return act('settings', write, { typed });
}
