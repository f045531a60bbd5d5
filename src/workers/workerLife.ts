/** The worker could not be loaded, or it died. */
export class WorkerGone extends Error {
  override name = 'WorkerGone';
}

/**
 * The life of a worker: answers that it owes are waited for no longer than it lives. An answer that came is let go at once: a
 * promise that outlives its answers would hold every one of them.
 */
export class WorkerLife {
  private readonly owed = new Set<(why: Error) => void>();
  private over: Error | null = null;

  /** Answers that are still waited for. */
  get waiting(): number {
    return this.owed.size;
  }

  /**
   * The worker is gone: whatever it owes fails now, and later questions too.
   * @param why what they fail with
   */
  end(why: Error = new WorkerGone('The worker is gone.')): void {
    this.over ??= why;
    for (const give of [...this.owed]) give(this.over);
    this.owed.clear();
  }

  /**
   * An answer, or a failure where the worker goes first.
   * @param answer what the worker promised
   * @throws WorkerGone where it died or was let go meanwhile
   */
  race<T>(answer: Promise<T>): Promise<T> {
    return new Promise<T>((resolve, reject) => {
      const gone = (why: Error): void => reject(why);
      if (this.over !== null) {
        answer.catch(() => undefined);
        gone(this.over);
        return;
      }
      this.owed.add(gone);
      answer.then(resolve, reject).finally(() => this.owed.delete(gone));
    });
  }
}
