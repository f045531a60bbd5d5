import { closest, distance } from 'fastest-levenshtein';
import type { core } from 'zod';
import type { Problem } from './result';

/** How far a written name may be from a known one to be taken for it: a third of its letters, and so many at the most. Source: our choice. */
const NEAR_LETTERS = 3;

/** What to give where a value is of another kind, by what the package calls it. */
const KINDS: Readonly<Record<string, string>> = {
  object: 'an object, { … }',
  record: 'an object, { … }',
  array: 'a list, [ … ]',
  string: 'a text',
  number: 'a number',
  boolean: 'true or false',
};

/**
 * Turns Zod issues into problems with a readable path, in our own words.
 *
 * @param issues issues of a failed parse
 * @param names fields that there are, for a proposal where one is misspelt
 * @returns the problems in the order found; one for each field that nobody knows
 * @example problemsFromZod([{ path: ['rolls', 2, 'label'], message: 'Give it a name.' }])
 * // [{ path: 'rolls[2].label', message: 'Give it a name.' }]
 */
export function problemsFromZod(issues: readonly core.$ZodIssue[], names: readonly string[] = []): Problem[] {
  return issues.flatMap((issue): Problem[] => {
    if (issue.code === 'unrecognized_keys')
      return issue.keys.map((key) => ({ path: formatPath([...issue.path, key]), message: unknownField(key, names) }));
    const isPlain = issue.code === 'invalid_type' && issue.message.startsWith('Invalid input');
    return [{ path: formatPath(issue.path), message: isPlain ? otherKind(issue) : issue.message }];
  });
}

function otherKind({ expected, message }: core.$ZodIssueInvalidType): string {
  const missing = message.endsWith('received undefined');
  return `${missing ? 'This is missing: give' : 'Give'} ${KINDS[expected] ?? expected}.`;
}

function unknownField(key: string, names: readonly string[]): string {
  const near = key.length < 2 || names.length === 0 ? undefined : closest(key, names);
  const most = Math.min(NEAR_LETTERS, Math.ceil(key.length / 3));
  const meant = near !== undefined && distance(key.toLowerCase(), near.toLowerCase()) <= most;
  return `There is no field “${key.slice(0, 60)}” here.${meant ? ` Did you mean ${near}?` : ' Leave it out.'}`;
}

function formatPath(path: readonly PropertyKey[]): string {
  return path.reduce<string>((text, key) => {
    if (typeof key === 'number') return `${text}[${key}]`;
    return text === '' ? String(key) : `${text}.${String(key)}`;
  }, '');
}
