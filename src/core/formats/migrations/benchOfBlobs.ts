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
    photos: (records.photos ?? []).map(withBlob),
  }),
  eachRow: { photos: withBlob },
};

function withBlob(photo: unknown): unknown {
  return isRaw(photo) ? { ...photo, jpeg: blobOf(photo.jpeg) } : photo;
}

function isRaw(value: unknown): value is Raw {
  return typeof value === 'object' && value !== null;
}

/** How the data address of a JPEG begins. */
const JPEG_DATA = 'data:image/jpeg;base64,';

/** The picture of a data address; anything else stays as it is, and the schema refuses it later. */
function blobOf(address: unknown): unknown {
  if (typeof address !== 'string' || !address.startsWith(JPEG_DATA)) return address;
  try {
    const letters = atob(address.slice(JPEG_DATA.length));
    const bytes = new Uint8Array(letters.length);
    for (let at = 0; at < letters.length; at++) bytes[at] = letters.charCodeAt(at);
    return new Blob([bytes], { type: 'image/jpeg' });
  } catch {
    return address;
  }
}
