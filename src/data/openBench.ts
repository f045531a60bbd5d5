import { language } from '@/core/units/language';
import { actTables, database, type AetasDatabase } from './database';
import { onUpgradeProgress } from './upgrade';
import { isPartKey } from './drafts';
import { immediately } from './immediateStore';
import { rebuildLines } from './lines';
import { countLines, hasOldLines } from './shards';

/** Why the bench does not open, in words for the user. */
export interface BenchTrouble {
  title: string;
  words: string;
  /** It goes on by itself: there is nothing to do. */
  waiting?: boolean;
}

/** When lines are held against their records, ms after opening: pages read first. */
const LINES_LATER_MS = 3000;

/** In which language the lines of a bench were made: they hold names of developers. */
const linesLanguageKey = (db: AetasDatabase): string => `aetas.linesLanguage.${db.name}`;

/** Makes the lines of the lists anew where they do not belong to their records, or are in another language; lists follow by themselves. */
async function mendLines(db: AetasDatabase): Promise<void> {
  const [rolls, open, finished] = await Promise.all([
    db.rolls.count(),
    countLines(db, 'open'),
    countLines(db, 'finished'),
  ]);
  const key = linesLanguageKey(db);
  const inOther = immediately((store) => (store.getItem(key) ?? 'en') !== language) ?? false;
  if (rolls !== open + finished || inOther || (await hasOldLines(db)))
    await db.transaction('rw', actTables, () => rebuildLines(db));
  immediately((store) => store.setItem(key, language));
}

/**
 * Opens the bench's database, and makes the lines of its lists anew where they do not belong to its records.
 * @param onTrouble told when it does not open, and again with null when it did after all
 */
export async function openBenchDatabase(onTrouble: (trouble: BenchTrouble | null) => void): Promise<void> {
  const db = database();
  // Said only where the browser says that it is so: an upgrade of a large bench takes its time too.
  db.on('blocked', () =>
    onTrouble({
      title: 'Another tab holds the bench.',
      words:
        'An older tab of Aetas is open and keeps the records from being brought up to date. Close the other tabs of Aetas; this page goes on by itself.',
    }),
  );
  onUpgradeProgress(({ name, done, of }) =>
    onTrouble({
      title: 'The bench is being brought up to date.',
      words: `${name[0]?.toUpperCase() ?? ''}${name.slice(1)}: ${done} of ${of}. Leave this page open; if it is closed, nothing is lost and it begins again.`,
      waiting: true,
    }),
  );
  // A newer tab wants to bring the records up to date: this one lets go, so that the newer one is not held up.
  db.on('versionchange', () => {
    db.close();
    onTrouble({
      title: 'Aetas was updated in another tab.',
      words: 'What you typed is stored. Reload this page to go on here.',
    });
  });
  try {
    await db.open();
    // Counting a long bench takes the database for a while; a page waits only where there are no lines at all.
    const [roll, shard] = await Promise.all([db.rolls.limit(1).primaryKeys(), db.shards.limit(1).primaryKeys()]);
    if (roll.length !== shard.length) await db.transaction('rw', actTables, () => rebuildLines(db));
    onTrouble(null);
    setTimeout(() => void mendLines(db).catch(() => undefined), LINES_LATER_MS);
    await storeLeftParts();
  } catch (error) {
    onTrouble(troubleOf(error));
    throw error;
  } finally {
    onUpgradeProgress(null);
  }
}

/** Stores what a page that went at once was storing. Its readers are heavy, and wanted after a crash only. */
async function storeLeftParts(): Promise<void> {
  const keys = (await database().drafts.toCollection().primaryKeys()) as string[];
  const left = keys.filter(isPartKey);
  if (left.length === 0) return;
  const { storeTypedParts } = await import('./typedParts');
  // Where the storage refuses it stays a draft, and is tried again when the bench next opens.
  await storeTypedParts(left).catch(() => undefined);
}

function troubleOf(error: unknown): BenchTrouble {
  const name = error instanceof Error ? error.name : '';
  const detail = error instanceof Error ? error.message.split('\n')[0] : 'unknown fault';
  if (name === 'VersionError')
    return {
      title: 'The records are newer than this Aetas.',
      words:
        'They were written by a later version. Nothing has changed. Start the later version, or open your last saved file in it.',
    };
  if (
    name === 'MissingAPIError' ||
    name === 'SecurityError' ||
    name === 'InvalidStateError' ||
    name === 'OpenFailedError'
  )
    return {
      title: 'This browser does not let Aetas keep records.',
      words: `Private windows and strict settings refuse it. Allow this page to store data, or use an ordinary window, and reload. (${detail})`,
    };
  return {
    title: 'The records could not be brought up to date.',
    words: `They are as they were before: nothing has changed. Free some disk space and reload; if it stays so, tell us what it says here: ${detail}`,
  };
}
