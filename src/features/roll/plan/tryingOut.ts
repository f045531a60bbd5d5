import type { PlanForm } from '@/core/plan/planForm';
import type { Trial, Trials } from './trial';

/** How long a slider must rest before the page follows it, ms. */
export const REST_MS = 180;

/** How long what was moved may wait for its estimate, ms. */
export const TOGETHER_MS = 40;

interface Ways {
  /** The estimate of a form; null where something in it is wrong: the page’s own estimate says what. */
  find: (form: PlanForm) => Promise<Trial['found']>;
  /** Takes the form when the hand rests. */
  settle: (form: PlanForm) => void;
}

/**
 * What is moved is shown together with its estimate, and by itself where that takes long. One estimate is asked for at a time, so
 * that a hand faster than the estimates is followed at their pace.
 */
export class TryingOut {
  /** The form as it was moved last; null at rest. */
  private form: PlanForm | null = null;
  private asking = false;
  /** What was shown ahead of the estimate that is on its way; null where nothing was. */
  private ahead: PlanForm | null = null;
  /** Counts how often the hand rested: an estimate from before is not waited for. */
  private rests = 0;
  private rest: ReturnType<typeof setTimeout> | undefined;
  private alone: ReturnType<typeof setTimeout> | undefined;

  constructor(
    private readonly trials: Trials,
    private readonly ways: Ways,
  ) {}

  /** Takes a form as it was moved. */
  move(form: PlanForm): void {
    this.form = form;
    clearTimeout(this.rest);
    this.rest = setTimeout(() => this.end(), REST_MS);
    this.waitAtMost();
    if (!this.asking) void this.ask(form);
  }

  /** Settles at once what is moved at this moment. */
  end(): void {
    const { form } = this;
    clearTimeout(this.rest);
    clearTimeout(this.alone);
    this.alone = undefined;
    this.form = null;
    this.asking = false;
    this.rests += 1;
    if (form !== null) this.ways.settle(form);
  }

  private async ask(form: PlanForm): Promise<void> {
    this.asking = true;
    this.ahead = null;
    const { rests } = this;
    const found = await this.ways.find(form).catch(() => null);
    const latest = this.form;
    if (latest === null || rests !== this.rests) return;
    this.asking = false;
    if (found === null) this.show({ form: latest, found: this.trials.current()?.found ?? null });
    // What the hand has seen ahead is not taken back: its next step would begin too early.
    else this.show({ form: this.ahead ?? form, found });
    if (latest === form) return;
    this.waitAtMost();
    void this.ask(latest);
  }

  private show(trial: Trial): void {
    clearTimeout(this.alone);
    this.alone = undefined;
    this.trials.set(trial);
  }

  /** Waits for the estimate of what is moved for a moment at most, and shows it by itself then. */
  private waitAtMost(): void {
    this.alone ??= setTimeout(() => {
      if (this.form === null) return;
      this.ahead = this.form;
      this.show({ form: this.form, found: this.trials.current()?.found ?? null });
    }, TOGETHER_MS);
  }
}
