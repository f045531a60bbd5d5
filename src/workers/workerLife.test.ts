import { describe, expect, test } from 'vitest';
import { WorkerGone, WorkerLife } from './workerLife';

describe('the life of a worker', () => {
  test('two thousand answers leave nothing behind', async () => {
    const life = new WorkerLife();
    for (let n = 0; n < 2000; n++) expect(await life.race(Promise.resolve(n))).toBe(n);
    await expect(life.race(Promise.reject(new Error('refused')))).rejects.toThrow('refused');
    await Promise.resolve();
    expect(life.waiting).toBe(0);
  });
  test('what it owes fails when it goes, and so does what is asked later', async () => {
    const life = new WorkerLife();
    const never = life.race(new Promise<never>(() => undefined));
    expect(life.waiting).toBe(1);
    life.end();
    await expect(never).rejects.toBeInstanceOf(WorkerGone);
    await expect(life.race(Promise.resolve(1))).rejects.toBeInstanceOf(WorkerGone);
    expect(life.waiting).toBe(0);
  });
});
