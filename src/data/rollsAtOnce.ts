import type { Roll } from '@/core/records/records';

/** Most rolls that are put on the bench at once. Source: our choice, a brick and a half. */
export const MOST_AT_ONCE = 30;

/** What a roll that is like another does not take over: its pictures. */
export const nothingOnIt: Pick<Roll, 'frames' | 'archive'> = { frames: [], archive: undefined };
