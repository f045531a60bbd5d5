import { Worker } from 'node:worker_threads';

/** As much of a thread as is used. */
export interface Thread {
  postMessage: (message: { id: number; json: unknown }) => void;
  on: (event: 'message' | 'error' | 'exit', listener: (value: unknown) => void) => unknown;
  terminate: () => unknown;
}

/** Requests that wait at the most: more of them would wait longer than anybody does. Source: our choice. */
export const MOST_WAITING = 40;

/** How long one estimate may take before its thread is given up, ms: hundreds of times what any is meant to. Source: our choice. */
const LONGEST_MS = 5_000;

/** Why no estimate was made. */
export type NotEstimated = 'busy' | 'failed';

interface Waiting {
  json: unknown;
  settle: (answer: unknown) => void;
}

/**
 * Estimates in a thread of their own, one after the other: the one that answers pages stays free, however much is asked.
 */
export class Estimator {
  private thread: Thread | null = null;
  private readonly queue: Waiting[] = [];
  private current: (Waiting & { id: number; timer: ReturnType<typeof setTimeout> }) | null = null;
  private lastId = 0;

  /** @param start starts a thread that answers `{ id, json }` with `{ id, answer }` */
  constructor(private readonly start: () => Thread) {}

  /**
   * Asks for an estimate.
   * @param json the request as it was sent
   * @returns what core answers; `busy` where too many wait already, `failed` where the thread died of this one
   */
  ask(json: unknown): Promise<unknown> {
    if (this.queue.length >= MOST_WAITING) return Promise.resolve('busy' satisfies NotEstimated);
    return new Promise((settle) => {
      this.queue.push({ json, settle });
      this.next();
    });
  }

  private next(): void {
    const waiting = this.current === null ? this.queue.shift() : undefined;
    if (waiting === undefined) return;
    this.thread ??= this.begin();
    this.lastId += 1;
    const timer = setTimeout(() => this.giveUp(), LONGEST_MS);
    this.current = { ...waiting, id: this.lastId, timer };
    this.thread.postMessage({ id: this.lastId, json: waiting.json });
  }

  private begin(): Thread {
    const thread = this.start();
    thread.on('message', (message) => {
      const { id, answer } = message as { id: number; answer: unknown };
      if (id === this.current?.id) this.settle(answer);
    });
    const died = (): void => {
      if (this.thread === thread) this.giveUp();
    };
    thread.on('error', died);
    thread.on('exit', died);
    return thread;
  }

  /** The thread died, or has worked for too long: the next request gets another. */
  private giveUp(): void {
    const { thread } = this;
    this.thread = null;
    void thread?.terminate();
    this.settle('failed' satisfies NotEstimated);
  }

  private settle(answer: unknown): void {
    const { current } = this;
    this.current = null;
    if (current !== null) {
      clearTimeout(current.timer);
      current.settle(answer);
    }
    this.next();
  }
}

/** Memory that the thread may take, MB: an estimate takes a few. */
const MOST_MEMORY_MB = 96;

let shared: Estimator | null = null;

/** The estimator of this server. */
export function estimator(): Estimator {
  shared ??= new Estimator(() => {
    const thread = new Worker(new URL('./estimate.thread.ts', import.meta.url), {
      resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY_MB, maxYoungGenerationSizeMb: 16 },
    });
    // It keeps no server from ending.
    thread.unref();
    return {
      postMessage: (message) => thread.postMessage(message),
      on: (event, listener) => thread.on(event, listener),
      terminate: () => thread.terminate(),
    };
  });
  return shared;
}
