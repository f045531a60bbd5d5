import { deflateSync, inflateSync, strFromU8, strToU8 } from 'fflate';
import * as z from 'zod';
import { recipeShape } from '../brewing/recipe';
import { bathsSchema, pourInSchema } from '../schedule/baths';
import { nameField } from '../schema/fields';
import { problemsFromZod } from '../schema/problemsFromZod';
import { failure, success, type Result } from '../schema/result';

/*
 * What people give each other, small enough for an address or one code: it stands in the fragment, so no server sees it.
 */

/** Something of one's own that is given to somebody else. */
const giftSchema = z.discriminatedUnion(
  'kind',
  [
    z.strictObject({ kind: z.literal('recipe'), recipe: z.strictObject(recipeShape) }),
    z.strictObject({ kind: z.literal('baths'), name: nameField('Name'), baths: bathsSchema, pourIn: pourInSchema }),
  ],
  'This address holds something that this version of Aetas does not know.',
);
export type Gift = z.infer<typeof giftSchema>;

const VERSION = '1';
const NAME = 'gift';

/** The longest fragment that is read, letters, and the most that may come out of it. Source: our choice: many times a large recipe. */
const LONGEST = 8000;
const LARGEST_BYTES = 60_000;

/**
 * A gift as the fragment of an address, without its `#`.
 * @example giftToFragment({ kind: 'recipe', recipe }) // 'gift=1.q1YqSyxS…'
 */
export function giftToFragment(gift: Gift): string {
  const packed = deflateSync(strToU8(JSON.stringify(gift)), { level: 9 });
  const text = btoa(String.fromCharCode(...packed));
  return `${NAME}=${VERSION}.${text.replaceAll('+', '-').replaceAll('/', '_').replaceAll('=', '')}`;
}

/**
 * Reads a gift out of an address.
 * @param fragment what follows the `#`, with it or without
 * @returns null where none is in it; else the gift, or what is wrong with it
 */
export function giftFromFragment(fragment: string): Result<Gift> | null {
  const found = new RegExp(`(?:^#?|&)${NAME}=([^&]*)`).exec(fragment);
  if (found === null) return null;
  const [version, text = ''] = (found[1] ?? '').split('.', 2);
  if (version !== VERSION)
    return failure({ path: '', message: 'This address is of another version of Aetas. Ask for it as a file.' });
  if (text.length > LONGEST) return failure({ path: '', message: 'This address is longer than any that Aetas makes.' });
  const parsed = unpacked(text);
  if (parsed === undefined)
    return failure({ path: '', message: 'This address was cut off or changed on its way. Ask for it once more.' });
  const read = giftSchema.safeParse(parsed);
  return read.success ? success(read.data) : failure(...problemsFromZod(read.error.issues));
}

function unpacked(text: string): unknown {
  try {
    const letters = atob(text.replaceAll('-', '+').replaceAll('_', '/'));
    const packed = Uint8Array.from(letters, (letter) => letter.charCodeAt(0));
    // A small address that unpacks without end is stopped by its buffer.
    const out = inflateSync(packed, { out: new Uint8Array(LARGEST_BYTES) });
    return JSON.parse(strFromU8(out)) as unknown;
  } catch {
    return undefined;
  }
}
