import type { Migration } from '../migration';

type Raw = Record<string, unknown>;

/** Photographs become binary, settings know whether single letters act as keys, and a table keeps what could not stay. */
export const benchOfBlobs: Migration = {
  to: 6,
  name: 'photographs as files',
  tables: ['photos', 'aside', 'settings'],
  change: (records) => ({
    ...records,
    aside: [],
    settings: (records.settings ?? []).map((settings) => (isRaw(settings) ? { ...settings, keys: true } : settings)),
    photos: (records.photos ?? []).map((photo) => (isRaw(photo) ? { ...photo, jpeg: blobOf(photo.jpeg) } : photo)),
  }),
};

function isRaw(value: unknown): value is Raw {
  return typeof value === 'object' && value !== null;
}

/** The picture of a data address; anything else stays as it is, and the schema refuses it later. */
function blobOf(address: unknown): unknown {
  const text = typeof address === 'string' ? /^data:image\/jpeg;base64,(.*)$/.exec(address)?.[1] : undefined;
  if (text === undefined) return address;
  try {
    return new Blob([Uint8Array.from(atob(text), (letter) => letter.charCodeAt(0))], { type: 'image/jpeg' });
  } catch {
    return address;
  }
}
