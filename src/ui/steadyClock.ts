/** A jump of the computer's clock below this goes unnoticed: clocks are set right by fractions of a second all the time, ms. */
const JUMP_MS = 2000;

/**
 * A clock that goes on evenly while the page stands, whatever happens to the computer's own: it starts from that one and
 * counts by the browser's stopwatch.
 */
export class SteadyClock {
  private baseMs: number;
  private readonly watch: () => number;
  private readonly wall: () => number;

  /**
   * @param wall the computer's clock, ms since the epoch
   * @param watch a stopwatch that is never set, ms
   */
  constructor(wall: () => number = () => Date.now(), watch: () => number = () => performance.now()) {
    this.wall = wall;
    this.watch = watch;
    this.baseMs = wall() - watch();
  }

  /** This instant, ms since the epoch, as the clock stood when it was started. */
  now(): number {
    return Math.round(this.baseMs + this.watch());
  }

  /** By how much the computer's clock is ahead of this one; 0 while they agree. */
  jumpMs(): number {
    const jump = this.wall() - this.baseMs - this.watch();
    return Math.abs(jump) < JUMP_MS ? 0 : jump;
  }

  /**
   * Goes by the computer's clock where that is ahead: the browser's stopwatch stands still while a computer sleeps, and the film
   * does not.
   * @returns by how much it was ahead, ms; 0 while they agree or the computer's is behind
   */
  catchUp(): number {
    const ahead = Math.max(0, this.jumpMs());
    if (ahead > 0) this.agree();
    return ahead;
  }

  /** Goes by the computer's clock from now on. */
  agree(): void {
    this.baseMs = this.wall() - this.watch();
  }
}
