import { deflateSync, inflateSync, strFromU8, strToU8 } from 'fflate';
import * as z from 'zod';
import { recipeShape } from '../brewing/recipe';
import type { PlanChoices } from '../plan/planForm';
import { planSchema, type Plan } from '../records/records';
import { bathsSchema, pourInSchema } from '../schedule/baths';
import { limited, nameField, text } from '../schema/fields';
import { problemsFromZod } from '../schema/problemsFromZod';
import { failure, success, type Result } from '../schema/result';

/*
 * What people give each other, small enough for an address or one code: it stands in the fragment, so no server sees it.
 */

/** The longest note that goes into an address, letters. Source: our choice. */
const LONGEST_NOTE = 8000;

/** What of a plan is given: what it says of film, jug and evidence belongs to its own bench. */
const GIVEN_FIELDS = {
  developer: true,
  bromideGPerL: true,
  temperatureC: true,
  agitationId: true,
  movement: true,
  strategy: true,
  target: true,
  volumeMl: true,
  ambientC: true,
  baths: true,
  pourIn: true,
} as const;

/** Something of one's own that is given to somebody else. */
const giftSchema = z.discriminatedUnion(
  'kind',
  [
    z.strictObject({ kind: z.literal('recipe'), recipe: z.strictObject(recipeShape) }),
    z.strictObject({ kind: z.literal('baths'), name: nameField('Name'), baths: bathsSchema, pourIn: pourInSchema }),
    /** How somebody develops a film: all but the roll and the time of a chart. */
    z.strictObject({
      kind: z.literal('plan'),
      name: nameField('Name'),
      /** The time that theirs got, min; null where it was not used yet. */
      timeMin: limited('timeMin', 'Time').nullable(),
      plan: planSchema.pick(GIVEN_FIELDS),
    }),
    /** A lab note, as Markdown: to be read. */
    z.strictObject({ kind: z.literal('note'), name: nameField('Name'), text: text('Note', LONGEST_NOTE) }),
  ],
  'This address holds something that this version of Aetas does not know.',
);
export type Gift = z.infer<typeof giftSchema>;

const VERSION = '1';
const NAME = 'gift';

/** The longest fragment that is read, letters, and the most that may come out of it. Source: our choice: many times a large recipe. */
const LONGEST = 12_000;
const LARGEST_BYTES = 60_000;

/**
 * A gift as the fragment of an address, without its `#`.
 * @example giftToFragment({ kind: 'recipe', recipe }) // 'gift=1.q1YqSyxS…'
 */
export function giftToFragment(gift: Gift): string {
  const packed = deflateSync(strToU8(JSON.stringify(gift)), { level: 9 });
  const letters = btoa(String.fromCharCode(...packed));
  return `${NAME}=${VERSION}.${letters.replaceAll('+', '-').replaceAll('/', '_').replaceAll('=', '')}`;
}

/**
 * Reads a gift out of an address.
 * @param fragment what follows the `#`, with it or without
 * @returns null where none is in it; else the gift, or what is wrong with it
 */
export function giftFromFragment(fragment: string): Result<Gift> | null {
  const found = new RegExp(`(?:^#?|&)${NAME}=([^&]*)`).exec(fragment);
  if (found === null) return null;
  const [version, packed = ''] = (found[1] ?? '').split('.', 2);
  if (version !== VERSION)
    return failure({ path: '', message: 'This address is of another version of Aetas. Ask for it as a file.' });
  if (packed.length > LONGEST)
    return failure({ path: '', message: 'This address is longer than any that Aetas makes.' });
  const parsed = unpacked(packed);
  if (parsed === undefined)
    return failure({ path: '', message: 'This address was cut off or changed on its way. Ask for it once more.' });
  const read = giftSchema.safeParse(parsed);
  return read.success ? success(read.data) : failure(...problemsFromZod(read.error.issues));
}

function unpacked(gift: string): unknown {
  try {
    const letters = atob(gift.replaceAll('-', '+').replaceAll('_', '/'));
    const packed = Uint8Array.from(letters, (letter) => letter.charCodeAt(0));
    // A small address that unpacks without end is stopped by its buffer.
    const out = inflateSync(packed, { out: new Uint8Array(LARGEST_BYTES) });
    return JSON.parse(strFromU8(out)) as unknown;
  } catch {
    return undefined;
  }
}

/** A note as a gift; one that is longer than an address holds ends where it is cut, and says so. */
export function giftOfNote(name: string, whole: string): Extract<Gift, { kind: 'note' }> {
  const cut = '\n\n(The rest did not fit into the address: ask for the file.)';
  const fits = whole.length <= LONGEST_NOTE ? whole : whole.slice(0, LONGEST_NOTE - cut.length) + cut;
  return { kind: 'note', name, text: fits };
}

/** A plan as a gift. */
export function giftOfPlan(name: string, plan: Plan): Extract<Gift, { kind: 'plan' }> {
  const given = Object.fromEntries(Object.keys(GIVEN_FIELDS).map((field) => [field, plan[field as keyof Plan]]));
  return {
    kind: 'plan',
    name,
    timeMin: plan.pinned?.timeMin ?? null,
    plan: planSchema.pick(GIVEN_FIELDS).parse(given),
  };
}

/** The choices of a given plan for a film of one’s own: its time is worked out here. */
export function choicesOfGift({ plan }: Extract<Gift, { kind: 'plan' }>): PlanChoices {
  return { ...plan, knownTime: null, muted: [], ownTimeMin: null, brewId: null };
}
