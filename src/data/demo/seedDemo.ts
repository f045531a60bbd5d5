import { database } from '../database';
import { replaceRecords } from '../undo';
import { demoRecords } from './demoRecords';

const KEY = 'aetas.demo-laid-out';

/** Lays the demo out on its bench once: one that was emptied, or that somebody works on, stays as it is. */
export async function seedDemo(): Promise<void> {
  const db = database();
  const found = await Promise.all([
    db.rolls.count(),
    db.acts.count(),
    db.mixes.count(),
    db.brews.count(),
    db.recipes.count(),
    db.drafts.count(),
  ]);
  if (found.some((count) => count > 0) || (await db.done.get(KEY)) !== undefined) return;
  await replaceRecords(demoRecords(Date.now()));
  // Far in the future: it is never among the old ones that are forgotten.
  await db.done.put({ id: KEY, updatedMs: Number.MAX_SAFE_INTEGER });
}
