import * as z from 'zod';
import { archiveFormSchema, readArchive, type Archive, type ArchiveForm } from '@/core/archive/archive';
import { frameSchema, type Frame } from '@/core/exposure/frame';
import { conditionSchema, type Condition } from '@/core/films/condition';
import type { RollStay } from '@/core/films/storageStaySchema';
import type { UserHint } from '@/core/films/userHint';
import type { Kit } from '@/core/kit/kit';
import { kitFormSchema, readKit, type KitForm } from '@/core/kit/kitForm';
import {
  readHints,
  readPasses,
  readStays,
  typedHintSchema,
  typedStaySchema,
  type TypedHint,
  type TypedStay,
} from '@/core/plan/dossierForm';
import { runEventSchema, type RunEvent } from '@/core/records/runEvents';
import { problemsFromZod } from '@/core/schema/problemsFromZod';
import { failure, success, type Result } from '@/core/schema/result';
import { typed } from '@/core/schema/typed';
import { database } from './database';
import { dropDraft, type PartName, type TypedUpTo } from './drafts';
import { changeDossier } from './rolls';
import { recordEvents } from './runs';
import { changeKit } from './settings';

/** A part of a record that is stored as it is typed, with no button that says “done”. */
export interface TypedPart<Form, Value> {
  /** What its drafts are named by; the record's id follows where there are several. */
  name: PartName;
  /** What a kept draft must look like. */
  form: z.ZodType<Form>;
  /** Reads the form, or says what is wrong. */
  read: (form: Form) => Result<Value>;
  /** Stores what was read, and marks the draft as stored in the same transaction. */
  store: (id: string, value: Value, typed: TypedUpTo) => Promise<unknown>;
}

/** The key under which a part of a record is kept while it does not read. */
export function partKey({ name }: Pick<TypedPart<never, never>, 'name'>, id: string): string {
  return id === '' ? name : `${name}:${id}`;
}

const thisYear = (): number => new Date().getFullYear();

/** The kit; there is one, so its id is empty. */
export const kitPart: TypedPart<KitForm, Kit> = {
  name: 'kit',
  form: kitFormSchema,
  read: readKit,
  store: (_, kit, typed) => changeKit(kit, typed),
};

/** When a roll was made. */
export const hintsPart: TypedPart<TypedHint[], UserHint[]> = {
  name: 'hints',
  form: z.array(typedHintSchema).max(20),
  read: (form) => readHints(form, thisYear()),
  store: (rollId, hints, typed) => changeDossier(rollId, { hints }, typed),
};

/** Where a roll was stored. */
export const storagePart: TypedPart<TypedStay[], RollStay[]> = {
  name: 'storage',
  form: z.array(typedStaySchema).min(1).max(20),
  read: (form) => readStays(form, thisYear()),
  store: (rollId, storage, typed) => changeDossier(rollId, { storage }, typed),
};

/** How often a roll was X-rayed. */
export const xrayPart: TypedPart<number | string, number> = {
  name: 'xray',
  form: typed,
  read: readPasses,
  store: (rollId, xrayPasses, typed) => changeDossier(rollId, { xrayPasses }, typed),
};

/** How a roll looks. */
export const conditionPart: TypedPart<Condition, Condition> = {
  name: 'condition',
  form: conditionSchema,
  read: success,
  store: (rollId, condition, typed) => changeDossier(rollId, { condition }, typed),
};

const framesSchema = z.array(frameSchema).max(100);

/** The notebook of a roll's frames. */
export const framesPart: TypedPart<Frame[], Frame[]> = {
  name: 'frames',
  form: z.array(z.object({ frame: z.string(), metered: z.string(), given: z.string(), remark: z.string() })),
  read: (form) => {
    const read = framesSchema.safeParse(form);
    return read.success ? success(read.data) : failure(...problemsFromZod(read.error.issues));
  },
  store: (rollId, frames, typed) => changeDossier(rollId, { frames }, typed),
};

/** Where a roll is kept, how it was cut, and what is on its frames. */
export const archivePart: TypedPart<ArchiveForm, Archive> = {
  name: 'archive',
  form: archiveFormSchema,
  read: readArchive,
  store: (rollId, archive, typed) => changeDossier(rollId, { archive }, typed),
};

/** What happened at the tank and is on its way into the run: it counts while the run has as many events as were seen. */
interface TankPress {
  seen: number;
  events: RunEvent[];
}

export const tankPart: TypedPart<TankPress, TankPress> = {
  name: 'tank',
  form: z.object({ seen: z.number().int().min(0), events: z.array(runEventSchema).min(1) }),
  read: success,
  store: (runId, { seen, events }, typed) => recordEvents(runId, seen, events, typed),
};

const parts = [
  kitPart,
  hintsPart,
  storagePart,
  xrayPart,
  conditionPart,
  framesPart,
  archivePart,
  tankPart,
] as readonly TypedPart<unknown, unknown>[];

/**
 * Stores what a page that went at once had only written ahead. A draft that does not read stays for its page; one that
 * reads was on its way into its record.
 */
export async function storeTypedParts(keys: readonly string[]): Promise<void> {
  for (const key of keys) {
    const part = parts.find(({ name }) => key === name || key.startsWith(`${name}:`));
    const draft = await database().drafts.get(key);
    if (part === undefined || draft === undefined) continue;
    const form = part.form.safeParse(draft.values);
    const read = form.success ? part.read(form.data) : null;
    if (read?.ok !== true) continue;
    await part.store(key.slice(part.name.length + 1), read.value, { key, stamp: draft.updatedMs });
    // Nothing was there to store it in any more.
    if ((await database().drafts.get(key)) !== undefined) await dropDraft(key);
  }
}
