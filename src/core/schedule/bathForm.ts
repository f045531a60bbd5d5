import * as z from 'zod';
import { failure, success, type Problem, type Result } from '../schema/result';
import { problemsFromZod } from '../schema/problemsFromZod';
import { typed } from '../schema/typed';
import { bathKinds, bathSchema, bathsSchema, liquidIds, type Bath } from './baths';
import { movementFormOf, movementFormSchema, readMovementForm } from './movementForm';
import { movementName } from './movementName';

/** A bath while it is written: times and turns as typed. */
export const bathFormSchema = z.object({
  /** Tells it from the others while the list is rearranged. */
  key: z.string().max(60),
  kind: z.enum(bathKinds),
  name: z.string().max(200),
  liquid: z.enum(liquidIds),
  lengthKind: z.enum(['development', 'time', 'turns', 'until-clear']),
  lengthMin: typed,
  turns: typed,
  movement: movementFormSchema.nullable(),
  note: z.string().max(1000),
});

export type BathForm = z.infer<typeof bathFormSchema>;

/**
 * The form of a bath.
 * @param bath the bath
 * @param key what tells it from the others
 */
export function bathFormOf(bath: Bath, key: string): BathForm {
  const { kind, name, liquid, length, movement, note } = bath;
  return {
    key,
    kind,
    name,
    liquid,
    lengthKind: length.kind,
    lengthMin: 'seconds' in length ? length.seconds / 60 : '',
    turns: length.kind === 'turns' ? length.turns : '',
    movement: movement === null ? null : movementFormOf({ name: movementName(movement), movement }),
    note,
  };
}

/** Forms of a whole list, under keys that count up. */
export function bathFormsOf(baths: readonly Bath[]): BathForm[] {
  return baths.map((bath, index) => bathFormOf(bath, `b${index}`));
}

/** A key that no bath of the list has. */
export function freeKey(forms: readonly BathForm[]): string {
  let n = forms.length;
  while (forms.some(({ key }) => key === `b${n}`)) n += 1;
  return `b${n}`;
}

/** The list with a bath moved: `before` is the index, in the list as it stands, of the one that it comes before. */
export function movedBath(forms: readonly BathForm[], key: string, before: number): BathForm[] {
  const from = forms.findIndex((form) => form.key === key);
  const bath = forms[from];
  if (bath === undefined) return [...forms];
  const rest = forms.filter((form) => form.key !== key);
  const at = Math.max(0, Math.min(rest.length, before > from ? before - 1 : before));
  return [...rest.slice(0, at), bath, ...rest.slice(at)];
}

/**
 * The list with a bath one place up or down among those that are shown: those that are not keep their places between the others.
 * @param shown keys of the baths on the screen, in order
 * @param by −1 for up, 1 for down
 * @example of a, (b hidden), c: moving c up gives c, a, b
 */
export function movedAmong(forms: readonly BathForm[], shown: readonly string[], key: string, by: -1 | 1): BathForm[] {
  const at = shown.indexOf(key);
  const neighbour = forms.findIndex((form) => form.key === shown[at + by]);
  if (at < 0 || neighbour < 0) return [...forms];
  return movedBath(forms, key, by < 0 ? neighbour : neighbour + 1);
}

/** The list with a bath done again, right after itself. */
export function repeatedBath(forms: readonly BathForm[], key: string): BathForm[] {
  return forms.flatMap((form) => (form.key === key ? [form, { ...form, key: freeKey(forms) }] : [form]));
}

/** A bath that is one of several, by its name. */
const NUMBERED = /^(.+) \d+ of \d+$/;

/**
 * The list with baths that are counted by their names, as “Wash 2 of 3”, counted as they stand.
 * @param forms the list after a bath was put in, moved or taken out
 * @example two washes “Wash 3 of 3” after three others become “Wash 4 of 5” and “Wash 5 of 5”
 */
export function renumbered(forms: readonly BathForm[]): BathForm[] {
  const baseOf = ({ kind, name }: BathForm): string | null => {
    const base = NUMBERED.exec(name.trim())?.[1];
    return base === undefined ? null : `${kind} ${base}`;
  };
  const totals = new Map<string, number>();
  for (const form of forms) {
    const base = baseOf(form);
    if (base !== null) totals.set(base, (totals.get(base) ?? 0) + 1);
  }
  const seen = new Map<string, number>();
  return forms.map((form) => {
    const base = baseOf(form);
    if (base === null) return form;
    const at = (seen.get(base) ?? 0) + 1;
    seen.set(base, at);
    const name = `${NUMBERED.exec(form.name.trim())?.[1] ?? form.name} ${at} of ${totals.get(base) ?? at}`;
    return name === form.name ? form : { ...form, name };
  });
}

function lengthOf(form: BathForm): unknown {
  switch (form.lengthKind) {
    case 'development':
      return { kind: 'development' };
    case 'turns':
      return { kind: 'turns', turns: form.turns };
    default:
      return {
        kind: form.lengthKind,
        seconds: typeof form.lengthMin === 'number' ? Math.round(form.lengthMin * 60) : form.lengthMin,
      };
  }
}

/**
 * Reads the baths as they are written.
 * @param forms the list
 * @returns the baths, or every problem under `baths.<key>.<field>`
 */
export function readBathForms(forms: readonly BathForm[]): Result<Bath[]> {
  const problems: Problem[] = [];
  const baths = forms.flatMap((form): Bath[] => {
    const read = readBathForm(form);
    if (read.ok) return [read.value];
    problems.push(...read.problems);
    return [];
  });
  if (problems.length > 0) return failure(...problems);
  const whole = bathsSchema.safeParse(baths);
  return whole.success
    ? success(whole.data)
    : failure(...problemsFromZod(whole.error.issues).map(({ message }) => ({ path: 'baths', message })));
}

/** Reads one bath as it is written; its problems stand under `baths.<key>.<field>`. */
export function readBathForm(form: BathForm): Result<Bath> {
  const problems: Problem[] = [];
  const movement = form.movement === null ? null : readMovementForm(form.movement);
  if (movement !== null && !movement.ok)
    problems.push(
      ...movement.problems.map(({ path, message }) => ({ path: `baths.${form.key}.movement.${path}`, message })),
    );
  const read = bathSchema.safeParse({
    kind: form.kind,
    name: form.name.trim(),
    liquid: form.liquid,
    length: lengthOf(form),
    movement: movement?.ok === true ? movement.value.movement : null,
    note: form.note,
  });
  if (read.success && problems.length === 0) return success(read.data);
  if (!read.success)
    problems.push(
      ...problemsFromZod(read.error.issues).map(({ path, message }) => ({
        path: `baths.${form.key}.${path === 'length.turns' ? 'turns' : path.startsWith('length') ? 'lengthMin' : path}`,
        message,
      })),
    );
  return failure(...problems);
}
