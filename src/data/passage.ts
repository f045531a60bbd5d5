/** Some records of a table. */
export interface Handed {
  table: string;
  rows: unknown[];
}

/** Records on their way from a file into the bench. */
export class Passage {
  private readonly waiting: Handed[] = [];
  private listeners: (() => void)[] = [];
  private ended = false;
  private broken: unknown = null;

  /** @param ahead batches that may wait */
  constructor(private readonly ahead: number) {}

  /** Hands records over; settles when there is room for more. */
  readonly hand = async (table: string, rows: unknown[]): Promise<void> => {
    if (this.broken === null) this.waiting.push({ table, rows });
    this.tell();
    await this.until(() => this.waiting.length < this.ahead || this.broken !== null);
    if (this.broken !== null) throw this.broken;
  };

  /** Nothing more comes. */
  end(): void {
    this.ended = true;
    this.tell();
  }

  get failed(): boolean {
    return this.broken !== null;
  }

  /** The bench takes nothing more: whoever hands records over is told. */
  fail(error: unknown): void {
    this.broken = error;
    this.waiting.length = 0;
    this.tell();
  }

  /** The next records if some are waiting. */
  ready(): Handed | null {
    const next = this.waiting.shift() ?? null;
    if (next !== null) this.tell();
    return next;
  }

  /** The next records; null when nothing more comes. */
  async next(): Promise<Handed | null> {
    await this.until(() => this.ended || this.waiting.length > 0);
    return this.ready();
  }

  private async until(there: () => boolean): Promise<void> {
    while (!there()) await new Promise<void>((resolve) => this.listeners.push(resolve));
  }

  private tell(): void {
    for (const listener of this.listeners.splice(0)) listener();
  }
}
