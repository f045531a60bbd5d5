import { classes } from './classes';

/**
 * What shows figures from before, while a field that they follow from is wrong: pale, and out of reach for eyes, hands and readers
 * alike.
 * @param isStale whether the figures are from before
 * @param className classes that it has in any case
 */
export function stale(isStale: boolean, className?: string): { className: string; inert: boolean } {
  return { className: classes(className, isStale && 'stale'), inert: isStale };
}
