import { useLiveQuery } from 'dexie-react-hooks';
import type { Habit } from '@/core/records/records';
import type { NamedMovement } from '@/core/schedule/movement';
import { act, newStamps } from './act';
import { database } from './database';

type DilutionHabit = Extract<Habit, { kind: 'dilution' }>;
type BathsHabit = Extract<Habit, { kind: 'baths' }>;

/** Ways of doing things that are kept under a name, by name; undefined while they load. */
export function useHabits(): Habit[] | undefined {
  return useLiveQuery(async () => (await database().habits.toArray()).sort((a, b) => a.name.localeCompare(b.name)));
}

/** Keeps what a letter on a bottle means; the same letter of the same bottle is replaced. */
export function keepDilution({ name, bottle, parts }: Pick<DilutionHabit, 'name' | 'bottle' | 'parts'>): Promise<void> {
  return act('habit', async (writer) => {
    const before = (await writer.db.habits.toArray()).find(
      (one) => one.kind === 'dilution' && one.name === name && one.bottle === bottle,
    );
    await writer.put('habits', {
      ...(before ?? newStamps()),
      kind: 'dilution',
      name,
      bottle,
      parts,
      updatedMs: Date.now(),
    });
  });
}

/** Keeps a movement under its name; one of the same name is replaced. */
export function keepMovement({ name, movement }: NamedMovement): Promise<void> {
  return act('habit', async (writer) => {
    const before = (await writer.db.habits.toArray()).find((one) => one.kind === 'movement' && one.name === name);
    await writer.put('habits', { ...(before ?? newStamps()), kind: 'movement', name, movement, updatedMs: Date.now() });
  });
}

/** Keeps the baths of a wet process under a name; one of the same name is replaced. A usual one takes the place of the one before. */
export function keepBaths({
  name,
  baths,
  pourIn,
  usual,
}: Pick<BathsHabit, 'name' | 'baths' | 'pourIn' | 'usual'>): Promise<void> {
  return act('habit', async (writer) => {
    const all = (await writer.db.habits.toArray()).filter((one) => one.kind === 'baths');
    const before = all.find((one) => one.name === name);
    if (usual)
      for (const one of all)
        if (one.usual && one.id !== before?.id)
          await writer.put('habits', { ...one, usual: false, updatedMs: Date.now() });
    await writer.put('habits', {
      ...(before ?? newStamps()),
      kind: 'baths',
      name,
      baths,
      pourIn,
      usual,
      updatedMs: Date.now(),
    });
  });
}

/** Deletes a way; it can be undone. */
export function removeHabit(habit: Habit): Promise<void> {
  return act('habit', (writer) => writer.remove('habits', habit.id), { undo: `deleting “${habit.name}”` });
}
