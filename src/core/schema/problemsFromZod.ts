import type { core } from 'zod';
import type { Problem } from './result';

/**
 * Turns Zod issues into problems with a readable path.
 *
 * @param issues issues of a failed parse
 * @returns one problem per issue, in the order found
 * @example problemsFromZod([{ path: ['rolls', 2, 'label'], message: 'Give it a name.' }])
 * // [{ path: 'rolls[2].label', message: 'Give it a name.' }]
 */
export function problemsFromZod(issues: readonly core.$ZodIssue[]): Problem[] {
  return issues.map((issue) => ({ path: formatPath(issue.path), message: issue.message }));
}

function formatPath(path: readonly PropertyKey[]): string {
  return path.reduce<string>((text, key) => {
    if (typeof key === 'number') return `${text}[${key}]`;
    return text === '' ? String(key) : `${text}.${String(key)}`;
  }, '');
}
