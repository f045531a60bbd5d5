import { useLiveQuery } from 'dexie-react-hooks';
import { database } from './database';

/** A folder that the person keeps in step between devices, and what this device is called in it. */
export interface Folder {
  id: 'folder';
  handle: FileSystemDirectoryHandle;
  device: string;
  name: string;
  /** When it was last in step, ms since the epoch; null for never. */
  lastMs: number | null;
}

/** What keeping in step did. */
export interface StepReport {
  /** Edits that were written, and records that were taken from others. */
  written: number;
  taken: number;
  /** Records that wait for something that has not come. */
  held: number;
  /** Hands are at work: what others wrote is taken later. */
  busy: boolean;
  devices: string[];
  aside: { name: string; why: string }[];
}

/** The folder that this bench is kept in step with; null for none, undefined while it loads. */
export function useFolder(): Folder | null | undefined {
  return useLiveQuery(async () => (await database().folders.get('folder')) ?? null);
}

/** Keeps this bench in step with a folder from now on. */
export async function connectFolder(handle: FileSystemDirectoryHandle, name: string): Promise<void> {
  const db = database();
  const before = await db.folders.get('folder');
  await db.folders.put({ id: 'folder', handle, device: before?.device ?? crypto.randomUUID(), name, lastMs: null });
}

/** Leaves the folder as it is, and keeps this bench in step with none. */
export async function leaveFolder(): Promise<void> {
  await database().folders.clear();
}
