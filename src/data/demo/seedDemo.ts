import { database } from '../database';
import { replaceRecords } from '../safekeeping';
import { demoRecords } from './demoRecords';

/** Lays the demo out on its bench, unless somebody has worked there: an emptied demo bench stays empty. */
export async function seedDemo(): Promise<void> {
  const db = database();
  const [rolls, kept] = await Promise.all([db.rolls.count(), db.safekeeping.count()]);
  if (rolls > 0 || kept > 0) return;
  await replaceRecords(demoRecords(Date.now()));
}
