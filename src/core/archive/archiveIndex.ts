import { languageTag } from '../units/language';
import type { Archive } from './archive';

/** A roll as the index needs it. */
export interface ArchivedRoll {
  id: string;
  label: string;
  archive: Archive;
}

/** Rolls that are kept in one place. */
export interface ArchivePlace {
  place: string;
  rolls: { id: string; label: string; frames: number; words: Archive['words'] }[];
}

/** “Page 2” stands before “page 14”. */
const order = new Intl.Collator(languageTag, { numeric: true, sensitivity: 'base' });

/**
 * The index of the binders: rolls by their place, places as a hand leafs through them, those without one last.
 * @param rolls rolls whose archive was told
 */
export function archiveIndex(rolls: readonly ArchivedRoll[]): ArchivePlace[] {
  const places = new Map<string, ArchivePlace>();
  for (const { id, label, archive } of rolls) {
    const place = archive.place.trim();
    const key = place.toLowerCase();
    const found = places.get(key) ?? { place, rolls: [] };
    found.rolls.push({ id, label, frames: archive.frames, words: archive.words });
    places.set(key, found);
  }
  for (const { rolls: here } of places.values()) here.sort((a, b) => order.compare(a.label, b.label));
  return [...places.values()].sort(
    (a, b) => Number(a.place === '') - Number(b.place === '') || order.compare(a.place, b.place),
  );
}
