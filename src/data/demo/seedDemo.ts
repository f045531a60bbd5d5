import { database } from '../database';
import { replaceRecords } from '../undo';
import { demoRecords } from './demoRecords';

const KEY = 'aetas.demo-laid-out';

/** Lays the demo out on its bench once: one that was emptied, or that somebody works on, stays as it is. */
export async function seedDemo(): Promise<void> {
  const db = database();
  const found = await Promise.all([
    db.rolls.limit(1).primaryKeys(),
    db.acts.limit(1).primaryKeys(),
    db.mixes.limit(1).primaryKeys(),
    db.brews.limit(1).primaryKeys(),
    db.recipes.limit(1).primaryKeys(),
    db.drafts.limit(1).primaryKeys(),
  ]);
  if (found.some((keys) => keys.length > 0) || (await db.done.get(KEY)) !== undefined) return;
  await replaceRecords(demoRecords(Date.now()));
  // Far in the future: it is never among the old ones that are forgotten.
  await db.done.put({ id: KEY, updatedMs: Number.MAX_SAFE_INTEGER });
}
