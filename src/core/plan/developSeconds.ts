import type { Pinned } from '../records/records';
import { roundToPourable } from '../units/duration';

/**
 * Development time of a pin: a time of one's own to the second, an estimate to what a hand can do.
 * @returns s
 */
export function developSeconds({ timeMin, own }: Pick<Pinned, 'timeMin'> & { own?: boolean | undefined }): number {
  return Math.round((own === true ? timeMin : roundToPourable(timeMin)) * 60);
}
