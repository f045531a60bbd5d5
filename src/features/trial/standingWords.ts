import type { TrialStanding } from '@/core/trial/trial';

/** Where a trial stands, in a few words. */
export function standingWords({ all, developed, read, lost, done }: TrialStanding): string {
  const gone = lost === 0 ? '' : `, ${lost} lost`;
  if (done) return `${read} of ${all} strips read${gone}`;
  return read > 0 ? `${read} of ${all} strips read${gone}` : `${developed} of ${all} strips developed${gone}`;
}
