import type { Migration } from '../migration';

/** Rolls get a table of frames, and photographs a table of their own. */
export const framesAndPhotos: Migration = {
  to: 3,
  name: 'frames and photographs',
  tables: ['rolls', 'photos'],
  change: (records) => ({
    ...records,
    rolls: (records.rolls ?? []).map((roll) =>
      typeof roll === 'object' && roll !== null ? { ...roll, frames: [] } : roll,
    ),
    photos: [],
  }),
};
