import { useLiveQuery } from 'dexie-react-hooks';
import { plainName } from '@/core/units/plainName';
import type { GuestLog } from '@/core/evidence/guestLogSchema';
import type { Guest } from '@/core/records/records';
import { act, newStamps } from './act';
import { database } from './database';

/** Other people’s logs, by name; undefined while they load. */
export function useGuests(): Guest[] | undefined {
  return useLiveQuery(async () => (await database().guests.toArray()).sort((a, b) => a.name.localeCompare(b.name)));
}

/** Keeps somebody’s log; one of the same name goes, for it is the same person’s from before. It can be undone. */
export function keepGuest(log: GuestLog): Promise<void> {
  return act(
    'guest',
    async (writer) => {
      for (const { id, name } of await writer.db.guests.toArray())
        if (plainName(name) === plainName(log.name)) await writer.remove('guests', id);
      await writer.bring('guests', { ...newStamps(), ...log });
    },
    { undo: `taking in the log of ${log.name}` },
  );
}

/** Takes somebody’s log off the bench; it can be undone. */
export function removeGuest({ id, name }: Guest): Promise<void> {
  return act(`guest:${id}`, (writer) => writer.remove('guests', id), { undo: `removing the log of ${name}` });
}
