import Dexie from 'dexie';

/*
 * An await within a long transaction is bookkeeping: the database package has to guess, by counting microtasks, which code
 * belongs to the transaction, and after many of them it loses count. What comes then runs beside the transaction, and is
 * stored although the rest was not. Acts over a whole bench go in steps that wait for the database's own promises only.
 */

/** Steps within a transaction, and what they come to. */
export type Steps<T> = Generator<PromiseLike<unknown>, T, unknown>;

/** Waits for a promise of the database, and goes on with its value: `const row = yield* step(db.rolls.get(id))`. */
export function* step<T>(promise: PromiseLike<T>): Steps<T> {
  return (yield promise) as T;
}

/**
 * Takes steps one after the other, within the transaction in which it is called.
 * @returns what they come to, as a promise of the database
 * @throws Error, through the promise, when the transaction was lost on the way
 */
export function inSteps<T>(steps: Steps<T>): PromiseLike<T> {
  const own = Dexie.currentTransaction as unknown;
  return new Dexie.Promise<T>((resolve, reject) => {
    const take = (advance: () => IteratorResult<PromiseLike<unknown>, T>): void => {
      try {
        if ((Dexie.currentTransaction as unknown) !== own) throw new Error('The transaction was lost on the way.');
        const next = advance();
        if (next.done === true) resolve(next.value);
        else
          Dexie.Promise.resolve(next.value).then(
            (value) => take(() => steps.next(value)),
            (error: unknown) => take(() => steps.throw(error)),
          );
      } catch (error) {
        reject(error);
      }
    };
    take(() => steps.next());
  });
}
