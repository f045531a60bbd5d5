import * as z from 'zod';
import { failure, success, type Problem, type Result } from '../schema/result';
import { typed } from '../schema/typed';
import type { Amount } from './amount';
import { STILL, gestureIds, movementSchema, type Movement, type NamedMovement } from './movement';
import { movementName } from './movementName';

const unitField = z.enum(['seconds', 'turns']);

/** A movement while it is built: numbers as typed; an empty one means “none”. */
export const movementFormSchema = z.object({
  /** Empty for a name that says what it is. */
  name: z.string().max(120),
  continuous: z.boolean(),
  firstN: typed,
  firstUnit: unitField,
  everyS: typed,
  placement: z.enum(['start', 'end']),
  everyN: typed,
  everyUnit: unitField,
  stillFromMin: typed,
  wake: z.enum(['none', 'half', 'at']),
  wakeAtMin: typed,
  wakeN: typed,
  wakeUnit: unitField,
  gesture: z.enum(gestureIds),
  tap: z.boolean(),
});

export type MovementForm = z.infer<typeof movementFormSchema>;

/** The form of a movement that was built earlier. */
export function movementFormOf({ name, movement }: NamedMovement): MovementForm {
  const { continuous, first, every, stillFromMin, wakeUp, gesture, tap } = movement;
  return {
    name: name === movementName(movement) ? '' : name,
    continuous,
    firstN: first?.n ?? '',
    firstUnit: first?.unit ?? 'seconds',
    everyS: every?.periodS ?? '',
    placement: every?.placement ?? 'start',
    everyN: every?.amount.n ?? '',
    everyUnit: every?.amount.unit ?? 'seconds',
    stillFromMin: stillFromMin ?? '',
    wake: wakeUp === null ? 'none' : wakeUp.atMin === null ? 'half' : 'at',
    wakeAtMin: wakeUp?.atMin ?? '',
    wakeN: wakeUp?.amount.n ?? '',
    wakeUnit: wakeUp?.amount.unit ?? 'seconds',
    gesture,
    tap,
  };
}

/**
 * Reads a movement as it is built.
 * @param form what was typed
 * @returns the movement under its name, or every problem with its field
 */
export function readMovementForm(form: MovementForm): Result<NamedMovement> {
  const problems: Problem[] = [];
  const amount = (n: string | number, unit: Amount['unit']): Amount => ({ unit, n: n as number });
  const empty = (value: string | number): boolean => value === '';
  if (!form.continuous && !empty(form.everyS) && empty(form.everyN))
    problems.push({ path: 'everyN', message: 'Say how long or how many turns each time, or empty the period.' });
  if (!form.continuous && empty(form.everyS) && !empty(form.everyN))
    problems.push({ path: 'everyS', message: 'Say after how many seconds it comes back, or empty the length.' });
  const made: Movement = {
    ...STILL,
    continuous: form.continuous,
    first: empty(form.firstN) ? null : amount(form.firstN, form.firstUnit),
    every:
      empty(form.everyS) || empty(form.everyN)
        ? null
        : {
            periodS: form.everyS as number,
            placement: form.placement,
            amount: amount(form.everyN, form.everyUnit),
          },
    stillFromMin: empty(form.stillFromMin) ? null : (form.stillFromMin as number),
    wakeUp:
      form.wake === 'none'
        ? null
        : {
            atMin: form.wake === 'half' ? null : (form.wakeAtMin as number),
            amount: amount(empty(form.wakeN) ? 10 : form.wakeN, empty(form.wakeN) ? 'seconds' : form.wakeUnit),
          },
    gesture: form.gesture,
    tap: form.tap,
  };
  const read = movementSchema.safeParse(made);
  if (!read.success) {
    for (const { path, message } of read.error.issues)
      problems.push({ path: FIELD_OF[path.join('.')] ?? 'everyN', message });
  }
  if (!read.success || problems.length > 0) return failure(...problems);
  const name = form.name.trim();
  return success({ name: name === '' ? movementName(read.data) : name, movement: read.data });
}

/** The field of the form that a part of the movement was typed in. */
const FIELD_OF: Record<string, keyof MovementForm> = {
  'first.n': 'firstN',
  'every.periodS': 'everyS',
  'every.amount.n': 'everyN',
  stillFromMin: 'stillFromMin',
  'wakeUp.atMin': 'wakeAtMin',
  'wakeUp.amount.n': 'wakeN',
};
